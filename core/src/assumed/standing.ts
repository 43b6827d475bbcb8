import type { BasinDesign } from '../design/index.ts'
import type { Finding, Severity, Station } from '../finding/index.ts'
import { memoize } from '../numeric/index.ts'
import { type Askable, askables } from './askable.ts'
import { stationsNotSet } from './not-set.ts'

/** How a stop of the water's way stands: as its worst finding says; else not set, assumed, or fine. */
export type StandingState = Severity | 'not-set' | 'assumed'

/** A stop of the water's way, and what of it its keeper has not said. */
export interface StopStanding {
  readonly state: StandingState
  /** The figures of it that are assumed. */
  readonly assumed: readonly Askable[]
}

/** The figures of a design that are assumed. */
export const assumedOf = memoize((design: BasinDesign): readonly Askable[] => {
  if (design.assumed.length === 0) return []
  const marked = new Set(design.assumed)
  return askables(design).filter(({ name }) => marked.has(name))
})

/** How each stop stands: what is not set and what is assumed is never fine. */
export function standings(
  design: BasinDesign,
  findings: readonly Finding[],
): Readonly<Record<Station, StopStanding>> {
  const notSet = stationsNotSet(design)
  const standing = (station: Station): StopStanding => {
    const assumed = assumedOf(design).filter((asked) => asked.station === station)
    const worst = findings.find((finding) => finding.station === station)?.severity ?? 'fine'
    const other = notSet.has(station) ? 'not-set' : assumed.length > 0 ? 'assumed' : 'fine'
    return { state: worst === 'fine' ? other : worst, assumed }
  }
  return {
    tank: standing('tank'),
    overflow: standing('overflow'),
    drains: standing('drains'),
    sump: standing('sump'),
    return: standing('return'),
    skimmer: standing('skimmer'),
    sterilizer: standing('sterilizer'),
  }
}
