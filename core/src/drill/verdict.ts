import { drawsAirBelowM } from '../figures/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import { salinityPpt } from './brine.ts'
import type { DrillFault } from './fault.ts'
import { type DrillSimulation, type LogEntry, onFloorM3 } from './simulate-drill.ts'
import { vesselKey } from './vessel.ts'

/** How high and how low one vessel went; heights above the room's floor. */
export interface VesselVerdict {
  readonly vesselId: string
  readonly name: string
  readonly kind: 'tank' | 'box' | 'chamber'
  /** null: it can't run over. */
  readonly rimM: number | null
  readonly highestM: number
  readonly highestAtS: number
  readonly lowestM: number
  readonly lowestAtS: number
  /** From its highest level up to its rim; zero and below: it ran over. */
  readonly marginM: number | null
}

/** dry: nothing reaches the floor. wet: something does. watch: dry, but the pump drew air or little is left. */
export type DrillOutcome = 'wet' | 'watch' | 'dry'

/** What a drill came to. */
export interface Verdict {
  readonly drillId: string
  readonly title: Sentence
  readonly outcome: DrillOutcome
  /** What came of it, in words. */
  readonly said: Sentence
  readonly spilledM3: number
  /** What ran over where. */
  readonly spilledFrom: readonly { readonly name: string; readonly volumeM3: number }[]
  readonly vessels: readonly VesselVerdict[]
  /** The least margin of all vessels, m; below zero: water stood over a rim. */
  readonly marginM: number
  /** The vessel that has it. */
  readonly tightestId: string
  /** Lowest level over the inlet of the pump that came nearest to air, and how far above it; null: no inlet is given. */
  readonly pump: {
    readonly lowestM: number
    readonly aboveAirM: number
  } | null
  /** When a pump first drew air, whether its inlet's height is given or not; null: none did. */
  readonly drewAirAtS: number | null
  /** Time until something must be done; null: nothing must. */
  readonly actWithinS: number | null
  readonly act: Sentence | null
  readonly salinityPpt: number
  readonly startSalinityPpt: number
  /** The return flow in the end, into all tanks, m³/s. */
  readonly endS: number
  readonly atRest: boolean
  readonly log: readonly LogEntry[]
  readonly unaccounted: number
}

/** Less than this left to a rim, or to a pump's air, is worth an eye, m (choice). */
const LITTLE_M = 0.01
/** A splash smaller than this is rounding, m³. */
const SPLASH_M3 = 1e-6

/** What a simulated drill came to: spills, margins, when something must be done. */
export function verdictOf(simulation: DrillSimulation): Verdict {
  const vessels = vesselVerdicts(simulation)
  const rimmed = vessels.filter(({ marginM }) => marginM !== null)
  const tightest = rimmed.reduce((a, b) => (b.marginM! < a.marginM! ? b : a))
  const spilledM3 = onFloorM3(simulation.plant, simulation.volumes)
  const pump = pumpVerdict(simulation)
  const wet = spilledM3 > SPLASH_M3
  const drewAirAtS = airAtS(simulation)
  const tight = tightest.marginM! < LITTLE_M || drewAirAtS !== null
  const lost = lostTrack(simulation)
  const outcome: DrillOutcome = wet ? 'wet' : tight || lost ? 'watch' : 'dry'
  const over = simulation.log.find(({ what }) => 'event' in what && what.event.kind === 'runs-over')
  const actWithinS = wet ? (over?.atS ?? 0) : drewAirAtS
  return {
    drillId: simulation.drill.id,
    title: simulation.drill.title,
    outcome,
    said: lost
      ? sentence('It could not be followed past {time}: count on nothing after that.', {
          time: ['duration', simulation.endS],
        })
      : saidOf({ outcome, tightest, spilledM3, drewAirAtS, overAtS: over?.atS ?? null }),
    spilledM3,
    spilledFrom: simulation.plant.spills
      .map(({ name, vessel }) => ({ name, volumeM3: simulation.volumes[vessel]! }))
      .filter(({ volumeM3 }) => volumeM3 > SPLASH_M3),
    vessels,
    marginM: tightest.marginM!,
    tightestId: tightest.vesselId,
    pump,
    drewAirAtS,
    actWithinS,
    act: actWithinS === null ? null : actOf(simulation.drill.faults.at(-1)!.fault, wet),
    salinityPpt: salinityPpt(simulation.brine),
    startSalinityPpt: salinityPpt(simulation.startBrine),
    endS: simulation.endS,
    atRest: simulation.atRest,
    log: simulation.log,
    unaccounted: simulation.unaccounted,
  }
}

