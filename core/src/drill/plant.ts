import {
  type BasinDesign,
  chamberSpans,
  type DisplayTank,
  heldUpChamberId,
  skimmersGiveBackM3,
  type SumpBox,
} from '../design/index.ts'
import { pathTo } from '../layout/index.ts'
import {
  boxRim,
  chamberAreasM2,
  drainWaterM3,
  INNER_DEPTH_M,
  LEAST_AREA_M2,
  type Overflowing,
  pipeWaterM3,
  type SteadyState,
} from '../loop/index.ts'
import { store, type Vessel, volumeAt } from './vessel.ts'

/** What a vessel is to the keeper. */
export interface Place {
  readonly name: string
  readonly kind: 'tank' | 'box' | 'chamber' | 'can'
  /** Where it runs over, above the room's floor; Infinity: it can't. */
  readonly rimM: number
}

/** Water that stands in a pipe while it runs, and where it falls. */
export interface PipeWater {
  readonly standsIn: 'line' | 'drain' | 'held-up' | 'skimmers'
  /** The line or drain it stands in; null: equipment. */
  readonly id: string | null
  readonly vessel: number
  readonly fullM3: number
  readonly fallsTo: number
}

/** A tank's overflow among the vessels; −1: it has none of that. */
export interface TankPlaces {
  readonly laid: Overflowing
  readonly tank: number
  /** The skimming side before a passage. */
  readonly inner: number
  readonly box: number
}

/** The system as vessels: display tanks first, then the sump's chambers, as the loop counts its levels. */
export interface Plant {
  readonly steady: SteadyState
  readonly sumpBox: SumpBox
  readonly vessels: readonly Vessel[]
  /** null: a store that no keeper sees as a vessel. */
  readonly places: readonly (Place | null)[]
  readonly volumes: number[]
  readonly tanks: readonly TankPlaces[]
  readonly chamberAt: ReadonlyMap<string, number>
  /** Water on the floor, by where it came from. */
  readonly spills: readonly Spill[]
  readonly air: number
  readonly removed: number
  /** What dripped away. */
  readonly leaked: number
  /** Room that rock left which was lifted out: not water, but what water fills instead. */
  readonly lifted: number
  /** What a flooding cup runs into. */
  readonly collector: number
  readonly linePipes: readonly PipeWater[]
  readonly drainPipes: readonly PipeWater[]
  readonly heldUp: readonly PipeWater[]
  /** Where the top-off draws; −1: there is none. */
  readonly topOffSupply: number
  /** Where it gives. */
  readonly returnChamber: number
  /** Of each line: the vessel its pump draws from. */
  readonly drawsFrom: readonly number[]
}

/** Its floor stands so far below its rim, m (choice): its water never falls there. */
const INNER_HEIGHT_M = 0.4

/** Can a design be drilled? Its tanks must have overflows with a way down, and its sump its sizes. */
export function canDrill({ sump, tanks, drains }: BasinDesign): boolean {
  const hasWayDown = ({ id, overflow }: DisplayTank) =>
    overflow !== null && (overflow.chamberId !== null || drains.some(({ tankId }) => tankId === id))
  return sump.box !== null && tanks.every(hasWayDown)
}

/** Water on the floor that came from one place. */
export interface Spill {
  /** A tank's vessel, a box's, or one of the places below. */
  readonly from: number
  readonly name: string
  readonly vessel: number
}

/** Stands for the sump's rim where a spill is named by its vessel. */
export const OVER_SUMP = -1
/** Stands for a line whose end hangs over no tank, or off. */
export const OUTSIDE = -2
/** Stands for a skimmer's cup. */
export const OUT_OF_CUP = -3

/** Collects vessels with what they hold. */
class Vessels {
  readonly list: Vessel[] = []
  readonly places: (Place | null)[] = []
  readonly volumes: number[] = []

  add(vessel: Vessel, volumeM3: number, place: Place | null = null): number {
    this.places.push(place)
    this.volumes.push(volumeM3)
    return this.list.push(vessel) - 1
  }

  at(vessel: Vessel, levelM: number, place: Place | null): number {
    return this.add(vessel, volumeAt(vessel, levelM), place)
  }
}

