import type { ZoneKind } from './zones.ts'

/** A rock as a simple solid: a box, or a boulder, the ellipsoid that fits in it. */
export interface RockSolid {
  readonly id: string
  readonly name: string
  readonly form: 'box' | 'boulder'
  /** Its left, its front and its underside, m from the tank's left, front and inside floor. */
  readonly xM: number
  readonly yM: number
  readonly zM: number
  readonly lengthM: number
  readonly widthM: number
  readonly heightM: number
  /** What lives on it. */
  readonly zone: ZoneKind
}

/** Whether a place is inside a rock. */
export function isInside(rock: RockSolid, x: number, y: number, z: number): boolean {
  const dx = (x - rock.xM) / rock.lengthM - 0.5
  const dy = (y - rock.yM) / rock.widthM - 0.5
  const dz = (z - rock.zM) / rock.heightM - 0.5
  if (rock.form === 'boulder') return dx * dx + dy * dy + dz * dz < 0.25
  return Math.abs(dx) < 0.5 && Math.abs(dy) < 0.5 && Math.abs(dz) < 0.5
}

/** Of the solid as it is drawn: l w h, or π/6 of it. */
export function solidVolumeM3({ form, lengthM, widthM, heightM }: RockSolid): number {
  return lengthM * widthM * heightM * (form === 'boulder' ? Math.PI / 6 : 1)
}
