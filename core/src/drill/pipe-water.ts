import { type Mode, runsNow } from './mode.ts'
import type { PipeWater, Plant } from './plant.ts'

/** Box levels this near to a drain's lip let its pipe run empty; so much over it fill it again, m (choice). */
const EMPTIES_M = 0.002
const FILLS_M = 0.006

/**
 * Water in pipes and hung equipment that a switching lets fall or takes up, moved at once: it is
 * seconds away from where it goes.
 */
export function movePipeWater(plant: Plant, mode: Mode, volumes: number[], levels: number[]): void {
  for (const [i, pipe] of plant.linePipes.entries())
    moveLine(plant, mode, volumes, { index: i, pipe })
  for (const pipe of plant.drainPipes) moveDrain(plant, volumes, levels, pipe)
  const anyRuns = mode.design.returnSide.pumps.some((pump) => runsNow(mode, pump))
  for (const heldUp of plant.heldUp) {
    const runs = heldUp.standsIn === 'skimmers' ? mode.powered && !mode.skimmersStopped : anyRuns
    ;(runs ? fill : empty)(volumes, heldUp)
  }
}

function moveLine(
  plant: Plant,
  mode: Mode,
  volumes: number[],
  { index, pipe }: { readonly index: number; readonly pipe: PipeWater },
): void {
  const { layout, design } = plant.steady
  const laid = layout.lines[index]!
  const chamber = [...plant.chamberAt].find(([, v]) => v === plant.drawsFrom[index])![0]
  const runs = design.returnSide.pumps.some(
    (pump) => pump.chamberId === chamber && runsNow(mode, pump),
  )
  if (runs) return fill(volumes, pipe)
  const own = mode.design.returnSide.lines[index]!.run.pieces
  if (own.some(({ kind }) => kind === 'check-valve')) return
  const siphons = laid.end === 'under-water' && laid.line.end.at === 'tank'
  if (!siphons || mode.broken.has(laid.line.id)) empty(volumes, pipe)
}

function moveDrain(plant: Plant, volumes: number[], levels: number[], pipe: PipeWater): void {
  for (const { laid, box } of plant.tanks) {
    const own = laid.drains.find(({ drain }) => drain.id === pipe.id)
    if (!own) continue
    const overM = levels[box]! - own.lipM
    if (overM <= EMPTIES_M) empty(volumes, pipe)
    else if (overM >= FILLS_M) fill(volumes, pipe)
  }
}

function empty(volumes: number[], { vessel, fallsTo }: PipeWater): void {
  volumes[fallsTo] = volumes[fallsTo]! + volumes[vessel]!
  volumes[vessel] = 0
}

/** Fills from where it falls, as far as there is water. */
function fill(volumes: number[], { vessel, fallsTo, fullM3 }: PipeWater): void {
  const taken = Math.min(fullM3 - volumes[vessel]!, Math.max(0, volumes[fallsTo]!))
  volumes[fallsTo] = volumes[fallsTo]! - taken
  volumes[vessel] = volumes[vessel]! + taken
}

/** Is a drain's pipe about to run empty, or to fill? Negative while not. */
export function drainTurns(plant: Plant, volumes: number[]) {
  return plant.drainPipes.flatMap((pipe) =>
    plant.tanks.flatMap(({ laid, box }) => {
      const own = laid.drains.find(({ drain }) => drain.id === pipe.id)
      if (!own) return []
      const full = volumes[pipe.vessel]! > 0
      return [
        {
          name: `${full ? 'empties' : 'fills'} ${pipe.id}`,
          value: (levels: number[]) =>
            full ? own.lipM + EMPTIES_M - levels[box]! : levels[box]! - own.lipM - FILLS_M,
        },
      ]
    }),
  )
}