/** The vessels of a steady design and what is in each; throws where it can't be drilled. */
export function makePlant(steady: SteadyState): Plant {
  const { design, returnIndex } = steady
  const box = design.sump.box
  if (!box || !canDrill(design)) throw new RangeError('the design has no whole way down')
  const all = new Vessels()
  design.tanks.forEach((tank, i) => {
    const vessel = {
      of: { kind: 'tank' as const, id: tank.id },
      areaM2: tank.lengthM * tank.widthM,
      floorM: tank.floorHeightM,
      submergedM3: 0,
    }
    const rimM = tank.floorHeightM + tank.rimM
    all.at(vessel, steady.tankLevels[i]!.surfaceM, { name: tank.name, kind: 'tank', rimM })
  })
  addChambers(all, steady, box)
  const tankCount = design.tanks.length
  const tanks = design.tanks.map((_, i) => tankPlaces(all, steady, i))
  const chamberAt = new Map(design.sump.chambers.map(({ id }, i) => [id, tankCount + i]))
  const returnChamber = tankCount + returnIndex
  const spills = spillsOf(all, steady, tanks)
  const air = all.add(store('air'), 0)
  const removed = all.add(store('removed'), 0)
  const leaked = all.add(store('leaked'), 0)
  const lifted = all.add(store('lifted'), 0)
  const collector = all.add(store('collector'), 0)
  const drawsFrom = design.returnSide.lines.map((_, i) => {
    const first = steady.layout.lines[pathTo(steady.layout, i)[0]!.lineIndex]!
    const pump = design.returnSide.pumps.find(({ id }) => id === first.line.start.id)!
    return chamberAt.get(pump.chamberId)!
  })
  const linePipes = steady.layout.lines.map((laid, i) => {
    const from = steady.chambers[drawsFrom[i]! - tankCount]!.levelM
    const flows = laid.line.end.at !== 'cap'
    const fullM3 = flows ? pipeWaterM3(laid.placed, from, 1) : 0
    const vessel = all.add(store(`pipe ${laid.line.id}`), fullM3)
    return { standsIn: 'line' as const, id: laid.line.id, vessel, fullM3, fallsTo: drawsFrom[i]! }
  })
  const drainPipes = drainWater(all, steady, chamberAt)
  const heldUp = heldUpWater(all, steady, (id) =>
    id === null ? returnChamber : chamberAt.get(id)!,
  )
  const topOffSupply = addTopOffSupply(all, steady, chamberAt)
  return {
    steady,
    sumpBox: box,
    vessels: all.list,
    places: all.places,
    volumes: Array.from(all.volumes),
    tanks,
    chamberAt,
    spills,
    air,
    removed,
    leaked,
    lifted,
    collector,
    linePipes,
    drainPipes,
    heldUp,
    topOffSupply,
    returnChamber,
    drawsFrom,
  }
}

/** What falls back when equipment stops: the skimmers' apart, which may stop alone. */
function heldUpWater(
  all: Vessels,
  { design: { sump } }: SteadyState,
  at: (chamberId: string | null) => number,
): PipeWater[] {
  const list: ['held-up' | 'skimmers', number][] = [
    ['held-up', sump.hungWaterM3],
    ['skimmers', skimmersGiveBackM3(sump)],
  ]
  return list
    .filter(([, fullM3]) => fullM3 > 0)
    .map(([standsIn, fullM3]) => ({
      standsIn,
      id: null,
      vessel: all.add(store(standsIn), fullM3),
      fullM3,
      fallsTo: at(heldUpChamberId(sump)),
    }))
}

function spillsOf(all: Vessels, { design }: SteadyState, tanks: readonly TankPlaces[]): Spill[] {
  const under = (from: number, name: string): Spill => ({
    from,
    name,
    vessel: all.add(store(`floor under ${name}`), 0),
  })
  return [
    ...design.tanks.map(({ name }, i) => under(i, name)),
    ...tanks
      .filter(({ box }) => box >= 0)
      .map(({ box, laid }) => under(box, `overflow box of ${laid.tank.name}`)),
    under(OVER_SUMP, 'sump'),
    under(OUTSIDE, 'end outside the tanks'),
    under(OUT_OF_CUP, 'skimmer’s cup'),
  ]
}

