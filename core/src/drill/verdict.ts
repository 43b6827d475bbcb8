import { swayM } from '../design/index.ts'
import { drawsAirBelowM } from '../figures/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import { salinityPpt } from './brine.ts'
import type { DrillFault } from './fault.ts'
import { type DrillSimulation, type LogEntry, onFloorM3 } from './simulate-drill.ts'
import { OUT_OF_CUP, OUTSIDE, OVER_SUMP } from './plant.ts'
import { vesselKey } from './vessel.ts'
import { warmthOf } from './warmth.ts'

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
  /** From its highest level up to its rim, a tank's less its waves and what it is out of level; null: it can't run over. */
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
  /** Why it came to that; null: it came to nothing. */
  readonly cause: Sentence | null
  /** What kept the floor dry, where something did that nobody counts on; null: nothing had to. */
  readonly why: Sentence | null
  readonly spilledM3: number
  /** What dripped away besides. */
  readonly leakedM3: number
  /** What ran over where. */
  readonly spilledFrom: readonly { readonly name: string; readonly volumeM3: number }[]
  readonly vessels: readonly VesselVerdict[]
  /** The margin that counts, m: the least of what rises; below zero: water stood over a rim. */
  readonly marginM: number
  /** The vessel that has it. */
  readonly tightestId: string
  readonly tightestName: string
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

/** Less than this left to a rim that no waves reach is worth an eye, m (choice). */
const LITTLE_M = 0.01
/** A splash smaller than this is rounding, m³. */
const SPLASH_M3 = 1e-6

