import { momentumOf, type Vector } from '../jet/index.ts'
import { toMillimetre } from '../quantity/index.ts'
import {
  type CirculationPump,
  DEAD_M_PER_S,
  LIFT_M_PER_S,
  type ScenePanel,
} from '../scene/index.ts'
import { planField, updatesOf } from './field-plan.ts'
import {
  cellAt,
  type Grid,
  gridOf,
  middleOf,
  neighbourSteps,
  placeOf,
  ROCK,
  SAND,
  WATER,
  waterCells,
} from './grid.ts'
import { type FieldVerdict, judgeField, shareMoved } from './judge.ts'
import { quickSpeedAt, type Reach, reachOf } from './quick-look.ts'
import { simulateField } from './simulate-field.ts'
import type { FlowDomain } from './flow-domain.ts'
import { aimedAt, openingOf, pumpStream } from './streams.ts'

/** A way to place the pumps, and how good it looked. */
export interface Placement {
  readonly pumps: readonly CirculationPump[]
  /** 0…1 by the jets alone. */
  readonly quickScore: number
  /** 0…1 by a coarse field. */
  readonly score: number
  readonly verdict: FieldVerdict
}

/** How a search went. */
export interface PlacementSearch {
  /** The best first; as placed when nothing better was found. */
  readonly best: readonly Placement[]
  readonly before: Placement
  readonly tried: number
}

const QUICK_TRIES = 1200
/** Layouts that are run as fields. */
const REFINED = 6
/** What a share of dead water costs beside shares of faces in their range. */
const DEAD_COST = 0.8
const LIFT_COST = 0.4
/** Water that comes back from the panels goes at about so much of √M over the tank's size. */
const BACKGROUND = 0.7
const SAMPLE_EVERY = 2
const WATER_EVERY = 7

interface Sample {
  readonly at: Vector
  readonly least: number
  readonly most: number
}

/** Mounting positions, aims and speeds for a tank's pumps that suit its zones: by the jets first, the best by fields. Long: for a worker. */
export function placePumps(
  domain: FlowDomain,
  pumps: readonly CirculationPump[],
  random: () => number,
  progress: (done: number, of: number) => void = () => {},
): PlacementSearch | null {
  if (pumps.length === 0) return null
  const others = domain.streams.filter(({ from }) => from === 'nozzle')
  const withPumps = (some: readonly CirculationPump[]): FlowDomain => ({
    ...domain,
    streams: [...some.map((pump) => pumpStream(pump, domain)), ...others],
  })
  const grid = gridOf(domain, 'coarse')
  const samples = samplesOf(grid, domain)
  const quick = (some: readonly CirculationPump[]) => quickScore(withPumps(some), grid, samples)
  const kept: { pumps: readonly CirculationPump[]; score: number }[] = []
  let held = { pumps, score: quick(pumps) }
  const work = QUICK_TRIES + (REFINED + 1) * REFINE_WORK
  for (let i = 0; i < QUICK_TRIES; i++) {
    const fresh = i % 40 === 0
    const next = fresh
      ? pumps.map((pump) => anywhere(pump, domain, random))
      : held.pumps.map((pump) => (random() < 0.5 ? nudged(pump, domain, random) : pump))
    const score = quick(next)
    if (fresh || score > held.score) held = { pumps: next, score }
    keep(kept, held)
    if (i % 20 === 0) progress(i, work)
  }
  let done = QUICK_TRIES
  const refine = (some: readonly CirculationPump[], score: number): Placement => {
    const placed = withPumps(some)
    const field = simulateField(planField(placed, 'coarse')!, (at, of) =>
      progress(done + (REFINE_WORK * at) / of, work),
    )
    done += REFINE_WORK
    const verdict = judgeField(field, domain)
    return { pumps: some, quickScore: score, score: fieldScore(verdict), verdict }
  }
  const before = refine(pumps, quick(pumps))
  const refined = kept.map((placement) => refine(placement.pumps, placement.score))
  const best = refined
    .filter((placement) => placement.score > before.score)
    .sort((a, b) => b.score - a.score)
  return { best, before, tried: QUICK_TRIES + REFINED }
}

