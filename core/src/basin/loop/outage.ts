import { gather } from '../../numeric/gather.ts'
import {
  drainBack,
  fillLineM,
  freeVolumeM3,
  stillLevelM,
  type Stopping,
  type StoppingChamber,
  type StoppingDisplay,
  type StoppingPipe,
} from '../../sump/drain-back.ts'
import { crestM } from '../../sump/wall.ts'
import { filledShareOf, noiseBand } from '../../drain/vented.ts'
import { surfaceM } from '../design.ts'
import type { LineCut } from '../layout/cut-line.ts'
import type { SolvedOutage } from '../solved-gravity.ts'
import { givenBackM3 } from '../contents.ts'
import type { SumpBox } from '../sump.ts'
import { addPipesAbove } from './pipe-water.ts'
import { chamberLevelM, type Settled } from './settle.ts'

/** What a power cut brings down, and whether the sump holds it. */
export function solveOutage(
  settled: Settled,
  box: SumpBox,
  areasM2: readonly number[],
): SolvedOutage {
  const { sump } = settled.design
  const chambers = stoppingChambers(settled, box, areasM2)
  const back = drainBack(stopping(settled, true))
  const stillM = stillLevelM(chambers, back.totalM3)
  const counts = settled.layout.cuts.some(hasCheck)
  const without = counts ? drainBack(stopping(settled, false)).totalM3 : null
  return {
    drainBack: back,
    stillM: box.floorHeightM + stillM,
    marginM: box.heightM - stillM,
    spills: stillM > box.heightM,
    fillLineM: box.floorHeightM + fillLineM(chambers, back.totalM3, box.heightM - sump.marginM),
    freeVolumeM3: freeVolumeM3(chambers, box.heightM),
    marginWithoutCheckM: without === null ? null : box.heightM - stillLevelM(chambers, without),
  }
}

/** The chambers that take the water, the return chamber last; a reservoir behind a solid wall takes none. */
function stoppingChambers(
  settled: Settled,
  box: SumpBox,
  areas: readonly number[],
): StoppingChamber[] {
  const { returnIndex, chambers } = settled
  const held = heldBy(settled)
  const order = chambers.map((_, i) => i).filter((i) => i !== returnIndex && !chambers[i]!.apart)
  return [...order, returnIndex].map((i) => ({
    areaM2: areas[i]!,
    runningLevelM: chambers[i]!.levelM - box.floorHeightM,
    heldByM: held[i]!,
  }))
}

/** The highest crest on a chamber's way to the return chamber holds its water. */
function heldBy({ design, returnIndex }: Settled): number[] {
  const { chambers, walls } = design.sump
  const held = chambers.map(() => 0)
  for (const step of [-1, 1]) {
    for (let i = returnIndex + step; i >= 0 && i < chambers.length; i += step) {
      const wall = walls[step < 0 ? i : i - 1]!
      const own = wall.kind === 'under' ? 0 : wall.kind === 'pipe' ? wall.pipeHeightM : crestM(wall)
      held[i] = Math.max(held[i - step]!, own)
    }
  }
  return held
}

function stopping(settled: Settled, checkHolds: boolean): Stopping {
  const { design, overflows, tankLevels } = settled
  return {
    displays: design.tanks.map((tank): StoppingDisplay => ({
      surfaceM2: tank.lengthM * tank.widthM,
      runningLevelM: surfaceM(tank),
      crestM: tank.floorHeightM + (tank.overflow?.crestM ?? tank.waterLevelM),
      siphonBreakM: siphonBreak(settled, tank.id, checkHolds),
    })),
    boxes: gather(overflows, (one, i) => {
      const box = one?.overflow.box
      const boxM = tankLevels[i]?.boxM ?? null
      if (!one || !box || boxM === null || one.drains.length === 0) return []
      return [
        {
          surfaceM2: box.lengthM * box.widthM,
          runningLevelM: boxM,
          drainInletM: Math.min(...one.drains.map(({ lipM }) => lipM)),
        },
      ]
    }),
    returnPipes: returnPipes(settled, checkHolds),
    drainPipes: drainPipes(settled),
    equipmentM3: givenBackM3(design.sump),
  }
}

function returnPipes(settled: Settled, checkHolds: boolean): StoppingPipe[] {
  const { lines, cuts } = settled.layout
  const pipes: StoppingPipe[] = []
  lines.forEach(({ placed }, i) => {
    if (checkHolds && hasCheck(cuts[i]!)) return
    addPipesAbove(pipes, placed, sourceLevel(settled), 1)
  })
  return pipes
}

function drainPipes(settled: Settled): StoppingPipe[] {
  const pipes: StoppingPipe[] = []
  for (const { index, drain, boreM, placed, chamberId } of settled.drains) {
    const flow = settled.drainFlows[index]!
    if (flow <= 0) continue
    const full = drain.role === 'siphon' || noiseBand(boreM, flow) === 'over'
    const share = full ? 1 : filledShareOf(boreM, flow)
    addPipesAbove(pipes, placed, chamberLevelM(settled, chamberId), share)
  }
  return pipes
}

function hasCheck(cuts: readonly LineCut[]): boolean {
  return cuts.some((cut) => cut.hasCheck)
}

/** The deepest point at which any outlet of a tank lets its siphon run; null: none is under water, or a check valve holds it. */
function siphonBreak(
  { layout, design }: Settled,
  tankId: string,
  checkHolds: boolean,
): number | null {
  const tank = design.tanks.find(({ id }) => id === tankId)!
  const breaks = gather(layout.lines, (laid, i) => {
    const { end } = laid.line
    if (end.at !== 'tank' || end.id !== tankId || laid.end !== 'under-water') return []
    if (checkHolds && hasCheck(layout.cuts[i]!)) return []
    return [end.breakDepthM === null ? laid.mouth.zM : surfaceM(tank) - end.breakDepthM]
  })
  return breaks.length > 0 ? Math.min(...breaks) : null
}

function sourceLevel({ chambers, returnIndex }: Settled): number {
  return chambers[returnIndex]!.levelM
}
