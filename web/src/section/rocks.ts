/** Outline of a heap of rock: three humps, as wide as its bulk needs, standing on the sand. */
export function rockHeap({
  left,
  right,
  base,
  top,
  share,
}: {
  readonly left: number
  readonly right: number
  readonly base: number
  readonly top: number
  /** Share of the tank's section that the heap fills, 0–1. */
  readonly share: number
}): string {
  const width = (right - left) * Math.min(0.86, 0.3 + share)
  const height = (base - top) * Math.min(0.9, 0.28 + share * 1.4)
  const x0 = left + (right - left) * 0.48 - width / 2
  const at = (x: number, y: number) =>
    `${(x0 + x * width).toFixed(1)},${(base - y * height).toFixed(1)}`
  return `M${at(0, 0)} C${at(0.04, 0.5)} ${at(0.12, 0.62)} ${at(0.2, 0.6)} C${at(0.26, 0.95)} ${at(0.38, 1.05)} ${at(0.46, 0.92)} C${at(0.56, 0.8)} ${at(0.58, 0.4)} ${at(0.64, 0.28)} C${at(0.7, 0.62)} ${at(0.86, 0.6)} ${at(0.9, 0.42)} C${at(0.96, 0.3)} ${at(0.98, 0.1)} ${at(1, 0)} Z`
}
