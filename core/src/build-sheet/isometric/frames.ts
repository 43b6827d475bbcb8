import type { BasinDesign } from '../../design/index.ts'
import type { Point } from '../../run/index.ts'

/** A box in the room as its edges: a tank, a sump. */
export interface Frame {
  /** The tank's, or "sump". */
  readonly id: string
  readonly name: string
  readonly corners: readonly Point[]
}

/** Which of a frame's corners an edge joins: floor, rim, uprights. */
export const EDGES: readonly (readonly [number, number])[] = [
  ...[0, 1, 2, 3].map((i) => [i, (i + 1) % 4] as const),
  ...[0, 1, 2, 3].map((i) => [4 + i, 4 + ((i + 1) % 4)] as const),
  ...[0, 1, 2, 3].map((i) => [i, 4 + i] as const),
]

/** Tanks and the sump, by their inside faces. */
export function framesOf({ tanks, sump }: BasinDesign): Frame[] {
  return [
    ...tanks.map((tank) => ({
      id: tank.id,
      name: tank.name,
      corners: cornersOf(tank, tank.floorHeightM),
    })),
    ...(sump.box
      ? [{ id: 'sump', name: 'Sump', corners: cornersOf(sump.box, sump.box.floorHeightM) }]
      : []),
  ]
}

interface BoxSizes {
  readonly xM: number
  readonly yM: number
  readonly lengthM: number
  readonly widthM: number
  readonly heightM: number
}

function cornersOf(box: BoxSizes, floorM: number): Point[] {
  const [right, back] = [box.xM + box.lengthM, box.yM + box.widthM]
  const round = [
    [box.xM, box.yM],
    [right, box.yM],
    [right, back],
    [box.xM, back],
  ] as const
  return [floorM, floorM + box.heightM].flatMap((zM) => round.map(([xM, yM]) => ({ xM, yM, zM })))
}
