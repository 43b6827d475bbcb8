import type { CornerReadings } from '../design/index.ts'

/** All four of them read. */
export type ReadCorners = { readonly [Corner in keyof CornerReadings]: number }

/** What to put under each corner. */
export interface Levelling {
  /** Shims under the four corners, m; the highest gets none. */
  readonly shims: ReadCorners
  /** How far the highest and the lowest are apart, m. */
  readonly outOfLevelM: number
  /**
   * How far the four are from lying in one plane, m: half of what the two diagonals' sums differ by.
   * Such a stand rocks on its feet, or twists what stands on it.
   */
  readonly twistM: number
}

/** Shims that bring four corners to the height of the highest. */
export function levelling(read: ReadCorners): Levelling {
  const { frontLeftM, frontRightM, backLeftM, backRightM } = read
  const all = [frontLeftM, frontRightM, backLeftM, backRightM]
  const highest = Math.max(...all)
  return {
    shims: {
      frontLeftM: highest - frontLeftM,
      frontRightM: highest - frontRightM,
      backLeftM: highest - backLeftM,
      backRightM: highest - backRightM,
    },
    outOfLevelM: highest - Math.min(...all),
    twistM: Math.abs(frontLeftM + backRightM - frontRightM - backLeftM) / 2,
  }
}

/** The readings, where all four were taken. */
export function allRead(corners: CornerReadings | null): ReadCorners | null {
  return corners && Object.values(corners).every((read) => read !== null)
    ? (corners as ReadCorners)
    : null
}
