/** What a maker says of a sterilizer; lengths of lamp and chamber are used when `by` is lamp. */
export interface SterilizerSpec {
  /** maker: a dose at a flow. lamp: from the lamp's power and the chamber's sizes. */
  readonly by: 'maker' | 'lamp'
  readonly ratedDoseJPerM2: number
  readonly ratedFlowM3PerS: number
  /** Ultraviolet C of the new lamp, not its wire power. */
  readonly uvcPowerW: number
  readonly arcLengthM: number
  readonly sleeveDiameterM: number
  readonly chamberBoreM: number
  /** What 1 cm of this water lets through, 0–1. */
  readonly transmittancePerCm: number
  /** Share of the mean dose that the least lucky water gets. */
  readonly mixingFactor: number
  /** Hours after which the lamp has 80 % left. */
  readonly ratedHoursS: number
  /** Free length beyond its end to draw the lamp. */
  readonly pullOutM: number
  readonly portBoreM: number
  /** A rod through its lid wipes the sleeve; left out: it has none. */
  readonly hasWiper?: boolean
}

/** The state of a lamp, its sleeve and the water. */
export interface LampState {
  readonly burnedS: number
  /** Transmittance of this water relative to the rating's, a plain factor. */
  readonly waterFactor: number
  /** What the sleeve's film lets through, 0–1. */
  readonly sleeveFactor: number
}
