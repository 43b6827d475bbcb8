import {
  judgeField,
  planField,
  reaches,
  simulateDye,
  simulateField,
  domainOf,
  tankTurnoverPerH,
  type BasinDesign,
  type DyeVerdict,
  type Reach,
  type SolvedBasin,
} from '@yew-basin/core'
import { type FieldVerdict } from '@yew-basin/core/lab'

/** How one tank's water goes round, by a standard field. */
export interface SolvedCurrents {
  readonly tankId: string
  /** Each stream by its jet law alone. */
  readonly streams: readonly Omit<Reach, 'jet'>[]
  /** Circulation pumps' flow over the net water, an hour; null when there is no net water. */
  readonly turnoverPerH: number | null
  /** null: nothing moves this water. */
  readonly field: {
    readonly cellM: number
    readonly waterCells: number
    readonly steps: number
    readonly ranS: number
    readonly watchedS: number
    readonly patternPace: number
    readonly massDrift: number
    readonly verdict: FieldVerdict
    /** Poured at its first stream. */
    readonly dye: DyeVerdict
  } | null
}

/** The same work the Currents view asks its worker for. */
export function solvedCurrents(design: BasinDesign, solved: SolvedBasin): SolvedCurrents[] {
  return design.tanks.map(({ id }, i) => {
    const domain = domainOf(design, solved, i)
    const plan = planField(domain, 'standard')
    const field = plan && simulateField(plan)
    const { netVolumeM3 } = solved.tanks[i]!
    return {
      tankId: id,
      streams: reaches(domain).map(withoutJet),
      turnoverPerH: netVolumeM3 > 0 ? tankTurnoverPerH(domain, netVolumeM3) : null,
      field: field && {
        cellM: field.grid.cellM,
        waterCells: plan.waterCells,
        steps: field.steps,
        ranS: field.ranS,
        watchedS: field.watchedS,
        patternPace: field.patternPace,
        massDrift: field.massDrift,
        verdict: judgeField(field, domain),
        dye: simulateDye(field, domain.streams[0]!.jet.from),
      },
    }
  })
}

/** The jet is the domain's own; what it meets is what was found. */
function withoutJet({ streamId, lengthM, meets, rockId, end, endMPerS, throwM }: Reach) {
  return { streamId, lengthM, meets, rockId, end, endMPerS, throwM }
}