/** Updates of cells that a search comes to, in fields: what its time is estimated by; zero: nothing to search. */
export function updatesOfPlacing(domain: FlowDomain): number {
  const plan = planField(domain, 'coarse')
  return plan ? (REFINED + 1) * updatesOf(plan) : 0
}

/** A field counts as so many quick looks in the progress. */
const REFINE_WORK = 400

/** The best few that differ. */
function keep(
  kept: { pumps: readonly CirculationPump[]; score: number }[],
  placement: { pumps: readonly CirculationPump[]; score: number },
): void {
  const like = kept.findIndex((other) => alike(other.pumps, placement.pumps))
  if (like >= 0 && kept[like]!.score >= placement.score) return
  if (like >= 0) kept.splice(like, 1)
  kept.push(placement)
  kept.sort((a, b) => b.score - a.score)
  kept.length = Math.min(kept.length, REFINED)
}

const NEAR_M = 0.12

function alike(a: readonly CirculationPump[], b: readonly CirculationPump[]): boolean {
  return a.every(
    (pump, i) =>
      pump.panel === b[i]!.panel &&
      Math.hypot(pump.alongM - b[i]!.alongM, pump.upM - b[i]!.upM) < NEAR_M,
  )
}

/** Shares of all faces in their range, or of the water that moves where there are none, less what dead water and lifted sand cost. */
function fieldScore(verdict: FieldVerdict): number {
  const sand = verdict.zones.find(({ zone }) => zone === 'sand')?.areaM2 ?? 0
  const lift = sand > 0 ? verdict.liftAreaM2 / sand : 0
  return Math.max(0, shareMoved(verdict) - DEAD_COST * verdict.deadShare - LIFT_COST * lift)
}

/** The same, by the jets alone, over faces and water that stand for all. */
function quickScore(domain: FlowDomain, grid: Grid, samples: readonly Sample[]): number {
  const reached: Reach[] = domain.streams.map(({ id, jet }) => reachOf(domain, id, jet))
  const momentum = domain.streams.reduce((sum, { jet }) => sum + momentumOf(jet), 0)
  const sizeM = Math.cbrt(domain.lengthM * domain.widthM * domain.depthM)
  const background = (BACKGROUND * Math.sqrt(momentum)) / sizeM
  const short = reached.filter(({ lengthM }) => lengthM < 0.15).length
  let good = 0
  let dead = 0
  let lift = 0
  for (const { at, least, most } of samples) {
    const speed = quickSpeedAt(reached, background * farness(at, grid), at)
    if (speed >= least && speed <= most) good++
    if (speed < DEAD_M_PER_S) dead++
    if (speed > LIFT_M_PER_S && most <= LIFT_M_PER_S) lift++
  }
  const n = Math.max(1, samples.length)
  return good / n - (DEAD_COST * dead) / n - (LIFT_COST * lift) / n - 0.2 * short
}

/** Corners get less of what comes back. */
function farness({ x, y, z }: Vector, grid: Grid): number {
  const near = (at: number, cells: number) => {
    const size = cells * grid.cellM
    return Math.min(1, Math.min(at, size - at) / (0.15 * size))
  }
  return 0.3 + 0.7 * ((near(x, grid.waterX) + near(y, grid.waterY) + near(z, grid.waterZ)) / 3)
}

/** Faces that stand for all; without rock and sand, water that is to move. */
export function samplesOf(grid: Grid, domain: FlowDomain): Sample[] {
  const faces = faceSamples(grid, domain)
  if (faces.length > 0) return faces
  const water = { least: DEAD_M_PER_S, most: Infinity }
  return waterCells(grid)
    .filter((cell) => cell % WATER_EVERY === 0)
    .map((cell) => ({ at: placeOf(grid, cell), ...water }))
}

