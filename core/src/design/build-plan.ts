import type { OwnTakeOff } from '../fitting/index.ts'

/** What a panel is made of. */
export type PanelMaterial = 'glass' | 'acrylic'

/** The panels of one tank. */
export interface TankPanels {
  readonly tankId: string
  readonly material: PanelMaterial
  /** null: not set. */
  readonly thicknessM: number | null
}

/** Heights read at a stand's four corners, m, over any one level line; null: not read yet. */
export interface CornerReadings {
  readonly frontLeftM: number | null
  readonly frontRightM: number | null
  readonly backLeftM: number | null
  readonly backRightM: number | null
}

/** What the keeper said of building. */
export interface BuildPlan {
  /** Lengths that metric and inch pipe is sold in, m. */
  readonly metricStockM: number
  readonly inchStockM: number
  /** Width of a saw cut. */
  readonly sawCutM: number
  /** Share of the fittings that is bought to spare. */
  readonly sparesShare: number
  /** Measured on the keeper's own fittings. */
  readonly takeOffs: readonly OwnTakeOff[]
  /** Share of water bound in the salt mix. */
  readonly boundInMix: number
  /** What one person lifts. */
  readonly liftKg: number
  /** What fills the tank: a hose's flow; null: not set. */
  readonly fillM3PerS: number | null
  /** Where it is glued. */
  readonly roomC: number
  /** Weight of the stands and of the empty sump; null: not set. */
  readonly standKg: number | null
  readonly sumpKg: number | null
  /** Feet that it all stands on. */
  readonly feet: number
  readonly panels: readonly TankPanels[]
  /** Tanks whose bulkheads go in once they stand; those of the others go in before they are lifted. */
  readonly bulkheadsAfter: readonly string[]
  /** The day that building begins, yyyy-mm-dd; null: not set. */
  readonly startsOn: string | null
  /** null: not read yet. */
  readonly corners: CornerReadings | null
}

/** What holds until the keeper says otherwise: 2 m and 10 ft pipe, a 3 mm saw cut, a tenth to spare (choices). */
export const USUAL_BUILD: BuildPlan = {
  metricStockM: 2,
  inchStockM: 3.048,
  sawCutM: 0.003,
  sparesShare: 0.1,
  takeOffs: [],
  boundInMix: 0.1,
  liftKg: 25,
  fillM3PerS: null,
  roomC: 20,
  standKg: null,
  sumpKg: null,
  feet: 4,
  panels: [],
  bulkheadsAfter: [],
  startsOn: null,
  corners: null,
}
