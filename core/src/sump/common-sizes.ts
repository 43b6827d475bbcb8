/** Inside sizes of tanks that are easily had and make a sump, m: plain figures, no maker's. */
export interface CommonSize {
  readonly words: string
  readonly lengthM: number
  readonly widthM: number
  readonly heightM: number
  readonly panelM: number
}

const INCH_M = 0.0254
const MM_M = 0.001

/** [length, width, height, panel] outside, mm. */
const METRIC = [
  [600, 300, 300, 5],
  [600, 400, 400, 6],
  [800, 350, 400, 6],
  [900, 400, 400, 8],
  [1000, 400, 400, 8],
  [1200, 400, 400, 8],
  [1200, 500, 450, 10],
  [1500, 500, 500, 10],
] as const
/** The same in inches. */
const INCHES = [
  [20, 10, 12, 0.197],
  [24, 12, 16, 0.25],
  [30, 12, 18, 0.25],
  [36, 12, 16, 0.25],
  [36, 18, 16, 0.315],
  [48, 13, 20, 0.315],
] as const

function sizeOf(
  [length, width, height, panel]: readonly [number, number, number, number],
  unitM: number,
  unit: string,
): CommonSize {
  return {
    words: `${length} × ${width} × ${height} ${unit}`,
    lengthM: (length - 2 * panel) * unitM,
    widthM: (width - 2 * panel) * unitM,
    heightM: (height - panel) * unitM,
    panelM: panel * unitM,
  }
}

/** Glass boxes as the trade sells them, inside sizes in m. */
export const COMMON_SIZES: readonly CommonSize[] = [
  ...METRIC.map((row) => sizeOf(row, MM_M, 'mm')),
  ...INCHES.map((row) => sizeOf(row, INCH_M, 'in')),
]