/** Where what runs over a place lands. */
export function spillUnder({ spills }: Plant, from: number): number {
  return spills.find((spill) => spill.from === from)!.vessel
}

function addChambers(all: Vessels, { design, chambers }: SteadyState, box: SumpBox): void {
  const areas = chamberAreasM2(design.sump, box)
  const rimM = box.floorHeightM + box.heightM
  design.sump.chambers.forEach((chamber, i) => {
    const vessel = {
      of: { kind: 'chamber' as const, id: chamber.id },
      areaM2: Math.max(LEAST_AREA_M2, areas[i]!),
      floorM: box.floorHeightM,
      submergedM3: chamber.submergedM3,
    }
    all.at(vessel, chambers[i]!.levelM, { name: chamber.name, kind: 'chamber', rimM })
  })
}

function tankPlaces(all: Vessels, steady: SteadyState, i: number): TankPlaces {
  const laid = steady.overflows[i]!
  const { overflow, tank } = laid
  const { innerM, boxM } = steady.tankLevels[i]!
  const { box, passage } = overflow
  if (!box || boxM === null) return { laid, tank: i, inner: -1, box: -1 }
  const inner = passage
    ? all.at(
        {
          of: { kind: 'inner', id: tank.id },
          areaM2: overflow.rimLengthM * INNER_DEPTH_M,
          floorM: tank.floorHeightM + overflow.crestM - INNER_HEIGHT_M,
          submergedM3: 0,
        },
        innerM,
        null,
      )
    : -1
  const vessel = {
    of: { kind: 'box' as const, id: tank.id },
    areaM2: box.lengthM * box.widthM,
    floorM: tank.floorHeightM + box.floorM,
    submergedM3: 0,
  }
  const spills = overflow.form !== 'inner-box'
  const rimM = spills ? tank.floorHeightM + boxRim(laid) : Infinity
  const name = steady.design.tanks.length > 1 ? `Overflow box of ${tank.name}` : 'Overflow box'
  return { laid, tank: i, inner, box: all.at(vessel, boxM, { name, kind: 'box', rimM }) }
}

/** What stands in the drains that run. */
function drainWater(
  all: Vessels,
  steady: SteadyState,
  chamberAt: ReadonlyMap<string, number>,
): PipeWater[] {
  return steady.drains.flatMap((laid): PipeWater[] => {
    if (steady.drainFlows[laid.index]! <= 0) return []
    const fullM3 = drainWaterM3(steady, laid)
    const vessel = all.add(store(`drain ${laid.drain.id}`), fullM3)
    const fallsTo = chamberAt.get(laid.chamberId)!
    return [{ standsIn: 'drain', id: laid.drain.id, vessel, fullM3, fallsTo }]
  })
}

/** Where the top-off draws: its can, or the sump's reservoir. */
function addTopOffSupply(
  all: Vessels,
  { design, chambers }: SteadyState,
  chamberAt: ReadonlyMap<string, number>,
): number {
  const { topOff, chambers: own } = design.sump
  if (!topOff) return -1
  if (topOff.canM3 !== null) {
    return all.add(store('can'), topOff.canM3, {
      name: 'Top-off can',
      kind: 'can',
      rimM: Infinity,
    })
  }
  const reservoir = own.findIndex(({ use }, i) => use === 'reservoir' && chambers[i]!.apart)
  return reservoir < 0 ? -1 : chamberAt.get(own[reservoir]!.id)!
}

/** A float waits until the level has fallen so far, m (choice). */
export const FLOAT_M = 0.005

/** Where a top-off keeps its chamber. */
export function keptLevelM({ steady }: Plant): number {
  return steady.chambers[steady.returnIndex]!.levelM
}

/** Lengths along which each chamber runs over the sump's rim, m. */
export function chamberEdgesM({ steady, sumpBox }: Plant): number[] {
  const { sump } = steady.design
  return chamberSpans(sump, sumpBox.lengthM).map(({ fromM, toM }, i) => {
    const ends = (i === 0 ? 1 : 0) + (i === sump.chambers.length - 1 ? 1 : 0)
    return Math.max(0.01, 2 * (toM - fromM) + ends * sumpBox.widthM)
  })
}
