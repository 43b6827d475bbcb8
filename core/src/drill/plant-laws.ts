import { chamberContents, evaporationMmPerDay, type SumpWall } from '../design/index.ts'
import { BoundaryLevels, layOut, pathTo } from '../layout/index.ts'
import { type Blocked, BoxSearch, NONE_BLOCKED, passageOf, rimOf } from '../loop/index.ts'
import { makeNetwork } from '../network/index.ts'
import { evaporationM3PerS } from '../sump/index.ts'
import { Drains } from './law/drains.ts'
import { gaspOf } from './law/gasp.ts'
import { HoldsLevel } from './law/holding.ts'
import { throughPassage } from './law/passage.ts'
import { ReturnFlow, type Tap } from './law/return.ts'
import { overEdge, overRim } from './law/rim.ts'
import { Steady } from './law/steady.ts'
import { pastWall } from './law/wall.ts'
import { holdsNow, type Mode, pumpsAsTheyStand, runsNow, topOffRuns } from './mode.ts'
import {
  chamberEdgesM,
  FLOAT_M,
  keptLevelM,
  OUT_OF_CUP,
  OUTSIDE,
  OVER_SUMP,
  type Plant,
  spillUnder,
  type TankPlaces,
} from './plant.ts'
import { standingWater } from './pipe-water.ts'
import { endsInAir, mayRunBack } from './running-back.ts'
import type { Law } from './rates.ts'
import { levelIn, type Vessel } from './vessel.ts'

/** The laws of a mode, and the one that is asked what runs. */
export interface PlantLaws {
  readonly laws: readonly Law[]
  readonly returnFlow: ReturnFlow
  /** Those of `laws` that tell what each drain carries. */
  readonly drains: readonly Drains[]
  readonly vessels: readonly Vessel[]
}

/** How water moves between the vessels of a plant, law by law, in the mode it is in. */
export function plantLaws(
  plant: Plant,
  mode: Mode,
  evaporates: boolean,
  before?: ReturnFlow,
): PlantLaws {
  const returnFlow = returnFlowOf(plant, mode, before)
  const ofTanks = plant.tanks.flatMap((places) => tankLaws(plant, mode, places))
  return {
    laws: [
      ...ofTanks,
      ...wallLaws(plant, mode),
      ...edgeLaws(plant),
      ...topOffLaws(plant, mode),
      ...(mode.takenM3PerS > 0 ? [new Steady(0, plant.removed, mode.takenM3PerS)] : []),
      ...lossLaws(plant, mode),
      ...standingWater(plant, mode),
      ...(evaporates ? evaporation(plant) : []),
      returnFlow,
      // Last: it passes on what all others bring.
      ...gaspLaws(plant, mode),
    ],
    returnFlow,
    drains: ofTanks.filter((law) => law instanceof Drains),
    vessels: vesselsOf(plant, mode),
  }
}

/** The vessels as they are in a mode: what is lifted out of a chamber leaves it more room. */
export function vesselsOf({ vessels, steady }: Plant, mode: Mode): readonly Vessel[] {
  if (mode.objectsOut.size === 0) return vessels
  return vessels.map((vessel) => {
    if (vessel.of.kind !== 'chamber' || !mode.objectsOut.has(vessel.of.id)) return vessel
    const { sump } = steady.design
    const at = sump.chambers.findIndex(({ id }) => id === vessel.of.id)
    const { footprintM2 } = chamberContents(sump)[at]!
    return { ...vessel, areaM2: vessel.areaM2 + footprintM2, submergedM3: 0 }
  })
}

