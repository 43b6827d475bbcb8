import type { DutyStatus } from '../network/duty.ts'
import type { Regime } from '../pipe/friction.ts'
import type { Point } from '../run/path.ts'
import type { RunEnd } from './layout.ts'

export interface SolvedTank {
  /** Below the running level, with all that stands in it. */
  readonly grossVolumeM3: number
  readonly rockVolumeM3: number
  readonly sandVolumeM3: number
  readonly sandDepthM: number
  /** Gross less rock and sand grains; not below nil. */
  readonly netVolumeM3: number
  /** From the running level up to the rim. */
  readonly freeboardM: number
  /** Water, rock and sand; the tank itself and its stand come on top. */
  readonly contentsMassKg: number
  readonly wantedFlowM3PerS: number
  /** Height of the running water above the room's floor. */
  readonly surfaceM: number
}

export interface SolvedWater {
  readonly densityKgPerM3: number
  readonly viscosityPaS: number
  readonly kinematicM2PerS: number
  /** ρ(S, T)/ρ(0, T). */
  readonly specificGravity: number
  /** null below 2 ppt, where the scale does not hold. */
  readonly conductivityMSPerCm: number | null
}

/** One piece of the run at the duty point. */
export interface SolvedPiece {
  readonly pieceId: string
  readonly kind: string
  readonly from: Point
  readonly to: Point
  /** The bore its speed is given on. */
  readonly boreM: number
  readonly speedMPerS: number
  readonly reynolds: number
  readonly regime: Regime
  /** Darcy friction factor with its hose factor; null for a piece that is no pipe. */
  readonly frictionFactor: number | null
  /** Sum of K V²/2g over the velocity head on `boreM`; null for pipe and for a shut valve. */
  readonly k: number | null
  readonly lossM: number
}

/** What one bore's worth of straight pipe costs. */
export interface SolvedStretch {
  readonly boreM: number
  readonly lengthM: number
  readonly speedMPerS: number
  readonly reynolds: number
  readonly regime: Regime
  readonly frictionFactor: number
  readonly lossM: number
}

export interface SolvedReturn {
  /** unsettled: the equations gave no answer; a finding says so. */
  readonly status: DutyStatus | 'unsettled'
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
  /** Net display volumes an hour; null when there is no net water. */
  readonly turnoverPerH: number | null
  readonly turnoverBandPerH: number | null
  readonly headM: number
  readonly headBandM: number
  readonly liftM: number
  readonly frictionM: number
  readonly frictionBandM: number
  /** Fittings, changes of bore and the exit. */
  readonly fittingsM: number
  readonly fittingsBandM: number
  readonly speed: number
  /** At this speed. */
  readonly shutOffHeadM: number
  /** Flow against no head at this speed. */
  readonly freeFlowM3PerS: number
  /** Least share of full speed whose shut-off head reaches the lift. */
  readonly leastSpeedToLift: number
  /** Fastest water in pipe and fittings; the nozzle's mouth apart. */
  readonly fastestMPerS: number
  readonly fastestPieceId: string | null
  /** At the end of the run. */
  readonly exitSpeedMPerS: number
  readonly wirePowerW: number
  /** From a rated power scaled by n³, not from a power curve. */
  readonly powerIsScaled: boolean
  readonly hydraulicPowerW: number
  readonly wireToWater: number
  readonly heatToWaterW: number
  readonly energyPerYearJ: number
  readonly twoNumberCurve: boolean
  readonly mouth: Point
  readonly end: RunEnd
  readonly pipeLengthM: number
  readonly pieces: readonly SolvedPiece[]
  readonly stretches: readonly SolvedStretch[]
}
