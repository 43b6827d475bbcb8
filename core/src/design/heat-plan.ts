/** What panels are of, as far as heat asks: thin acrylic counts as glass. */
export type PanelKind = 'glass' | 'thick-acrylic'

/** The room round the water, and what the keeper wants of its warmth. */
export interface HeatPlan {
  readonly coldestRoomC: number
  readonly warmestRoomC: number
  /** Of the room's air, 0–1; null: evaporation is as it was given, in mm a day. */
  readonly humidity: number | null
  /** Fa of the surface: 0.5 still to 1 rippled. */
  readonly stirred: number
  readonly tankPanels: PanelKind
  readonly sumpPanels: PanelKind
  /** Of all lights over the tanks. */
  readonly lightsW: number
  readonly lightHoursPerDay: number
  /** Heat that its chiller takes out of the water; null: it has none. */
  readonly chillerW: number | null
  /** The time a keeper wants to have until a heater that is stuck on has the water too warm, s. */
  readonly warningS: number
}
