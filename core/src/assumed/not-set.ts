import type { BasinDesign } from '../design/index.ts'
import type { Station } from '../finding/index.ts'

/** The stops of the water's way at which something that belongs there is not set yet. */
export function stationsNotSet({ tanks, drains, sump }: BasinDesign): ReadonlySet<Station> {
  const open = tanks.filter(({ overflow }) => overflow === null)
  // What runs through the wall of an all-in-one needs no drain.
  const undrained = tanks.filter(
    ({ id, overflow }) => overflow?.box && !drains.some(({ tankId }) => tankId === id),
  )
  const kinds = sump.devices.map(({ part }) => part.kind)
  const notSet: Readonly<Partial<Record<Station, boolean>>> = {
    overflow: open.length > 0,
    drains: open.length > 0 || undrained.length > 0,
    sump: sump.box === null,
    skimmer: kinds.every((kind) => kind === 'sterilizer'),
    sterilizer: !kinds.includes('sterilizer'),
  }
  return new Set((Object.keys(notSet) as Station[]).filter((station) => notSet[station]))
}
