import { FRICTION_SPREAD, RIBBED_SPREAD, SPREAD } from '../fitting/index.ts'
import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { boreAreaM2 } from '../pipe/index.ts'
import type { FittingLoss, FrictionLoss } from '../run/index.ts'

/** Straight pipe with one kind of wall on one bore: h = f × perFlow2 × q². */
export interface Wall {
  readonly relativeRoughness: number
  /** Re ν/|q| = D/A, 1/m. */
  readonly rePerFlow: number
  /** Σ factor L/(D 2g A²), s²/m⁵. */
  readonly perFlow2: number
  /** The same of each pipe times how well it is known, added up; and their squares. */
  readonly spread: number
  readonly spreadSquares: number
}

/** Losses known alike, each u q² + v ν q: sums of what each is times how well it is known, and of the squares. */
export interface Spreads {
  readonly quad: number
  readonly linear: number
  readonly quadSquares: number
  readonly cross: number
  readonly linearSquares: number
}

/** A line of pipe made ready to be asked for its loss many times: h = Σ f perFlow2 q² + quad q² + linear ν q. */
export interface Line {
  readonly walls: readonly Wall[]
  /** All K with the exit: Σ k/(2g A²), s²/m⁵. */
  readonly quad: number
  /** Σ km/(2g A D), 1/m³. */
  readonly linear: number
  /** What is uncertain of its fittings, part-closed valves and devices. */
  readonly fittings: Spreads
  readonly valves: Spreads
  readonly devices: Spreads
}

/** The sums of one kind while they are added up. */
type Summing = { -readonly [Key in keyof Spreads]: Spreads[Key] }

const NO_SPREADS: Spreads = { quad: 0, linear: 0, quadSquares: 0, cross: 0, linearSquares: 0 }

/** A line of pipe: its losses added up, ready to be asked at any flow. */
export function makeLine(
  frictions: readonly FrictionLoss[],
  fittings: readonly FittingLoss[],
): Line {
  const walls: { -readonly [Key in keyof Wall]: Wall[Key] }[] = []
  for (const friction of frictions) addWall(walls, friction)
  const known = {
    fitting: { ...NO_SPREADS },
    'part-closed-valve': { ...NO_SPREADS },
    device: { ...NO_SPREADS },
  }
  let quad = 0
  let linear = 0
  for (const { boreM, loss, kind } of fittings) {
    const areaM2 = boreAreaM2(boreM)
    const own = loss.k / (2 * GRAVITY_M_PER_S2 * areaM2 * areaM2)
    const ownLinear = loss.km / (2 * GRAVITY_M_PER_S2 * areaM2 * boreM)
    quad += own
    linear += ownLinear
    if (kind !== 'exit') addSpread(known[kind], SPREAD[kind] * own, SPREAD[kind] * ownLinear)
  }
  return {
    walls,
    quad,
    linear,
    fittings: known.fitting,
    valves: known['part-closed-valve'],
    devices: known.device,
  }
}

function addSpread(sums: Summing, quad: number, linear: number): void {
  sums.quad += quad
  sums.linear += linear
  sums.quadSquares += quad * quad
  sums.cross += quad * linear
  sums.linearSquares += linear * linear
}

function addWall(
  walls: { -readonly [Key in keyof Wall]: Wall[Key] }[],
  { roughnessM, boreM, lengthM, factor, ribbed }: FrictionLoss,
): void {
  const relativeRoughness = roughnessM / boreM
  const areaM2 = boreAreaM2(boreM)
  const rePerFlow = boreM / areaM2
  const perFlow2 = (factor * lengthM) / (boreM * 2 * GRAVITY_M_PER_S2 * areaM2 * areaM2)
  const spread = perFlow2 * (ribbed ? RIBBED_SPREAD : FRICTION_SPREAD)
  for (const wall of walls) {
    if (wall.relativeRoughness !== relativeRoughness || wall.rePerFlow !== rePerFlow) continue
    wall.perFlow2 += perFlow2
    wall.spread += spread
    wall.spreadSquares += spread * spread
    return
  }
  walls.push({ relativeRoughness, rePerFlow, perFlow2, spread, spreadSquares: spread * spread })
}

/** Two lines, one after the other. */
export function inOneLine(first: Line, then: Line): Line {
  return {
    walls: [...first.walls, ...then.walls],
    quad: first.quad + then.quad,
    linear: first.linear + then.linear,
    fittings: both(first.fittings, then.fittings),
    valves: both(first.valves, then.valves),
    devices: both(first.devices, then.devices),
  }
}

function both(a: Spreads, b: Spreads): Spreads {
  return {
    quad: a.quad + b.quad,
    linear: a.linear + b.linear,
    quadSquares: a.quadSquares + b.quadSquares,
    cross: a.cross + b.cross,
    linearSquares: a.linearSquares + b.linearSquares,
  }
}