/** What a simulated drill came to: spills, margins, when something must be done. */
export function verdictOf(simulation: DrillSimulation): Verdict {
  const vessels = vesselVerdicts(simulation)
  const rimmed = vessels.filter(({ marginM }) => marginM !== null)
  const tightest = tightestOf(rimmed, simulation)
  const spilledM3 = onFloorM3(simulation.plant, simulation.volumes)
  const pump = pumpVerdict(simulation)
  const wet = spilledM3 > SPLASH_M3
  const drewAirAtS = airAtS(simulation)
  const leakedM3 = simulation.volumes[simulation.plant.leaked]!
  const warmth = warmthOf(simulation)
  const tight =
    rimmed.some(isTight) || drewAirAtS !== null || leakedM3 > SPLASH_M3 || warmth?.isShort === true
  const lost = lostTrack(simulation)
  const outcome: DrillOutcome = wet ? 'wet' : tight || lost ? 'watch' : 'dry'
  const over = simulation.log.find(({ what }) => 'event' in what && what.event.kind === 'runs-over')
  const actWithinS = wet ? (over?.atS ?? 0) : (drewAirAtS ?? warmth?.untilS ?? null)
  return {
    drillId: simulation.drill.id,
    title: simulation.drill.title,
    outcome,
    said: lost
      ? sentence('It could not be followed past {time}: count on nothing after that.', {
          time: ['duration', simulation.endS],
        })
      : (warmth?.said ??
        saidOf({ outcome, tightest, spilledM3, leakedM3, drewAirAtS, overAtS: over?.atS ?? null })),
    cause: wet || drewAirAtS !== null ? causeOf(simulation, wet) : null,
    why: wet ? null : whyDry(simulation),
    spilledM3,
    leakedM3,
    spilledFrom: simulation.plant.spills
      .map(({ name, vessel }) => ({ name, volumeM3: simulation.volumes[vessel]! }))
      .filter(({ volumeM3 }) => volumeM3 > SPLASH_M3),
    vessels,
    marginM: tightest.marginM!,
    tightestId: tightest.vesselId,
    tightestName: tightest.name,
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

/** A tank's margin allows for its waves already. */
const isTight = ({ kind, marginM }: VesselVerdict) => marginM! < (kind === 'tank' ? 0 : LITTLE_M)

/** What failed in the end, and where. */
function causeOf({ plant, volumes, log }: DrillSimulation, wet: boolean): Sentence {
  const { design } = plant.steady
  const most = plant.spills.reduce((a, b) => (volumes[b.vessel]! > volumes[a.vessel]! ? b : a))
  if (!wet) {
    const air = log.find(({ what }) => 'event' in what && what.event.kind === 'pump-draws-air')!
    const placedId = 'event' in air.what && 'placedId' in air.what.event && air.what.event.placedId
    const chamberId = design.returnSide.pumps.find(({ id }) => id === placedId)!.chamberId
    const { name } = plant.places[plant.chamberAt.get(chamberId)!]!
    return sentence('More leaves {name} than comes back to it.', { name })
  }
  if (most.from === OVER_SUMP) {
    return sentence('More comes down than the sump has room for, or than its walls pass on.')
  }
  if (most.from === OUTSIDE) return sentence('A line ends, or came off, outside the tanks.')
  if (most.from === OUT_OF_CUP) return sentence('A cup runs over with nothing left to hold it.')
  return sentence('More comes into {name} than can leave it.', { name: most.name })
}

/** A level that rose by more than this is in question, m (choice). */
const ROSE_M = 0.001

/** The least margin of what rose; of all, where nothing did: a chamber that always stands near its rim is no drill's. */
function tightestOf(rimmed: readonly VesselVerdict[], { startLevelsM }: DrillSimulation) {
  const rose = rimmed.filter(({ vesselId, highestM }) => {
    const startM = startLevelsM.get(vesselId)!
    return highestM - startM > ROSE_M
  })
  return (rose.length > 0 ? rose : rimmed).reduce((a, b) => (b.marginM! < a.marginM! ? b : a))
}

/** A chamber that falls by more than this while its pump runs is worth a word, m (choice). */
const FELL_M = 0.01

/** A pump that ran out of water, or had less of it, or a sensor that stopped it: the floor owes its dryness to that. */
function whyDry(simulation: DrillSimulation): Sentence | null {
  const { log, plant, volumes } = simulation
  for (const { atS, what } of log) {
    if (!('event' in what)) continue
    const time = ['duration', atS] as const
    if (what.event.kind === 'sensor-stops-pumps') {
      return sentence('the level sensor stops the pump after {time}', { time })
    }
    if (what.event.kind !== 'pump-draws-air') continue
    const { placedId } = what.event
    const { pumps } = plant.steady.design.returnSide
    const chamberId = pumps.find(({ id }) => id === placedId)!.chamberId
    const { name } = plant.places[plant.chamberAt.get(chamberId)!]!
    const can = plant.topOffSupply
    const addedM3 = can < 0 ? 0 : plant.volumes[can]! - volumes[can]!
    return addedM3 > SPLASH_M3
      ? sentence('{name} is empty after {time}; the top-off may then add {litres}', {
          name,
          time,
          litres: ['volume', addedM3],
        })
      : sentence('{name} is empty after {time}', { name, time })
  }
  return whyLess(simulation)
}

/** What a tank holds back comes out of a pump's chamber: the pump lifts higher, and gives less. */
function whyLess({ plant, extremes, startLevelsM }: DrillSimulation): Sentence | null {
  for (const { chamberId } of plant.steady.design.returnSide.pumps) {
    const v = plant.chamberAt.get(chamberId)!
    const fallM = startLevelsM.get(vesselKey(plant.vessels[v]!))! - extremes[v]!.lowestM
    if (fallM <= FELL_M) continue
    const values = { name: plant.places[v]!.name, fall: ['length', fallM] } as const
    return sentence('{name} falls by {fall} meanwhile, and its pump gives less', values)
  }
  return null
}

/** Did the reckoning give up before the drill's time was out? */
function lostTrack({ drill, endS, atRest, log }: DrillSimulation): boolean {
  const air = log.some(({ what }) => 'event' in what && what.event.kind === 'pump-draws-air')
  return !atRest && !(drill.evaporates && air) && endS < drill.durationS - 1
}

function vesselVerdicts({ plant, extremes }: DrillSimulation): VesselVerdict[] {
  const allowsM = swayM(plant.steady.design.allowances)
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
        marginM: rimM === null ? null : rimM - highestM - (place.kind === 'tank' ? allowsM : 0),
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
  readonly leakedM3: number
  readonly drewAirAtS: number | null
  readonly overAtS: number | null
}

function saidOf({ outcome, tightest, spilledM3, leakedM3, drewAirAtS, overAtS }: Said): Sentence {
  const name = tightest.name
  if (outcome === 'wet') {
    const litres = ['volume', spilledM3] as const
    return overAtS === null
      ? sentence('{litres} reach the floor.', { litres })
      : sentence('{litres} reach the floor; {name} runs over after {time}.', {
          name,
          litres,
          time: ['duration', overAtS],
        })
  }
  if (leakedM3 > SPLASH_M3) {
    const litres = ['volume', leakedM3] as const
    return drewAirAtS === null
      ? sentence('{litres} drip away, and nothing else is seen of it.', { litres })
      : sentence('{litres} drip away; the pump draws air after {time}.', {
          litres,
          time: ['duration', drewAirAtS],
        })
  }
  if (drewAirAtS !== null) {
    return sentence('The floor stays dry; the pump draws air after {time}.', {
      time: ['duration', drewAirAtS],
    })
  }
  if (tightest.marginM! < 0) {
    return sentence(
      'The floor stays dry with still water; waves and a tank out of level may bring it over the rim of {name}.',
      { name },
    )
  }
  return sentence('The floor stays dry; {name} stops {margin} under its rim.', {
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
    case 'leak':
      return sentence('Find the drip: the top-off hides it until its can is empty.')
    case 'hose-off':
      return sentence('Switch the pump off, and put a clamp on the hose.')
    case 'cup-floods':
      return sentence('Switch the skimmer off.')
    case 'top-off-siphons':
      return sentence('Lift the tube’s end out of the water.')
    case 'controller-full':
      return sentence('Set the speed by hand, or take the plug out.')
    case 'heater-on':
    case 'heater-off':
      return sentence('Look at the thermometer, and change the heater.')
    case 'water-taken':
    case 'water-kept':
      return sentence('Switch the return pump off before you take water.')
    default:
      return sentence('Switch the return pump off, then clear what is blocked or shut.')
  }
}
