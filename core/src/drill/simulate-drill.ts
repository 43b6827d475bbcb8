import { netWater } from '../figures/index.ts'
import { freshDensityKgPerM3, waterAt } from '../fluid/index.ts'
import type { SteadyState } from '../loop/index.ts'
import { zeros } from '../numeric/index.ts'
import { type Brine, brineOf, mixed } from './brine.ts'
import type { Drill, DrillFault } from './fault.ts'
import { integrate, type Mark } from './integrate.ts'
import { airLockMarks, marksOf } from './marks.ts'
import { afterFault, atTheStart, isLimited, type Mode, topOffRuns } from './mode.ts'
import type { DrillEvent, PlantDetector } from './drill-event.ts'
import { plantDetectors } from './plant-detectors.ts'
import { plantLaws, type PlantLaws } from './plant-laws.ts'
import { makePlant, type Plant } from './plant.ts'
import { siphonsAtTheStart } from './siphon-detectors.ts'
import { levelsOf, vesselKey } from './vessel.ts'
import { FIRST_WAYS, type DoubtfulWays } from './ways.ts'

/** What happened when. */
export interface LogEntry {
  readonly atS: number
  readonly what: { readonly fault: DrillFault } | { readonly event: DrillEvent }
}

/** One moment of a drill, for playing it. */
export interface Moment {
  readonly timeS: number
  /** Of every vessel. */
  readonly levelsM: number[]
  /** In every link of the return side, in the design's order. */
  readonly returnFlows: number[]
  /** Of every drain, in the design's order. */
  readonly drainFlows: number[]
  readonly spilledM3: number
}

/** Highest and lowest of one vessel. */
export interface Extremes {
  readonly highestM: number
  readonly highestAtS: number
  readonly lowestM: number
  readonly lowestAtS: number
}

/** Extremes while they are still being found. */
type Writable<T> = { -readonly [K in keyof T]: T[K] }

/** How a drill went. */
export interface DrillSimulation {
  readonly plant: Plant
  readonly drill: Drill
  readonly log: readonly LogEntry[]
  readonly moments: readonly Moment[]
  readonly extremes: readonly Extremes[]
  /** Of each vessel by its key. */
  readonly startLevelsM: ReadonlyMap<string, number>
  readonly volumes: number[]
  readonly brine: Brine
  readonly startBrine: Brine
  readonly endS: number
  readonly atRest: boolean
  readonly steps: number
  /** Water made or lost by the reckoning itself, as a share of all water. */
  readonly unaccounted: number
}

/** How a drill is simulated. */
export interface SimulationOptions {
  /** Each step taken as so many: 2 to see what halving it moves. */
  readonly stepsForOne?: number
  /** Keeps moments for playing; without, only the extremes. */
  readonly keepsMoments?: boolean
  readonly ways?: DoubtfulWays
}

/** A system that switches more often than this is chattering, and is left at that. */
const MOST_SWITCHINGS = 2000
/** What a system does once its pump drew air shows in so long, s (choice). */
const AFTER_AIR_S = 3600
/** No more moments than this are kept: every other one goes when there are more. */
const MOST_MOMENTS = 900

/** Steps a system at rest through a drill until it rests again or its time is over. */
export function simulateDrill(
  steady: SteadyState,
  drill: Drill,
  options: SimulationOptions = {},
): DrillSimulation {
  return new DrillWalk(makePlant(steady), drill, options).walk()
}

/** One drill from its first fault to its end. */
class DrillWalk {
  readonly #plant: Plant
  readonly #drill: Drill
  readonly #options: SimulationOptions
  readonly #volumes: number[]
  readonly #levels: number[]
  readonly #extremes: readonly Writable<Extremes>[]
  readonly #log: LogEntry[] = []
  readonly #written = new Set<string>()
  #moments: Moment[] = []
  #every = 1
  #seen = 0
  #mode: Mode
  #laws: PlantLaws
  #brine: Brine
  readonly #startBrine: Brine
  readonly #freshKgPerM3: number
  #freshBefore: number
  #lostBefore = 0
  #timeS = 0
  /** When the top-off's own limit stops it. */
  #givesUpS = Infinity
  /** A drill that took days is over an hour after its pump drew air. */
  #lastS = Infinity
  #steps = 0
  #atRest = false
  readonly #startM3: number
  readonly #startLevels: ReadonlyMap<string, number>
  readonly #marks: readonly Mark[]

