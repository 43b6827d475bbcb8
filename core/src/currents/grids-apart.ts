import type { FieldVerdict } from './judge.ts'

/** How far two grids of one case are apart. */
export interface GridsApart {
  /** The largest difference of a zone's shares, or of the dead share, 0–1. */
  readonly share: number
  /** Of the mean speed, as a share of the finer one's. */
  readonly mean: number
  /** They tell the same story: within 5 points, and 10 % (choices). */
  readonly isClose: boolean
}

const CLOSE_SHARE = 0.05
const CLOSE_MEAN = 0.1

/** What a field and the same one on a coarser grid differ by. */
export function gridsApart(finer: FieldVerdict, coarser: FieldVerdict): GridsApart {
  const zones = finer.zones.flatMap((zone) => {
    const other = coarser.zones.find((own) => own.zone === zone.zone)
    if (!other) return []
    return [zone.inside - other.inside, zone.tooSlow - other.tooSlow, zone.tooFast - other.tooFast]
  })
  const all = [...zones, finer.deadShare - coarser.deadShare]
  const share = Math.max(...all.map(Math.abs))
  const mean = finer.meanMPerS > 0 ? Math.abs(coarser.meanMPerS / finer.meanMPerS - 1) : 0
  return { share, mean, isClose: share <= CLOSE_SHARE && mean <= CLOSE_MEAN }
}
