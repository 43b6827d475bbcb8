import type {
  EmergencyAnswer,
  EmergencyFault,
  NoiseBand,
  PrimeVerdict,
  Restarts,
  RuledBy,
} from '../../drain/index.ts'
import type { Point } from '../../run/index.ts'

/** A tank's overflow as it runs; heights above the room's floor, m. */
export interface RunningOverflow {
  readonly tankId: string
  readonly flowM3PerS: number
  readonly crestM: number
  /** Of the display over the crest. */
  readonly headM: number
  /** How far that may be off: the rim's law and the flow. */
  readonly headBandM: number
  readonly surfaceM: number
  readonly surfaceBandM: number
  /** Before the passage; the box's own level where there is none. null: no drain is given. */
  readonly innerM: number | null
  readonly boxM: number | null
  readonly boxBandM: number
  /** Where the box's water would leave it on the wrong side. */
  readonly boxRimM: number
  readonly spills: 'box' | 'tank' | null
  /** The head is below what the law was measured on. */
  readonly belowMeasured: boolean
  /** Water over the tops of the teeth, m; negative: so much of them is dry. null: smooth. */
  readonly overTeethM: number | null
  /** Flow at which the teeth are just under water. */
  readonly teethDrownM3PerS: number | null
  /** Flow at which the display reaches the tank's rim, its drains willing. */
  readonly tankSpillsM3PerS: number
  /** Head that drives the flow through holes or tubes; null: no passage. */
  readonly passageHeadM: number | null
  /** V/√(gD) in a siphon tube; null: none. */
  readonly froude: number | null
  readonly prime: PrimeVerdict | null
  /** The animals that must stay can't pass its openings; null: not set. */
  readonly keepsIn: boolean | null
  readonly leastOpeningM: number
}

/** full: runs as a siphon. wetted: water runs down its wall. gulps: takes air with the water. dry: nothing. */
export type DrainState = 'full' | 'wetted' | 'gulps' | 'dry'

/** How an emergency pipe would take the whole flow into its tank. */
export interface SolvedEmergency extends Pick<
  EmergencyAnswer,
  'openAtRimM3PerS' | 'primedAtRimM3PerS' | 'by' | 'verdict'
> {
  /** How far those two may be off. */
  readonly openAtRimBandM3PerS: number
  readonly primedAtRimBandM3PerS: number
  /** Rise over its mouth for the flow by the open mouth alone, m; null: it never takes it. */
  readonly riseOpenM: number | null
  /** How far that may be off, m. */
  readonly riseOpenBandM: number
  /** By the full pipe alone; null: it never runs full, or never takes it. */
  readonly risePrimedM: number | null
  /** By the better of the two. */
  readonly riseNeededM: number | null
  /** For 15 % more flow. */
  readonly riseWithReserveM: number | null
  /** Its inlet under the rim that the water must not pass, m. */
  readonly inletToRimM: number
  /** What holds its open mouth back at the rise it needs; null: it never takes it all. */
  readonly ruledBy: RuledBy | null
  /** What keeps it from running full, whatever its size. */
  readonly faults: readonly EmergencyFault[]
  /** Of its end under the water, m; nil or less: in air. */
  readonly endUnderM: number
  /** Of the valve in it that is least open; 1: none is part shut. */
  readonly opening: number
}

/** Whether a siphon starts again by itself. */
export interface SolvedStart extends Restarts {
  /** Of its end under the water as it runs, m. */
  readonly endUnderM: number
}

