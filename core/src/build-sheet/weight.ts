import type { PanelMaterial } from '../design/index.ts'

/** Density of panels, kg/m³. */
export const PANEL_KG_PER_M3: Readonly<Record<PanelMaterial, number>> = {
  glass: 2500,
  acrylic: 1190,
}

/** One person lifts so much, kg (choice). */
export const LIFT_KG = 25

/** A panel by its face. */
export interface Panel {
  readonly material: PanelMaterial
  readonly areaM2: number
  readonly thicknessM: number
}

/** Weight of panels, kg. */
export function panelsKg(panels: readonly Panel[]): number {
  return panels.reduce(
    (sum, { material, areaM2, thicknessM }) =>
      sum + PANEL_KG_PER_M3[material] * areaM2 * thicknessM,
    0,
  )
}

/** What stands on a floor, kg. */
export interface Loads {
  readonly waterKg: number
  readonly rockKg: number
  readonly sandKg: number
  readonly tankKg: number
  readonly standKg: number
  readonly sumpKg: number
  readonly sumpWaterKg: number
}

/** All of it together, kg. */
export function totalKg(loads: Loads): number {
  return Object.values(loads).reduce<number>((sum, kg: number) => sum + kg, 0)
}

/** How many people lift something, at 25 kg each (choice). */
export function peopleToLift(kg: number, each = LIFT_KG): number {
  return Math.max(1, Math.ceil(kg / each - 1e-9))
}
