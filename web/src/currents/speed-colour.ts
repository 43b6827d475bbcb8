/** One colour for a share of the scale, as red, green and blue. */
type Colour = readonly [number, number, number]

/** Dull where water is dead, then from pale to deep; nothing but how light it is need be told apart. */
const DEAD: Colour = [205, 196, 206]
const STOPS: readonly (readonly [number, Colour])[] = [
  [0, [232, 240, 232]],
  [0.25, [172, 211, 204]],
  [0.5, [98, 163, 166]],
  [0.75, [42, 104, 116]],
  [1, [18, 48, 62]],
]
const DYE_STOPS: readonly (readonly [number, Colour])[] = [
  [0, [244, 242, 236]],
  [1 / 3, [196, 120, 150]],
  [1, [84, 16, 58]],
]

/** Speeds run from zero to this on the scale. */
export const SCALE_M_PER_S = 0.4

export function speedColour(mPerS: number, deadMPerS: number): Colour {
  if (mPerS < deadMPerS) return DEAD
  return between(STOPS, mPerS / SCALE_M_PER_S)
}

/** Of a dye, by its share of what a frame can hold. */
export function dyeColour(share: number): Colour {
  return between(DYE_STOPS, share)
}

function between(stops: readonly (readonly [number, Colour])[], share: number): Colour {
  const at = Math.min(1, Math.max(0, share))
  const next = Math.max(
    1,
    stops.findIndex(([stop]) => stop >= at),
  )
  const [low, from] = stops[next - 1]!
  const [high, to] = stops[next]!
  const part = (at - low) / (high - low)
  const mix = (i: 0 | 1 | 2) => Math.round(from[i] + part * (to[i] - from[i]))
  return [mix(0), mix(1), mix(2)]
}

export function cssColour([r, g, b]: Colour): string {
  return `rgb(${r} ${g} ${b})`
}

/** A colour of the theme, which are all written as six hexadecimal digits. */
export function themeColour(token: string): Colour {
  const text = getComputedStyle(document.documentElement).getPropertyValue(token).trim()
  const of = (from: number) => parseInt(text.slice(from, from + 2), 16) || 0
  return [of(1), of(3), of(5)]
}
