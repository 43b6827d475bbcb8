import { toMillimetre } from '../quantity/index.ts'
import type { RockSolid, ZoneKind } from '../scene/index.ts'

/** Rockwork that can be laid at one press. */
export type RockLayoutName = 'wall' | 'two-islands' | 'bommie-with-arch'

/** The water's box that rock is laid out in. */
export interface WaterBody {
  readonly lengthM: number
  readonly widthM: number
  readonly depthM: number
  readonly sandDepthM: number
}

/** Shares of the water's length, width and depth over the sand. */
type Share = readonly [
  name: string,
  form: RockSolid['form'],
  zone: ZoneKind,
  x: number,
  y: number,
  z: number,
  length: number,
  width: number,
  height: number,
]

const LAYOUTS: Readonly<Record<RockLayoutName, readonly Share[]>> = {
  wall: [
    ['Wall, left', 'box', 'soft', 0.12, 0.5, 0, 0.26, 0.3, 0.5],
    ['Wall, middle', 'box', 'large-polyp', 0.38, 0.55, 0, 0.26, 0.27, 0.62],
    ['Wall, right', 'box', 'small-polyp', 0.64, 0.5, 0, 0.24, 0.3, 0.46],
    ['Boulder before it', 'boulder', 'soft', 0.42, 0.28, 0, 0.16, 0.24, 0.28],
  ],
  'two-islands': [
    ['Left island', 'boulder', 'soft', 0.1, 0.22, -0.12, 0.3, 0.5, 0.66],
    ['Left crown', 'boulder', 'small-polyp', 0.18, 0.35, 0.36, 0.14, 0.24, 0.3],
    ['Right island', 'boulder', 'large-polyp', 0.58, 0.28, -0.12, 0.3, 0.46, 0.56],
    ['Right foot', 'boulder', 'soft', 0.78, 0.5, -0.06, 0.14, 0.26, 0.28],
  ],
  'bommie-with-arch': [
    ['Bommie', 'boulder', 'small-polyp', 0.12, 0.25, -0.14, 0.34, 0.52, 0.84],
    ['Arch, foot', 'box', 'soft', 0.72, 0.4, 0, 0.1, 0.24, 0.4],
    ['Arch, span', 'box', 'large-polyp', 0.4, 0.42, 0.4, 0.42, 0.2, 0.14],
    ['Rubble', 'boulder', 'soft', 0.55, 0.16, -0.04, 0.14, 0.2, 0.2],
  ],
}

/** Their names in the order they are offered. */
export const ROCK_LAYOUTS = Object.keys(LAYOUTS) as RockLayoutName[]

/** A ready layout fitted to a tank. `newId` gives ids. */
export function rockLayout(
  name: RockLayoutName,
  { lengthM, widthM, depthM, sandDepthM }: WaterBody,
  newId: () => string,
): RockSolid[] {
  const overSandM = depthM - sandDepthM
  return LAYOUTS[name].map(([title, form, zone, x, y, z, length, width, height]) => ({
    id: newId(),
    name: title,
    form,
    zone,
    xM: toMillimetre(x * lengthM),
    yM: toMillimetre(y * widthM),
    zM: toMillimetre(sandDepthM + z * overSandM),
    lengthM: toMillimetre(length * lengthM),
    widthM: toMillimetre(width * widthM),
    heightM: toMillimetre(height * overSandM),
  }))
}