function tankLaws(plant: Plant, mode: Mode, places: TankPlaces): Law[] {
  const { laid, tank, inner, box } = places
  const overflow = mode.design.tanks[tank]!.overflow!
  const base = laid.tank.floorHeightM
  const crestM = base + overflow.crestM
  const rim = rimOf(overflow)
  const edge = {
    lengthM: 2 * (laid.tank.lengthM + laid.tank.widthM),
    rimM: base + laid.tank.rimM,
    depthBelowM: laid.tank.rimM,
  }
  const laws: Law[] = [overEdge(tank, spillUnder(plant, tank), edge)]
  if (overflow.chamberId !== null) {
    return [...laws, overRim(tank, plant.chamberAt.get(overflow.chamberId)!, rim, crestM)]
  }
  laws.push(overRim(tank, inner >= 0 ? inner : box, rim, crestM))
  if (inner >= 0 && !mode.primeLost.has(laid.tank.id)) {
    const { fall, count } = passageOf(laid)
    laws.push(throughPassage(inner, box, fall, count))
  }
  laws.push(drainsOf(plant, mode, places))
  const rimM = plant.places[box]!.rimM
  if (Number.isFinite(rimM)) {
    const { lengthM, widthM, floorM } = laid.overflow.box!
    const depthBelowM = Math.max(0.02, rimM - base - floorM)
    const edgeOfBox = { lengthM: 2 * (lengthM + widthM), rimM, depthBelowM }
    laws.push(overEdge(box, spillUnder(plant, box), edgeOfBox))
  }
  return laws
}

function drainsOf(plant: Plant, mode: Mode, { laid, box }: TankPlaces): Drains {
  const { drains } = laid
  const own = new BoxSearch(laid.box)
  drains.forEach(({ drain }, i) => {
    own.open[i] = 1 - (mode.blocked.get(drain.id) ?? 0)
    own.runs[i] = mode.siphons.get(drain.id)?.runs ?? 'as-it-comes'
  })
  const shut = drains.filter((_, i) => own.open[i] === 0).map(({ drain }) => drain.id)
  const blocked: Blocked = shut.length > 0 ? new Set(shut) : NONE_BLOCKED
  return new Drains(box, own, {
    into: drains.map(({ chamberId }) => plant.chamberAt.get(chamberId)!),
    mouthM: laid.box.mouthM,
    blocked,
  })
}

function wallLaws(plant: Plant, mode: Mode): Law[] {
  const { returnIndex } = plant.steady
  const { design } = mode
  const { walls, chambers } = design.sump
  const { widthM, floorHeightM: floorM, heightM } = plant.sumpBox
  const first = design.tanks.length
  return walls.map((wall, i) => {
    // A sock holds its chamber's water back from what leaves it on the way to the pump.
    const behind = chambers[i < returnIndex ? i : i + 1]!
    const shape = mode.socksBlocked.has(behind.id) ? overOnly(wall) : wall
    // Water that stands over a wall's top passes whatever the wall is below.
    const open = shape.kind === 'solid' ? { ...shape, kind: 'over' as const, topM: heightM } : shape
    return pastWall(first + i, first + i + 1, open, { widthM, floorM })
  })
}

function overOnly(wall: SumpWall): SumpWall {
  return wall.kind === 'solid' ? wall : { ...wall, kind: 'over' }
}

function edgeLaws(plant: Plant): Law[] {
  const { floorHeightM, heightM } = plant.sumpBox
  const first = plant.steady.design.tanks.length
  return chamberEdgesM(plant).map((lengthM, i) =>
    overEdge(first + i, spillUnder(plant, OVER_SUMP), {
      lengthM,
      rimM: floorHeightM + heightM,
      depthBelowM: heightM,
    }),
  )
}

function topOffLaws(plant: Plant, mode: Mode): Law[] {
  const { topOffSupply, returnChamber, steady } = plant
  if (topOffSupply < 0) return []
  const { flowM3PerS } = steady.design.sump.topOff!
  if (holdsNow(mode)) {
    const from = topOffSupply
    const into = returnChamber
    const holding = { from, into, keptM: keptLevelM(plant), withinM: FLOAT_M }
    return [new HoldsLevel({ ...holding, mostM3PerS: flowM3PerS })]
  }
  return topOffRuns(mode) ? [new Steady(topOffSupply, returnChamber, flowM3PerS)] : []
}

/** How fast a cup floods, m³/s (choice: half a litre a minute). */
const CUP_M3_PER_S = 0.5e-3 / 60

