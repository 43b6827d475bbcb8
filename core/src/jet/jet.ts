import { planeJetAt } from './plane-jet.ts'
import { acrossJet, type JetSection, roundJetAt } from './round-jet.ts'
import { dot, type Vector } from './vector.ts'

/** The long side of a slot and how it lies. */
export interface JetSlot {
  readonly lengthM: number
  readonly widthM: number
  /** Unit vector along the slot, square to the stream. */
  readonly along: Vector
}

/** A stream in space: where it leaves, whereto, how fast and out of what. */
export interface Jet {
  /** Middle of its opening, m from the tank's left, front and floor. */
  readonly from: Vector
  /** Unit vector. */
  readonly towards: Vector
  readonly exitSpeedMPerS: number
  /** Of a round opening, or of the round one with as much area as the slot. */
  readonly boreM: number
  /** null: round. */
  readonly slot: JetSlot | null
}

/** Kinematic momentum, U₀² A, m⁴/s²: what the stream keeps on its way. */
export function momentumOf({ exitSpeedMPerS, boreM }: Jet): number {
  return (Math.PI / 4) * boreM ** 2 * exitSpeedMPerS ** 2
}

/** A stream so far out. A slot's is plane until it would be slower as a round one of the same momentum. */
export function sectionOf(jet: Jet, xM: number): JetSection {
  const round = roundJetAt(jet, xM)
  if (!jet.slot) return round
  const plane = planeJetAt(
    {
      exitSpeedMPerS: jet.exitSpeedMPerS,
      momentumPerWidthM3PerS2: jet.exitSpeedMPerS ** 2 * jet.slot.widthM,
    },
    xM,
  )
  return plane.centrelineMPerS <= round.centrelineMPerS ? plane : round
}

/** Speed of a stream at a place, all water still but for it; zero behind its opening. */
export function jetSpeedAt(jet: Jet, place: Vector): number {
  const to = { x: place.x - jet.from.x, y: place.y - jet.from.y, z: place.z - jet.from.z }
  const xM = dot(to, jet.towards)
  if (xM <= 0) return 0
  const section = sectionOf(jet, xM)
  const squareM2 = Math.max(0, dot(to, to) - xM * xM)
  if (!jet.slot) return acrossJet(section, Math.sqrt(squareM2))
  const alongM = Math.abs(dot(to, jet.slot.along))
  const pastEndM = Math.max(0, alongM - jet.slot.lengthM / 2)
  const besideM2 = Math.max(0, squareM2 - alongM * alongM)
  return acrossJet(section, Math.sqrt(besideM2 + pastEndM * pastEndM))
}

/** How far a stream still has so much speed on its middle line; 0 when it never has. */
export function throwOf(jet: Jet, speedMPerS: number): number {
  if (speedMPerS >= jet.exitSpeedMPerS) return 0
  let near = 0
  let far = 1
  while (sectionOf(jet, far).centrelineMPerS > speedMPerS) far *= 2
  for (let i = 0; i < 40; i++) {
    const middle = (near + far) / 2
    if (sectionOf(jet, middle).centrelineMPerS > speedMPerS) near = middle
    else far = middle
  }
  return far
}
