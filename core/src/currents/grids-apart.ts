import type { WantedRange, ZoneKind } from '../scene/index.ts'
import type { FlowDomain } from './flow-domain.ts'
import { type FieldVerdict, judgeField } from './judge.ts'
import type { Watched } from './simulate-field.ts'

/** The largest difference of a zone's shares, or of the dead share, 0–1; and of the mean speed, over the first's. */
export interface Apart {
  readonly share: number
  readonly mean: number
}

/** How far two grids of one case are apart. */
export interface GridsApart extends Apart {
  /** How well the finer one's shares are known by how the water wandered while it was watched, 0–1. */
  readonly wander: number
  /** They tell the same story: within 5 points, and 10 % (choices). */
  readonly isClose: boolean
  /** What the shares were of: other wants have others. */
  readonly wanted: WaterWants
}

/** What is wanted of a tank's water: each zone's speeds, and what lives on its rocks, in their order. */
export interface WaterWants {
  readonly ranges: readonly Omit<WantedRange, 'reason'>[]
  readonly zones: readonly ZoneKind[]
}

const wantsOf = ({ ranges, rocks }: FlowDomain): WaterWants => ({
  ranges: ranges.map(({ zone, leastMPerS, mostMPerS }) => ({ zone, leastMPerS, mostMPerS })),
  zones: rocks.map(({ zone }) => zone),
})

const CLOSE_SHARE = 0.05
const CLOSE_MEAN = 0.1

/** What a field and the same one on a coarser grid differ by, and what the finer one's halves do: half of that is left in their mean. */
export function gridsApart(finer: Watched, coarser: Watched, domain: FlowDomain): GridsApart {
  const [first, last] = finer.halves.map((speed) =>
    judgeField({ ...finer.field, speed }, domain),
  ) as [FieldVerdict, FieldVerdict]
  const apart = verdictsApart(judgeField(finer.field, domain), judgeField(coarser.field, domain))
  const isClose = apart.share <= CLOSE_SHARE && apart.mean <= CLOSE_MEAN
  return {
    ...apart,
    wander: verdictsApart(first, last).share / 2,
    isClose,
    wanted: wantsOf(domain),
  }
}

/** Whether what two grids differ by is of what is wanted now. */
export function isOfWanted({ wanted }: GridsApart, domain: FlowDomain): boolean {
  return JSON.stringify(wanted) === JSON.stringify(wantsOf(domain))
}

/** What two verdicts of one case differ by. */
export function verdictsApart(one: FieldVerdict, other: FieldVerdict): Apart {
  const zones = one.zones.flatMap((zone) => {
    const its = other.zones.find((own) => own.zone === zone.zone)
    if (!its) return []
    return [zone.inside - its.inside, zone.tooSlow - its.tooSlow, zone.tooFast - its.tooFast]
  })
  const all = [...zones, one.deadShare - other.deadShare]
  const share = Math.max(...all.map(Math.abs))
  const mean = one.meanMPerS > 0 ? Math.abs(other.meanMPerS / one.meanMPerS - 1) : 0
  return { share, mean }
}
