/** One printed point of a pump's curve, at full speed. */
export interface CurvePoint {
  readonly flowM3PerS: number
  readonly headM: number
}

/** One printed point of a pump's wire power, at full speed. */
export interface PowerPoint {
  readonly flowM3PerS: number
  readonly powerW: number
}

/** Runs at the mains' speed, or at a speed its controller sets. */
export type PumpControl = 'fixed-speed' | 'controllable'

/** Where a pump may stand. */
export type PumpMounting = 'under-water' | 'dry' | 'either'

/** The box around a pump as it stands, m. */
export interface PumpSize {
  readonly lengthM: number
  readonly widthM: number
  readonly heightM: number
}

/** A pump as its maker describes it. */
export interface PumpPart {
  readonly id: string
  /** The part, of the library or the keeper's own, that it was taken from; null: it was entered here. */
  readonly partId: string | null
  readonly name: string
  readonly control: PumpControl
  readonly mounting: PumpMounting
  /** Points with rising flow. Empty when the maker prints only the two numbers below. */
  readonly curve: readonly CurvePoint[]
  /** Head at no flow; null: the first point's head. */
  readonly shutOffHeadM: number | null
  /** Flow at no head, used only when there are no points. */
  readonly maxFlowM3PerS: number | null
  readonly ratedPowerW: number
  /** Points with rising flow; empty: rated power scaled by n³. */
  readonly power: readonly PowerPoint[]
  readonly outletBoreM: number
  /** null: not set, taken as the outlet's. */
  readonly inletBoreM: number | null
  /** Least water over the inlet as its maker gives it; null: worked out. */
  readonly leastDepthM: number | null
  /** Lowest speed its controller holds, as a share of full speed. */
  readonly leastSpeed: number
  /** What it costs beside others: 1 little to 5 much; null: not set. */
  readonly priceClass: number | null
  /** null: not set, and whether it fits its chamber is not known. */
  readonly size: PumpSize | null
}