  constructor(plant: Plant, drill: Drill, options: SimulationOptions) {
    this.#plant = plant
    this.#drill = drill
    this.#options = options
    this.#volumes = plant.volumes.slice()
    this.#levels = zeros(plant.vessels.length)
    levelsOf(plant.vessels, this.#volumes, this.#levels)
    this.#extremes = [...this.#levels].map((levelM) => ({
      highestM: levelM,
      highestAtS: 0,
      lowestM: levelM,
      lowestAtS: 0,
    }))
    this.#startM3 = sum(this.#volumes)
    this.#startLevels = new Map(
      plant.vessels.map((vessel, v) => [vesselKey(vessel), this.#levels[v]!]),
    )
    const { design } = plant.steady
    this.#mode = atTheStart(design, siphonsAtTheStart(plant.steady), drill.evaporates)
    this.#marks = marksOf(plant)
    this.#laws = plantLaws(plant, this.#mode, drill.evaporates)
    const { temperatureC, salinityPpt } = design.water
    this.#freshKgPerM3 = freshDensityKgPerM3(temperatureC)
    this.#freshBefore = plant.topOffSupply < 0 ? 0 : this.#volumes[plant.topOffSupply]!
    const density = waterAt(design.water).densityKgPerM3
    const { displayM3, sumpM3 } = netWater(plant.steady)
    this.#startBrine = brineOf(displayM3 + sumpM3, salinityPpt, density)
    this.#brine = this.#startBrine
  }

  walk(): DrillSimulation {
    const { faults, durationS } = this.#drill
    const due = [...faults].sort((a, b) => a.atS - b.atS)
    for (const [i, { atS, fault }] of due.entries()) {
      this.#flowUntil(atS)
      this.#log.push({ atS: this.#timeS, what: { fault } })
      this.#liftOut(fault)
      this.#switch(afterFault(this.#mode, fault))
      if (i === due.length - 1) this.#flowUntil(durationS)
    }
    return {
      plant: this.#plant,
      drill: this.#drill,
      log: this.#log,
      moments: this.#moments,
      extremes: this.#extremes,
      startLevelsM: this.#startLevels,
      volumes: this.#volumes,
      brine: this.#brine,
      startBrine: this.#startBrine,
      endS: this.#timeS,
      atRest: this.#atRest,
      steps: this.#steps,
      unaccounted: Math.abs(sum(this.#volumes) - this.#startM3) / this.#startM3,
    }
  }

  #flowUntil(toS: number): void {
    for (let switchings = 0; switchings < MOST_SWITCHINGS; switchings++) {
      const endS = Math.min(toS, this.#lastS)
      if (this.#timeS >= endS) return
      const untilS = Math.min(endS, this.#givesUpS)
      const detectors = plantDetectors(this.#plant, this.#mode, {
        written: this.#written,
        ways: this.#options.ways ?? FIRST_WAYS,
      })
      const end = integrate(this.#volumes, {
        vessels: this.#laws.vessels,
        laws: this.#laws.laws,
        detectors,
        marks: [...this.#marks, ...airLockMarks(this.#plant, this.#mode)],
        fromS: this.#timeS,
        toS: untilS,
        ...(this.#options.stepsForOne ? { stepsForOne: this.#options.stepsForOne } : {}),
        seen: (timeS, volumes, levels) => this.#see(timeS, volumes, levels),
      })
      this.#timeS = end.timeS
      this.#steps += end.steps
      this.#atRest = end.atRest
      if (!end.detector) {
        if (this.#timeS < this.#givesUpS || this.#timeS >= endS) return
        this.#giveUp()
        continue
      }
      const fired = detectors.find((detector) => detector === end.detector)
      if (fired) this.#fire(fired)
    }
  }

  /** Rock that leaves a tank leaves room: its water falls by as much. */
  #liftOut(fault: DrillFault): void {
    if (fault.kind !== 'rock-out') return
    const { steady, lifted } = this.#plant
    const tank = steady.design.tanks.findIndex(({ id }) => id === fault.tankId)
    const litres = Math.min(fault.volumeM3, this.#volumes[tank]!)
    this.#volumes[tank] = this.#volumes[tank]! - litres
    this.#volumes[lifted] = this.#volumes[lifted]! + litres
  }

  #fire(detector: PlantDetector): void {
    this.#log.push({ atS: this.#timeS, what: { event: detector.event } })
    this.#written.add(detector.name)
    if (this.#drill.evaporates && detector.event.kind === 'pump-draws-air') {
      this.#lastS = this.#timeS + AFTER_AIR_S
    }
    if (detector.becomes) this.#switch(detector.becomes(this.#mode))
  }

  #giveUp(): void {
    this.#log.push({ atS: this.#timeS, what: { event: { kind: 'top-off-gives-up' } } })
    this.#switch({ ...this.#mode, topOff: 'gave-up' })
  }

  /** Its own limit counts from when it begins to run. */
  #timeTopOff(before: Mode, now: Mode): void {
    const limitS = this.#plant.steady.design.sump.topOff?.runLimitS ?? Infinity
    if (!topOffRuns(now) || !isLimited(now)) this.#givesUpS = Infinity
    else if (!topOffRuns(before) || this.#givesUpS === Infinity) {
      this.#givesUpS = this.#timeS + limitS
    }
  }

  #switch(mode: Mode): void {
    this.#timeTopOff(this.#mode, mode)
    this.#mode = mode
    const { returnFlow } = this.#laws
    this.#laws = plantLaws(this.#plant, mode, this.#drill.evaporates, returnFlow)
  }

  #see(timeS: number, volumes: number[], levels: number[]): void {
    for (let v = 0; v < levels.length; v++) this.#reach(v, timeS, levels[v]!)
    this.#mix(volumes)
    if (this.#options.keepsMoments) this.#keep(timeS, levels)
  }

  #reach(vessel: number, timeS: number, levelM: number): void {
    const extreme = this.#extremes[vessel]!
    if (levelM > extreme.highestM) {
      extreme.highestM = levelM
      extreme.highestAtS = timeS
    } else if (levelM < extreme.lowestM) {
      extreme.lowestM = levelM
      extreme.lowestAtS = timeS
    }
  }

  #mix(volumes: number[]): void {
    const { topOffSupply, removed, leaked, collector, air } = this.#plant
    const freshNow = topOffSupply < 0 ? 0 : volumes[topOffSupply]!
    const freshM3 = this.#freshBefore - freshNow - volumes[air]!
    const goneM3 = volumes[removed]! + volumes[leaked]! + volumes[collector]!
    const lostM3 = onFloorM3(this.#plant, volumes) + goneM3 - this.#lostBefore
    if (freshM3 !== 0 || lostM3 > 0) {
      this.#brine = mixed(this.#brine, { freshM3, lostM3, freshKgPerM3: this.#freshKgPerM3 })
    }
    this.#freshBefore = freshNow + volumes[air]!
    this.#lostBefore += lostM3
  }

  #keep(timeS: number, levels: number[]): void {
    if (this.#seen++ % this.#every !== 0) return
    const { steady } = this.#plant
    const drainFlows = zeros(steady.drains.length)
    for (const drains of this.#laws.drains) drains.flowsInto(drainFlows)
    this.#moments.push({
      timeS,
      levelsM: levels.slice(),
      returnFlows: this.#laws.returnFlow.flowing.flowsM3PerS.slice(),
      drainFlows,
      spilledM3: onFloorM3(this.#plant, this.#volumes),
    })
    if (this.#moments.length <= MOST_MOMENTS) return
    this.#moments = this.#moments.filter((_, i) => i % 2 === 0)
    this.#every *= 2
  }
}

/** All water that reached the floor. */
export function onFloorM3({ spills }: Plant, volumes: number[]): number {
  return spills.reduce((total, { vessel }) => total + volumes[vessel]!, 0)
}

function sum(list: number[]): number {
  let total = 0
  for (const volume of list) total += volume
  return total
}
