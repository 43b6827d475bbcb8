import type { building } from '@yew-basin/core'

/** What is not said: joined as such a thing is as a rule. */
export const NOT_SAID = ''

/** How an end can be joined, as the trade says it. */
export const JOINTS: readonly { readonly value: building.EndKind | ''; readonly label: string }[] =
  [
    { value: NOT_SAID, label: 'as usual' },
    { value: 'glued', label: 'glued' },
    { value: 'threaded', label: 'threaded' },
    { value: 'union', label: 'union' },
    { value: 'barb', label: 'barb and clamp' },
    { value: 'push-fit', label: 'pushed in, dry' },
    { value: 'spigot', label: 'spigot, into the socket beside' },
  ]

const WITHOUT_SPIGOT = JOINTS.filter(({ value }) => value !== 'spigot')

/** A pump's outlet: a thread, unless it came with something on it. */
export const OUTLETS = WITHOUT_SPIGOT.map(({ value, label }) => ({
  value,
  label: value === NOT_SAID ? 'its thread, as usual' : label,
}))

/** A device's ports: unions, or barbs where its line is hose. */
export const PORTS = WITHOUT_SPIGOT.map(({ value, label }) => ({
  value,
  label: value === NOT_SAID ? 'unions, as usual; barbs in hose' : label,
}))
