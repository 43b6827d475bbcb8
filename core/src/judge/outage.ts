import { aboveRimBandM3 } from '../figures/index.ts'
import { givenBackM3, type SumpBox, surfaceM } from '../design/index.ts'
import { filledShareOf, noiseBand } from '../drain/index.ts'
import type { LineCut } from '../layout/index.ts'
import { addPipesAbove, chamberAreasM2, chamberLevelM, type SteadyState } from '../loop/index.ts'
import { flatMap } from '../numeric/index.ts'
import {
  crestM,
  drainBack,
  type DrainBack,
  fillLineM,
  freeVolumeM3,
  stillLevelM,
  type Stopping,
  type StoppingChamber,
  type StoppingDisplay,
  type StoppingPipe,
} from '../sump/index.ts'

/** The pump stops: what comes down, and where it comes to rest. */
export interface SolvedOutage {
  readonly drainBack: DrainBack
  /** Over the room's floor. */
  readonly stillM: number
  /** From the still level up to the sump's rim. */
  readonly marginM: number
  /** How far it may be off, m: by what stands over the rims. */
  readonly marginBandM: number
  readonly spills: boolean
  /** Highest running level of the return chamber that leaves the keeper's margin, over the room's floor. */
  readonly fillLineM: number
  readonly freeVolumeM3: number
  /** The margin if no check valve held; null: none is counted on. */
  readonly marginWithoutCheckM: number | null
}

/** What a power cut brings down, and whether the sump holds it; null: the sump has no sizes. */
export function outageOf(
  steady: SteadyState,
  shareOf: (tankId: string) => number,
): SolvedOutage | null {
  const { sump } = steady.design
  const { box } = sump
  if (!box) return null
  const areasM2 = chamberAreasM2(steady.given.sump, box)
  const chambers = stoppingChambers(steady, box, areasM2)
  const back = drainBack(stopping(steady, true))
  const stillM = stillLevelM(chambers, back.totalM3)
  const takingM2 = chambers.reduce((sum, { areaM2 }) => sum + areaM2, 0)
  const counts = steady.layout.cuts.some(hasCheck)
  const without = counts ? drainBack(stopping(steady, false)).totalM3 : null
  return {
    drainBack: back,
    stillM: box.floorHeightM + stillM,
    marginM: box.heightM - stillM,
    marginBandM: aboveRimBandM3(steady, shareOf) / takingM2,
    spills: stillM > box.heightM,
    fillLineM: box.floorHeightM + fillLineM(chambers, back.totalM3, box.heightM - sump.marginM),
    freeVolumeM3: freeVolumeM3(chambers, box.heightM),
    marginWithoutCheckM: without === null ? null : box.heightM - stillLevelM(chambers, without),
  }
}

/** The chambers that take the water, the return chamber last; a reservoir behind a solid wall takes none. */
function stoppingChambers(
  steady: SteadyState,
  box: SumpBox,
  areas: readonly number[],
): StoppingChamber[] {
  const { returnIndex, chambers } = steady
  const held = heldBy(steady)
  const order = chambers.map((_, i) => i).filter((i) => i !== returnIndex && !chambers[i]!.apart)
  return [...order, returnIndex].map((i) => ({
    areaM2: areas[i]!,
    runningLevelM: chambers[i]!.levelM - box.floorHeightM,
    heldByM: held[i]!,
  }))
}

/** The highest crest on a chamber's way to the return chamber holds its water. */
function heldBy({ design, returnIndex }: SteadyState): number[] {
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

function stopping(steady: SteadyState, checkHolds: boolean): Stopping {
  const { design, overflows, tankLevels } = steady
  return {
    displays: design.tanks.map((tank): StoppingDisplay => ({
      surfaceM2: tank.lengthM * tank.widthM,
      runningLevelM: surfaceM(tank),
      crestM: tank.floorHeightM + (tank.overflow?.crestM ?? tank.waterLevelM),
      siphonBreakM: siphonBreak(steady, tank.id, checkHolds),
    })),
    boxes: flatMap(overflows, (overflow, i) => {
      const box = overflow?.overflow.box
      const boxM = tankLevels[i]?.boxM ?? null
      if (!overflow || !box || boxM === null || overflow.drains.length === 0) return []
      return [
        {
          surfaceM2: box.lengthM * box.widthM,
          runningLevelM: boxM,
          drainInletM: Math.min(...overflow.drains.map(({ lipM }) => lipM)),
        },
      ]
    }),
    returnPipes: returnPipes(steady, checkHolds),
    drainPipes: drainPipes(steady),
    equipmentM3: givenBackM3(design.sump),
  }
}

function returnPipes(steady: SteadyState, checkHolds: boolean): StoppingPipe[] {
  const { lines, cuts } = steady.layout
  const pipes: StoppingPipe[] = []
  lines.forEach(({ placed }, i) => {
    if (checkHolds && hasCheck(cuts[i]!)) return
    addPipesAbove(pipes, placed, sourceLevel(steady), 1)
  })
  return pipes
}

function drainPipes(steady: SteadyState): StoppingPipe[] {
  const pipes: StoppingPipe[] = []
  for (const { index, drain, boreM, placed, chamberId } of steady.drains) {
    const flow = steady.drainFlows[index]!
    if (flow <= 0) continue
    const full = drain.role === 'siphon' || noiseBand(boreM, flow) === 'over'
    const share = full ? 1 : filledShareOf(boreM, flow)
    addPipesAbove(pipes, placed, chamberLevelM(steady, chamberId), share)
  }
  return pipes
}

function hasCheck(cuts: readonly LineCut[]): boolean {
  return cuts.some((cut) => cut.hasCheck)
}

/** The deepest point at which any outlet of a tank lets its siphon run; null: none is under water, or a check valve holds it. */
function siphonBreak(
  { layout, design }: SteadyState,
  tankId: string,
  checkHolds: boolean,
): number | null {
  const tank = design.tanks.find(({ id }) => id === tankId)!
  const breaks = flatMap(layout.lines, (laid, i) => {
    const { end } = laid.line
    if (end.at !== 'tank' || end.id !== tankId || laid.end !== 'under-water') return []
    if (checkHolds && hasCheck(layout.cuts[i]!)) return []
    return [end.breakDepthM === null ? laid.mouth.zM : surfaceM(tank) - end.breakDepthM]
  })
  return breaks.length > 0 ? Math.min(...breaks) : null
}

function sourceLevel({ chambers, returnIndex }: SteadyState): number {
  return chambers[returnIndex]!.levelM
}