/** A drain as it runs. */
export interface SolvedDrain {
  readonly drainId: string
  readonly tankId: string
  readonly flowM3PerS: number
  /** Half width: of what comes, and of what the siphons beside it take. */
  readonly flowBandM3PerS: number
  readonly state: DrainState
  /** Of the full pipe from the box's running level, its valves as they stand. */
  readonly primedM3PerS: number
  /** How far that may be off by its own pieces, at two standard deviations. */
  readonly primedBandM3PerS: number
  /** The same with its valves open. */
  readonly openPrimedM3PerS: number
  /** Water over its inlet's lip; negative: its lip is dry by so much. */
  readonly overInletM: number
  /** Least water over its inlet that keeps air out; null: not a siphon. */
  readonly leastOverInletM: number | null
  /** What large bells want over them: a remark, no more; null: not a siphon. */
  readonly bellOverInletM: number | null
  /** Of a vented or trickle pipe's section; null: another role. */
  readonly filledShare: number | null
  readonly noise: NoiseBand | null
  /** What a vented pipe takes at ¼, 7/24 and ⅓ of its section. */
  readonly vented: {
    readonly quietM3PerS: number
    readonly usualM3PerS: number
    readonly mostM3PerS: number
  } | null
  /** Of an emergency pipe: how it would take the whole flow; null: another role. */
  readonly emergency: SolvedEmergency | null
  /** Of a siphon: whether it starts again by itself; null: another role. */
  readonly startsAgain: SolvedStart | null
  /** Of a siphon with a valve: how it is matched to the flow. */
  readonly match: SolvedMatch | null
  readonly speedMPerS: number
  readonly end: 'under-water' | 'above-water'
  readonly start: Point
  readonly mouth: Point
  readonly chamberId: string
  /** The drain it joins; null: none. */
  readonly joinsId: string | null
  /** Least fall of its near-level stretches, m/m; null: it has none. */
  readonly leastSlope: number | null
  /** What a pipe with air in it takes there, half full; null: it has no such stretch, or one without a fall. */
  readonly nearLevelM3PerS: number | null
  readonly pieces: readonly SolvedDrainPiece[]
}

/** One piece of a drain in its place. */
export interface SolvedDrainPiece {
  readonly pieceId: string
  readonly kind: string
  readonly from: Point
  readonly to: Point
  readonly boreM: number
  readonly flowM3PerS: number
  readonly speedMPerS: number
}

/** A siphon's valve set so that the siphon carries what comes. */
export interface SolvedMatch {
  readonly pieceId: string
  readonly form: 'gate' | 'ball'
  /** What it should carry, and the box level to hold. */
  readonly flowM3PerS: number
  readonly levelM: number
  /** Share open that does it; null: even the open valve lets too little through. */
  readonly opening: number | null
  /** How far that setting may be off, share of the stroke: the pipe's losses, the valve's own K, what comes; null: siphons that join, or no setting. */
  readonly openingBand: number | null
  /** Change of the box's level for one degree of a ball valve or one turn of a gate, m; positive: as it shuts. */
  readonly levelPerTouchM: number | null
  /** What that asks of the hand; null: not known. */
  readonly touch: Touch | null
}

/** What a setting asks of the hand: very-touchy moves the box by more than a rim has to spare. */
export type Touch = 'easy' | 'touchy' | 'very-touchy'

/** A chamber as it runs. */
export interface SolvedChamber {
  readonly chamberId: string
  /** Above the room's floor. */
  readonly levelM: number
  /** How far that may be off; zero: the keeper fills to it. */
  readonly levelBandM: number
  readonly throughBandM3PerS: number
  /** Over the sump's floor; null: the sump has no sizes. */
  readonly depthM: number | null
  readonly lengthM: number | null
  readonly areaM2: number | null
  /** Water in it. */
  readonly volumeM3: number | null
  /** To the sump's rim. */
  readonly freeboardM: number | null
  readonly throughM3PerS: number
  /** Time its water stays; null where none passes. */
  readonly throughflowS: number | null
  /** Of the water along the sump. */
  readonly speedMPerS: number | null
  readonly starved: boolean
  readonly spills: boolean
  readonly apart: boolean
  /** Water goes down in it between a wall it comes over and one it leaves under; null: it does not. */
  readonly trap: SolvedTrap | null
}

/** Bubbles that go down with the water between two walls, m/s and m. */
export interface SolvedTrap {
  readonly downMPerS: number
  /** Largest bubble that goes down with it; null: all do. */
  readonly largestBubbleM: number | null
}

/** What evaporates, and how long the sump stands it. */
export interface SolvedWaterUse {
  readonly evaporationM3PerS: number
  /** Until the pump draws air with no top-off; null: its inlet's height is not set, or nothing evaporates. */
  readonly untilAirS: number | null
  /** null: the sump has no reservoir, or nothing evaporates. */
  readonly reservoirS: number | null
  /** Salinity if the whole reservoir ran in; null: no reservoir. */
  readonly salinityAfterPpt: number | null
}

/** The sump as it runs. */
export interface RunningSump {
  readonly returnChamberId: string
  readonly chambers: readonly SolvedChamber[]
  /** Water in all chambers; null: the sump has no sizes. */
  readonly volumeM3: number | null
  readonly waterUse: SolvedWaterUse | null
}

/** How the loop came to rest. */
export interface SolvedLoop {
  readonly passes: number
  /** Levels still moved so much when the search gave up, m; zero when it steady. */
  readonly residualM: number
}
