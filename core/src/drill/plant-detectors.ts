import { drawsAirBelowM } from '../figures/index.ts'
import type { PlantDetector } from './drill-event.ts'
import { holdsNow, type Mode, runsNow, topOffRuns, withMember } from './mode.ts'
import { mayRunBack } from './running-back.ts'
import { siphonDetectors } from './siphon-detectors.ts'
import type { DoubtfulWays } from './ways.ts'
import { FLOAT_M, keptLevelM, type Plant } from './plant.ts'
import { vesselKey } from './vessel.ts'

/** All that may happen in a mode; `written` are those that were written down already. */
export function plantDetectors(
  plant: Plant,
  mode: Mode,
  { written, ways }: { readonly written: ReadonlySet<string>; readonly ways: DoubtfulWays },
): PlantDetector[] {
  return [
    ...sensors(plant, mode),
    ...dryPumps(plant, mode, ways.air === 'gasps'),
    ...siphonDetectors(plant, mode, { written, ways }),
    ...breaks(plant, mode),
    ...floats(plant, mode),
    ...losses(plant, mode),
    ...edges(plant, written),
  ]
}

function sensors(plant: Plant, mode: Mode): PlantDetector[] {
  const { pumps } = mode.design.returnSide
  if (mode.sensorStuck || !pumps.some((pump) => runsNow(mode, pump))) return []
  return plant.tanks.flatMap(({ laid, tank, box }): PlantDetector[] => {
    const { sensorM } = laid.overflow
    if (sensorM === null) return []
    const at = box >= 0 ? box : tank
    const heightM = laid.tank.floorHeightM + sensorM
    return [
      {
        name: `sensor ${laid.tank.id}`,
        value: (levels) => levels[at]! - heightM,
        event: { kind: 'sensor-stops-pumps', tankId: laid.tank.id },
        becomes: (now) => ({ ...now, stopped: new Set(pumps.map(({ id }) => id)) }),
      },
    ]
  })
}

function dryPumps(plant: Plant, mode: Mode, gasps: boolean): PlantDetector[] {
  return plant.steady.layout.pumps.flatMap((pump): PlantDetector[] => {
    const { id, chamberId } = pump.placed
    if (!runsNow(mode, pump.placed)) return []
    // Where no inlet is given: at the latest when its chamber is empty.
    const emptyM = plant.sumpBox.floorHeightM + pump.part.outletBoreM
    const leastM = drawsAirBelowM(pump) ?? emptyM
    const at = plant.chamberAt.get(chamberId)!
    return [
      {
        name: `dry ${id}`,
        value: (levels) => leastM - levels[at]!,
        event: { kind: 'pump-draws-air', placedId: id, gasps },
        becomes: (now) => ({
          ...now,
          stopped: withMember(now.stopped, id),
          gasping: gasps ? withMember(now.gasping, id) : now.gasping,
        }),
      },
    ]
  })
}

/** Where an end under water lets air in: its hole while that is clean, else its mouth. */
function breaks(plant: Plant, mode: Mode): PlantDetector[] {
  return mayRunBack(plant, mode).map(({ lineId, level, airM }) => ({
    name: `breaks ${lineId}`,
    value: (levels) => airM - levels[level]!,
    event: { kind: 'back-siphon-breaks', lineId },
    becomes: (now) => ({ ...now, broken: withMember(now.broken, lineId) }),
  }))
}

function floats(plant: Plant, mode: Mode): PlantDetector[] {
  const { topOffSupply, returnChamber, vessels } = plant
  if (topOffSupply < 0) return []
  const holds = holdsNow(mode)
  const keptM = keptLevelM(plant)
  const detectors: PlantDetector[] = []
  if (holds || topOffRuns(mode)) {
    detectors.push({
      name: 'top-off empty',
      value: (levels) => vessels[topOffSupply]!.floorM - levels[topOffSupply]!,
      event: { kind: 'top-off-empty' },
      becomes: (now) => ({ ...now, topOff: 'empty' }),
    })
  }
  if (mode.topOff === 'runs') {
    detectors.push({
      name: 'top-off stops',
      value: (levels) => levels[returnChamber]! - keptM,
      event: { kind: 'top-off-stops' },
      becomes: (now) => ({ ...now, topOff: 'waits' }),
    })
  }
  if (mode.topOff === 'waits' && mode.powered && !holds) {
    detectors.push({
      name: 'top-off starts',
      value: (levels) => keptM - FLOAT_M - levels[returnChamber]!,
      event: { kind: 'top-off-starts' },
      becomes: (now) => ({ ...now, topOff: 'runs' }),
    })
  }
  return detectors
}

/** A collector that is full, a tank that is taken empty, and a chamber that a leak has emptied. */
function losses(plant: Plant, mode: Mode): PlantDetector[] {
  const { cup, leak } = mode
  const { collector, returnChamber, chamberAt, vessels, steady } = plant
  const list: PlantDetector[] = []
  if (cup && !cup.full) {
    list.push({
      name: 'collector full',
      value: (levels) => levels[collector]! - cup.collectorM3,
      event: { kind: 'collector-full' },
      becomes: (now) => ({ ...now, cup: { ...cup, full: true } }),
    })
  }
  if (cup) {
    const at = chamberAt.get(cup.chamberId)!
    const { floorM } = vessels[at]!
    const runsM = steady.chambers[at - steady.design.tanks.length]!.levelM
    const leastM = floorM + FOAMS_SHARE * (runsM - floorM)
    list.push({
      name: 'cup stops',
      value: (levels) => leastM - levels[at]!,
      event: { kind: 'cup-stops' },
      becomes: (now) => ({ ...now, cup: null }),
    })
  }
  if (mode.takenM3PerS > 0) {
    // Water is taken out of the first tank.
    const { floorM, of } = vessels[0]!
    list.push({
      name: 'tank empty',
      value: (levels) => floorM + EMPTY_M - levels[0]!,
      event: { kind: 'tank-empty', tankId: of.id },
      becomes: (now) => ({ ...now, takenM3PerS: 0 }),
    })
  }
  if (leak?.at === 'sump') {
    const { floorM, of } = vessels[returnChamber]!
    list.push({
      name: 'sump empty',
      value: (levels) => floorM + EMPTY_M - levels[returnChamber]!,
      event: { kind: 'sump-empty', chamberId: of.id },
      becomes: (now) => ({ ...now, leak: null }),
    })
  }
  return list
}

/** With less of its water's depth left a skimmer foams no more (choice). */
const FOAMS_SHARE = 2 / 3
/** So much water on its floor is none, m (choice). */
const EMPTY_M = 0.001

/** A vessel runs over once water stands a hair above its rim. */
const HAIR_M = 1e-5

function edges({ places, vessels }: Plant, written: ReadonlySet<string>): PlantDetector[] {
  return places.flatMap((place, v): PlantDetector[] => {
    // The sump's rim is one: that any chamber stands over it is said once.
    const name = place?.kind === 'chamber' ? 'over the sump' : `over ${vesselKey(vessels[v]!)}`
    if (!place || !Number.isFinite(place.rimM) || written.has(name)) return []
    return [
      {
        name,
        value: (levels) => levels[v]! - place.rimM - HAIR_M,
        event: { kind: 'runs-over', vessel: vessels[v]!.of },
        becomes: null,
      },
    ]
  })
}