function faceSamples(grid: Grid, domain: FlowDomain): Sample[] {
  const steps = neighbourSteps(grid)
  const samples: Sample[] = []
  for (let z = 1; z <= grid.waterZ; z++)
    for (let y = 1; y <= grid.waterY; y++)
      for (let x = 1; x <= grid.waterX; x++) {
        const cell = cellAt(grid, x, y, z)
        if (grid.fill[cell] !== WATER) continue
        for (const step of steps) {
          const range = rangeBeside(domain, grid.fill[cell + step]!)
          if (range && (x + y + z) % SAMPLE_EVERY === 0)
            samples.push({ at: middleOf(grid, x, y, z), ...range })
        }
      }
  return samples
}

function rangeBeside(domain: FlowDomain, fill: number): { least: number; most: number } | null {
  if (fill !== SAND && fill < ROCK) return null
  const zone = fill === SAND ? 'sand' : domain.rocks[fill - ROCK]!.zone
  const range = domain.ranges.find((wanted) => wanted.zone === zone)
  return range ? { least: range.leastMPerS, most: range.mostMPerS } : null
}

const PANELS: readonly ScenePanel[] = ['left', 'right', 'back']

/** A mounting position on a panel that is looked at least, looking into the tank. */
function anywhere(
  pump: CirculationPump,
  domain: FlowDomain,
  random: () => number,
): CirculationPump {
  const panel = PANELS[Math.floor(random() * PANELS.length)]!
  const wideM = panel === 'back' ? domain.lengthM : domain.widthM
  const mounted = mountedAt({ ...pump, panel }, domain, random() * wideM, random() * domain.depthM)
  const at = {
    x: domain.lengthM * (0.1 + 0.8 * random()),
    y: domain.widthM * (0.1 + 0.8 * random()),
    z: domain.sandDepthM + (domain.depthM - domain.sandDepthM) * (0.3 + 0.6 * random()),
  }
  const { turnDeg, tiltDeg } = aimedAt(panel, openingOf(mounted, domain), at)
  return {
    ...mounted,
    turnDeg: bounded(turnDeg, -80, 80),
    tiltDeg: bounded(tiltDeg, -45, 45),
    speed: speedOf(pump, 0.4 + 0.6 * random()),
  }
}

function nudged(pump: CirculationPump, domain: FlowDomain, random: () => number): CirculationPump {
  const by = (span: number) => (random() * 2 - 1) * span
  const moved = mountedAt(pump, domain, pump.alongM + by(0.1), pump.upM + by(0.08))
  return {
    ...moved,
    turnDeg: bounded(pump.turnDeg + by(20), -80, 80),
    tiltDeg: bounded(pump.tiltDeg + by(12), -45, 45),
    speed: speedOf(pump, pump.speed + by(0.15)),
  }
}

function mountedAt(
  pump: CirculationPump,
  { lengthM, widthM, depthM, sandDepthM }: FlowDomain,
  alongM: number,
  upM: number,
): CirculationPump {
  const wideM = pump.panel === 'left' || pump.panel === 'right' ? widthM : lengthM
  const halfM = pump.part.bodyM / 2
  return {
    ...pump,
    alongM: toMillimetre(Math.min(wideM - halfM, Math.max(halfM, alongM))),
    upM: toMillimetre(Math.min(depthM - pump.part.bodyM, Math.max(sandDepthM + halfM, upM))),
  }
}

function bounded(deg: number, least: number, most: number): number {
  return Math.round(Math.min(most, Math.max(least, deg)))
}

function speedOf({ part }: CirculationPump, speed: number): number {
  if (part.control === 'fixed-speed') return 1
  return Math.round(Math.min(1, Math.max(part.leastSpeed, speed)) * 100) / 100
}