/** Did the reckoning give up before the drill's time was out? */
function lostTrack({ drill, endS, atRest, log }: DrillSimulation): boolean {
  const air = log.some(({ what }) => 'event' in what && what.event.kind === 'pump-draws-air')
  return !atRest && !(drill.evaporates && air) && endS < drill.durationS - 1
}

function vesselVerdicts({ plant, extremes }: DrillSimulation): VesselVerdict[] {
  return plant.places.flatMap((place, v): VesselVerdict[] => {
    if (!place || place.kind === 'can') return []
    const rimM = Number.isFinite(place.rimM) ? place.rimM : null
    const { highestM } = extremes[v]!
    return [
      {
        vesselId: vesselKey(plant.vessels[v]!),
        name: place.name,
        kind: place.kind,
        rimM,
        ...extremes[v]!,
        marginM: rimM === null ? null : rimM - highestM,
      },
    ]
  })
}

function pumpVerdict({ plant, extremes }: DrillSimulation): Verdict['pump'] {
  const known = plant.steady.layout.pumps.flatMap((pump) => {
    const leastM = drawsAirBelowM(pump)
    if (leastM === null) return []
    const { lowestM } = extremes[plant.chamberAt.get(pump.placed.chamberId)!]!
    return [{ lowestM, aboveAirM: lowestM - leastM }]
  })
  if (known.length === 0) return null
  return known.reduce((a, b) => (b.aboveAirM < a.aboveAirM ? b : a))
}

/** When a pump first drew air, whether its inlet's height is given or not; null: none did. */
export function airAtS({ log }: Pick<DrillSimulation, 'log'>): number | null {
  const air = log.find(({ what }) => 'event' in what && what.event.kind === 'pump-draws-air')
  return air?.atS ?? null
}

interface Said {
  readonly outcome: DrillOutcome
  readonly tightest: VesselVerdict
  readonly spilledM3: number
  readonly drewAirAtS: number | null
  readonly overAtS: number | null
}

function saidOf({ outcome, tightest, spilledM3, drewAirAtS, overAtS }: Said): Sentence {
  const name = tightest.name
  if (outcome === 'wet') {
    return sentence('{litres} reach the floor; {name} runs over after {time}.', {
      name,
      litres: ['volume', spilledM3],
      time: ['duration', overAtS ?? 0],
    })
  }
  if (drewAirAtS !== null) {
    return sentence('The floor stays dry; the pump draws air after {time}.', {
      time: ['duration', drewAirAtS],
    })
  }
  return sentence('The floor stays dry; {name} keeps {margin} to its rim.', {
    name,
    margin: ['length', tightest.marginM!],
  })
}

function actOf(fault: DrillFault, wet: boolean): Sentence {
  switch (fault.kind) {
    case 'power-cut':
    case 'pump-stops':
    case 'power-back':
      return sentence(
        wet
          ? 'Nobody may be there: let the design hold it, or take water out of the sump before then.'
          : 'Let the sump fill again before the pump is started.',
      )
    case 'top-off-open':
    case 'top-off-welded':
      return sentence('Shut the top-off off by hand.')
    case 'top-off-shut':
      return sentence('Top up with fresh water by hand.')
    case 'water-taken':
    case 'water-kept':
      return sentence('Switch the return pump off before you take water.')
    default:
      return sentence('Switch the return pump off, then clear what is blocked or shut.')
  }
}
