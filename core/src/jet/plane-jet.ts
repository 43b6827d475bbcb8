import type { JetSection } from './round-jet.ts'

/** A stream out of a long slot into still water. */
export interface Slot {
  readonly exitSpeedMPerS: number
  /** Kinematic momentum of each metre of slot, U₀² times its width, m³/s². */
  readonly momentumPerWidthM3PerS2: number
}

/** u = 2.41 √(M/x), never above U₀ (Fischer et al. 1979, Mixing in Inland and Coastal Waters, table 9.2). */
const PLANE_DECAY = 2.41
/** 1/e half-width over the distance (the same). */
const PLANE_SPREAD = 0.116

/** Speed and width of a plane jet at a distance from its slot. */
export function planeJetAt(slot: Slot, xM: number): JetSection {
  const far = PLANE_DECAY * Math.sqrt(slot.momentumPerWidthM3PerS2 / xM)
  return {
    centrelineMPerS: Math.min(slot.exitSpeedMPerS, far),
    halfWidthM: PLANE_SPREAD * xM,
  }
}
