import type { building } from '@yew-basin/core'

/** What is not said: joined as such a thing is as a rule. */
export const AS_USUAL = ''

/** How an end can be joined, as the trade says it. */
export const JOINTS: readonly { readonly value: building.EndKind | ''; readonly label: string }[] =
  [
    { value: AS_USUAL, label: 'as usual (assumed)' },
    { value: 'glued', label: 'glued' },
    { value: 'threaded', label: 'threaded' },
    { value: 'union', label: 'union' },
    { value: 'barb', label: 'barb and clamp' },
    { value: 'push-fit', label: 'pushed in, dry' },
  ]

/** A pump's outlet: a thread, unless it came with something on it. */
export const OUTLETS = JOINTS.map(({ value, label }) => ({
  value,
  label: value === AS_USUAL ? 'its thread (assumed)' : label,
}))

/** A device's ports: unions, or barbs where its line is hose. */
export const PORTS = JOINTS.map(({ value, label }) => ({
  value,
  label: value === AS_USUAL ? 'unions, barbs in hose (assumed)' : label,
}))
