import type { RunEnd, TeeEnd } from '../../layout/index.ts'
import type { Regime } from '../../pipe/index.ts'
import type { Point } from '../../run/index.ts'

/** A tank's water: levels in m over its inside floor, volumes in m³, flows in m³/s. */
export interface SolvedTank {
  readonly tankId: string
  /** Below the running level, with all that stands in it. */
  readonly grossVolumeM3: number
  readonly rockVolumeM3: number
  readonly sandVolumeM3: number
  readonly sandDepthM: number
  /** Gross less rock and sand grains; not below zero. */
  readonly netVolumeM3: number
  /** From the running level up to the rim. */
  readonly freeboardM: number
  /** Water, rock and sand; the tank itself and its stand come on top. */
  readonly contentsMassKg: number
  readonly wantedFlowM3PerS: number
  /** Height of the running water above the room's floor. */
  readonly surfaceM: number
  /** What all its lines bring. */
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
  /** Net volumes an hour; null when there is no net water. */
  readonly turnoverPerH: number | null
  readonly turnoverBandPerH: number | null
}

/** The water's properties, SI. */
export interface SolvedWater {
  readonly densityKgPerM3: number
  readonly viscosityPaS: number
  readonly kinematicM2PerS: number
  /** ρ(S, T)/ρ(0, T). */
  readonly specificGravity: number
  /** null below 2 ppt, where the scale does not hold. */
  readonly conductivityMSPerCm: number | null
}

/** What the line that has a tee among its pieces does in it. */
export interface TeePassage {
  /** One stream becomes two; else two become one. */
  readonly dividing: boolean
  /** What carries the sum of the other two: the line before the tee, after it, or the other line. */
  readonly common: TeeEnd
  /** What the other line carries, of the common flow. */
  readonly otherShare: number
  /** This line passes it straight; else it turns. */
  readonly straightOn: boolean
  /** Lost by this line on its way through; negative where it gains. */
  readonly lossM: number
  /** On the common flow's velocity head. */
  readonly k: number
  readonly velocityHeadM: number
}

/** An adapter where bores differ, at a pump's outlet or at a tee, whether or not it was drawn. */
export interface SolvedJoint {
  readonly at: 'pump-outlet' | 'tee'
  /** The line that it begins or ends. */
  readonly lineId: string
  readonly k: number
  readonly lossM: number
}

/** One piece of a line as it runs. */
export interface SolvedPiece {
  readonly pieceId: string
  readonly kind: string
  readonly from: Point
  readonly to: Point
  /** Negative when water runs back. */
  readonly flowM3PerS: number
  /** The bore its speed is given on. */
  readonly boreM: number
  readonly speedMPerS: number
  readonly reynolds: number
  readonly regime: Regime
  /** Darcy friction factor with its hose factor; null for a piece that is no pipe. */
  readonly frictionFactor: number | null
  /** Sum of K V²/2g over the velocity head on `boreM`; null for pipe, for a printed table and for a shut valve. */
  readonly k: number | null
  readonly lossM: number
  /** Of a tee in which another line meets this one. */
  readonly tee: TeePassage | null
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

/** flows: as it should. no-lift: the pump cannot reach its end. flows-back: water runs back. unsettled: no answer was found. */
export type LineStatus = 'flows' | 'no-lift' | 'flows-back' | 'shut' | 'capped' | 'unsettled'

/** A placed pump as it runs. */
export interface SolvedPump {
  readonly placedId: string
  readonly partId: string
  readonly stopped: boolean
  readonly speed: number
  /** Negative when water is forced back through it. */
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
  readonly headM: number
  readonly headBandM: number
  /** At this speed. */
  readonly shutOffHeadM: number
  /** Flow against no head at this speed. */
  readonly freeFlowM3PerS: number
  readonly wirePowerW: number
  /** As the flow's band moves it along its power curve; nil where only its rated power is known. */
  readonly wirePowerBandW: number
  /** From a rated power scaled by n³, not from a power curve. */
  readonly powerIsScaled: boolean
  readonly hydraulicPowerW: number
  readonly wireToWater: number
  readonly heatToWaterW: number
  readonly energyPerYearJ: number
  /** In the keeper's currency; null when no tariff is given. */
  readonly costPerYear: number | null
  readonly twoNumberCurve: boolean
  /** Its printed most flow × the share the keeper's last pump gave; null: it was never measured. */
  readonly ownShareFlowM3PerS: number | null
  /** How far that is from what it gives, as a share of it; null: it gives nothing, or as above. */
  readonly ownShareOffBy: number | null
  /** Least water over its inlet at this flow, its maker's figure where there is one. */
  readonly leastDepthM: number
  /** The depth that large bells want: a remark, no more. */
  readonly bellDepthM: number
  /** Water over its inlet; null when the inlet's height is not set. */
  readonly depthM: number | null
}

/** A line as it runs, and the way its water takes from the pump. */
export interface SolvedLine {
  readonly lineId: string
  readonly status: LineStatus
  /** The pump its water comes from. */
  readonly pump: SolvedPump
  /** What leaves at its end; negative when it comes in there. */
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
  /** What comes in at its start: more than leaves where others branch off. */
  readonly startFlowM3PerS: number
  /** From the water its pump draws to its end. */
  readonly liftM: number
  /** In straight pipe, all the way from the pump. */
  readonly frictionM: number
  readonly frictionBandM: number
  /** Fittings, devices, changes of bore and the exit, all the way from the pump. */
  readonly fittingsM: number
  readonly fittingsBandM: number
  /** It carries under 5 % of what passes the tee at an end of it, and might as well stand still: a remark, no finding. */
  readonly hardlyRuns: boolean
  /** Least share of full speed whose shut-off head reaches the lift. */
  readonly leastSpeedToLift: number
  readonly leastSpeedBand: number
  /** Fastest water in this line's own pipe and fittings; the nozzle's mouth apart. */
  readonly fastestMPerS: number
  readonly fastestBandMPerS: number
  readonly fastestPieceId: string | null
  /** At the end of the line. */
  readonly exitSpeedMPerS: number
  readonly start: Point
  readonly mouth: Point
  readonly end: RunEnd
  /** It ends in a tank, not in the sump. */
  readonly toTank: boolean
  readonly pipeLengthM: number
  readonly pieces: readonly SolvedPiece[]
  /** Adapters all the way from the pump. */
  readonly joints: readonly SolvedJoint[]
  /** Straight pipe all the way from the pump. */
  readonly stretches: readonly SolvedStretch[]
}

/** The return side: every line, pump and stretch. */
export interface SolvedReturn {
  /** Of the line the design is known by. */
  readonly status: LineStatus
  /** The line the design is known by: the first into the first tank. */
  readonly leadLineId: string
  /** Into all tanks together. */
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
  readonly turnoverPerH: number | null
  readonly turnoverBandPerH: number | null
  /** Of all pumps together. */
  readonly wirePowerW: number
  readonly wirePowerBandW: number
  readonly powerIsScaled: boolean
  readonly energyPerYearJ: number
  readonly costPerYear: number | null
  readonly heatToWaterW: number
  /** Where no answer was found, the line it could not balance. */
  readonly unsettledLineId: string | null
  readonly iterations: number
  readonly pumps: readonly SolvedPump[]
  readonly lines: readonly SolvedLine[]
}
