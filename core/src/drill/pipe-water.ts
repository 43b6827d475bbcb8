import { StandingWater, type Stands } from './law/standing.ts'
import { type Mode, runsNow } from './mode.ts'
import type { PipeWater, Plant } from './plant.ts'
import { volumeAt } from './vessel.ts'

/** With so much water over its inlet a drain's pipe has all the water that runs in it, m (choice). */
const FILLS_M = 0.006

/** Water in pipes and hung equipment, which a switching lets fall or takes up. */
export function standingWater(plant: Plant, mode: Mode): StandingWater[] {
  return [
    ...plant.linePipes.map((pipe, i) => held(plant, pipe, lineStands(plant, mode, i))),
    ...plant.drainPipes.map((pipe) => held(plant, pipe, drainStands(plant, mode, pipe))),
    ...plant.heldUp.map((pipe) => held(plant, pipe, equipmentStands(mode, pipe))),
  ]
}

function held(plant: Plant, { vessel, fallsTo, fullM3 }: PipeWater, stands: Stands) {
  const chamber = plant.vessels[fallsTo]!
  return new StandingWater({ pipe: vessel, chamber: fallsTo, fullM3 }, stands, (levels) =>
    volumeAt(chamber, levels[fallsTo]!),
  )
}

const full: Stands = () => 1
const empty: Stands = () => 0
const asItIs: Stands = () => null

/** A line is full while a pump of its chamber runs; then a check valve, or a siphon, holds what is in it. */
function lineStands(plant: Plant, mode: Mode, index: number): Stands {
  const { layout } = plant.steady
  const laid = layout.lines[index]!
  const chamber = [...plant.chamberAt].find(([, v]) => v === plant.drawsFrom[index])![0]
  const runs = mode.design.returnSide.pumps.some(
    (pump) => pump.chamberId === chamber && runsNow(mode, pump),
  )
  if (runs) return full
  const own = mode.design.returnSide.lines[index]!.run.pieces
  if (own.some(({ kind }) => kind === 'check-valve')) return asItIs
  const siphons = laid.end === 'under-water' && laid.line.end.at === 'tank'
  return siphons && !mode.broken.has(laid.line.id) ? asItIs : empty
}

/** A siphon by whether it has air in it; any other by the water over its inlet, or over its end so high that it stands under it whole. */
function drainStands(plant: Plant, mode: Mode, pipe: PipeWater): Stands {
  const siphon = mode.siphons.get(pipe.id!)
  if (mode.blocked.get(pipe.id!) === 1) return asItIs
  if (siphon) return siphon.runs === 'with-air' ? empty : full
  for (const { laid, box } of plant.tanks) {
    const own = laid.drains.find(({ drain }) => drain.id === pipe.id)
    if (!own) continue
    const { tankLevels, design } = plant.steady
    const tank = design.tanks.findIndex(({ id }) => id === laid.tank.id)
    const ranM = (tankLevels[tank]!.boxM ?? Infinity) - own.lipM
    const easeM = Math.min(FILLS_M, ranM)
    return (levels) => {
      const overM = Math.max(levels[box]!, levels[pipe.fallsTo]!) - own.lipM
      return Math.min(1, Math.max(0, overM / easeM))
    }
  }
  return asItIs
}

function equipmentStands(mode: Mode, { standsIn }: PipeWater): Stands {
  const anyRuns = mode.design.returnSide.pumps.some((pump) => runsNow(mode, pump))
  const runs = standsIn === 'skimmers' ? mode.powered && !mode.skimmersStopped : anyRuns
  return runs ? full : empty
}