/** A leak, and a cup that floods. */
function lossLaws(plant: Plant, mode: Mode): Law[] {
  const { leak, cup } = mode
  const laws: Law[] = []
  const runs = mode.design.returnSide.pumps.some((pump) => runsNow(mode, pump))
  if (leak && (leak.at === 'sump' || runs)) {
    laws.push(new Steady(plant.returnChamber, plant.leaked, leak.flowM3PerS))
  }
  if (cup && mode.powered) {
    const into = cup.full ? spillUnder(plant, OUT_OF_CUP) : plant.collector
    laws.push(new Steady(plant.chamberAt.get(cup.chamberId)!, into, CUP_M3_PER_S))
  }
  return laws
}

/** A pump that gasps passes what comes to its chamber into the first tank that its water reaches. */
function gaspLaws({ steady, chamberAt }: Plant, { gasping, powered }: Mode): Law[] {
  if (!powered) return []
  const { layout, solution, design } = steady
  return layout.pumps.flatMap(({ placed, lineIndex }): Law[] => {
    if (lineIndex === null || !gasping.has(placed.id)) return []
    const fed = layout.lines.find(
      ({ line, end }, i) =>
        line.end.at === 'tank' &&
        end !== 'outside-tank' &&
        pathTo(layout, i)[0]!.lineIndex === lineIndex,
    )
    const into = design.tanks.findIndex(({ id }) => id === fed?.line.end.id)
    const most = solution.flows.flowsM3PerS[layout.segments[lineIndex]![0]!.link]!
    return into < 0 ? [] : [gaspOf(chamberAt.get(placed.chamberId)!, into, Math.max(0, most))]
  })
}

/** Every open surface gives to the air; a reservoir is kept covered. */
function evaporation(plant: Plant): Law[] {
  const { steady, places, vessels, air, topOffSupply } = plant
  const rate = evaporationMmPerDay(steady.design)
  return places.flatMap((place, v) => {
    if (!place || place.kind === 'can' || v === topOffSupply) return []
    const loss = evaporationM3PerS(rate, vessels[v]!.areaM2)
    // All of it comes out of the return chamber in the end; taken there, no dry box runs below nothing.
    return loss > 0 ? [new Steady(plant.returnChamber, air, loss)] : []
  })
}

function returnFlowOf(plant: Plant, mode: Mode, before?: ReturnFlow): ReturnFlow {
  const design = pumpsAsTheyStand(mode)
  const layout = layOut(design)
  const network = makeNetwork(layout.problem)
  const ends: Tap[] = []
  layout.lines.forEach(({ line, end }, i) => {
    const { link } = layout.segments[i]!.at(-1)!
    if (end === 'outside-tank' || mode.hosesOff.has(line.id))
      ends.push({ link, vessel: spillUnder(plant, OUTSIDE) })
    else if (line.end.at === 'tank') {
      ends.push({ link, vessel: design.tanks.findIndex(({ id }) => id === line.end.id) })
    } else if (line.end.at === 'chamber') {
      ends.push({ link, vessel: plant.chamberAt.get(line.end.id!)! })
    }
  })
  const draws = layout.pumps.flatMap(({ placed, lineIndex }): Tap[] =>
    lineIndex === null
      ? []
      : [
          {
            link: layout.segments[lineIndex]![0]!.link,
            vessel: plant.chamberAt.get(placed.chamberId)!,
          },
        ],
  )
  // A mouth lets air in when its detector says so: a step must not fall off that edge by itself.
  const boundary = new BoundaryLevels(design, layout, network, {
    held: new Set([...mode.broken, ...endsInAir(plant, mode)]),
    under: new Set(mayRunBack(plant, mode).map(({ lineId }) => lineId)),
  })
  const levels = Array.from(plant.vessels, (vessel, v) => levelIn(vessel, plant.volumes[v]!))
  boundary.apply(levels)
  return new ReturnFlow(network, boundary, { draws, ends }, before?.flowing.flowsM3PerS)
}
