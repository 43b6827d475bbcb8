import type { BasinDesign, DrainRole, DrainState, SolvedBasin, Solved } from '@yew-basin/core'
import { drawOverflows, type DrawnOverflow } from './overflow-drawing.ts'
import { drawRun, type Filling } from './run-drawing.ts'
import {
  isSmall,
  type Scale,
  scaleFor,
  scaleWords,
  type Sheet,
  SWITCHES_PX,
  windowOf,
} from './scale.ts'
import { flowLabels } from './flow-labels.ts'
import type { PxBox } from './px-box.ts'
import { drawnChambers, drawnSump, fallingWater, levelMarkX } from './section-layout.ts'
import { drawSump } from './sump-drawing.ts'

/** What a section is drawn of. */
export interface SectionOf {
  /** With its water where it runs. */
  readonly design: BasinDesign
  readonly solved: SolvedBasin
  /** The line whose lift is drawn, and the chamber it is lifted from. */
  readonly line: Solved<'line'>
  readonly fromChamberId: string | undefined
}

/** Room that a level's words take, px. */
const SUMP_TEXT_PX = 90

/** The section of a basin on a sheet of this size: every place of it in pixels. */
export function drawSection(
  { design, solved, line, fromChamberId }: SectionOf,
  widthPx: number,
  heightPx: number,
) {
  const room = windowOf(design, solved)
  const scale = scaleFor(room, widthPx, heightPx)
  const sheet: Sheet = { view: 'section', scale }
  const small = isSmall(widthPx)
  const { lines } = solved.returnSide
  const tanks = design.tanks.map((tank, i) => ({
    tank,
    solved: solved.tanks[i]!,
    left: scale.x(tank.xM),
    right: scale.x(tank.xM + tank.lengthM),
    top: scale.y(tank.floorHeightM + tank.heightM),
    surface: scale.y(solved.tanks[i]!.surfaceM),
  }))
  const farRight = Math.max(
    ...tanks.map(({ right }) => right),
    ...lines.flatMap(({ pieces }) => pieces.map((piece) => scale.x(piece.to.xM))),
  )
  // Until the sump's sizes are given, its water is drawn as far as it is known: round pumps and ends.
  const sump = drawSump(design, solved, scale)
  const chambers = sump ? [] : drawnChambers(design, lines, scale)
  const sumps = sump ? [] : watersRoundPumps(design, chambers, scale)
  const overflows = drawOverflows(design, solved, scale)
  const crossed = crossing(design, solved, overflows, scale)
  const runs = lines.map((solvedLine, i) => drawRun(design.returnSide.lines[i]!, solvedLine, sheet))
  const drains = drawnDrains(design, solved, sheet)
  const sourceM = design.sump.chambers.find(({ id }) => id === fromChamberId)!.levelM
  return {
    design,
    solved,
    scale,
    tanks,
    runs,
    small,
    floor: room.bottom > 0 ? null : scale.y(0),
    bottom: scale.y(room.bottom),
    pumpPx: Math.min(34, Math.max(12, 0.09 * scale.pxPerM)),
    sumps,
    chambers,
    sump,
    overflows,
    drains,
    pumps: design.returnSide.pumps.map(({ id, outlet, stopped }) => ({
      id,
      stopped,
      x: scale.x(outlet.xM),
      y: scale.y(outlet.zM),
    })),
    lift: {
      x: Math.min(farRight + (small ? 14 : 26), widthPx - (small ? 32 : 24)),
      from: scale.y(sourceM),
      to: scale.y(sourceM + line.liftM),
      shown: line.end !== 'tee' && line.end !== 'cap',
    },
    falls: lines.flatMap((solvedLine) => fallingWater(design, solved, solvedLine, scale)),
    words: scaleWords(scale),
    crossing: crossed,
    // Over the tanks, and over a line that rises above them where there is room.
    above: Math.max(
      small ? SWITCHES_PX : 30,
      Math.min(
        ...tanks.map(({ top }) => top - 22),
        ...lines.flatMap(({ pieces }) => pieces.map((piece) => scale.y(piece.to.zM) - 14)),
      ),
    ),
    labels: small
      ? []
      : flowLabels(design, solved, {
          scale,
          runs: [...runs, ...drains.map(({ run }) => run)],
          words: levelWords({ tanks, crossed, sump, sumps, overflows }),
        }),
  }
}

/** The water round each pump of a sump without sizes. */
function watersRoundPumps(
  design: BasinDesign,
  chambers: ReturnType<typeof drawnChambers>,
  scale: Scale,
) {
  return design.returnSide.pumps.map((_, i) => {
    const water = drawnSump(design, i, scale)
    // Another chamber stands where its level would be written.
    const crowded = chambers.some(
      ({ left, right }) => right > water.left - SUMP_TEXT_PX && left < water.left + 14,
    )
    return { ...water, crowded }
  })
}

function drawnDrains(design: BasinDesign, solved: SolvedBasin, sheet: Sheet) {
  return design.drains.map((drain, i) => {
    const own = solved.drains[i]!
    return {
      tankId: drain.tankId,
      name: drain.name,
      run: drawRun(drain, own, sheet, fillingOf(drain.role, own.state)),
      fall: drainFall(own, design, sheet.scale),
    }
  })
}

/** Room of a level's mark and its words, beside it and over its line, px. */
const MARK_PX = { left: 10, right: 84, above: 18, below: 8 }

function markBox(x: number, y: number): PxBox {
  const { left, right, above, below } = MARK_PX
  return { left: x - left, right: x + right, top: y - above, bottom: y + below }
}

/** The room that the levels' marks and words take. */
function levelWords({
  tanks,
  crossed,
  sump,
  sumps,
  overflows,
}: {
  readonly tanks: readonly { left: number; right: number; surface: number }[]
  readonly crossed: readonly number[]
  readonly sump: ReturnType<typeof drawSump>
  readonly sumps: readonly { left: number; level: number }[]
  readonly overflows: readonly DrawnOverflow[]
}): PxBox[] {
  return [
    ...tanks.map(({ left, right, surface }) => markBox(levelMarkX(left, right, crossed), surface)),
    ...(sump?.chambers ?? []).flatMap(({ wide, left, level }) =>
      wide ? [markBox(left + 12, level)] : [],
    ),
    ...sumps.map(({ left, level }) => markBox(left + 14, level)),
    ...overflows.flatMap(({ right, water }) => (water === null ? [] : [markBox(right, water)])),
  ]
}

/** A siphon is full, a vented pipe has air in its core, a dry one has nothing else. */
function fillingOf(role: DrainRole, state: DrainState): Filling {
  if (state === 'dry') return 'air'
  return role === 'siphon' ? 'water' : 'film'
}

/** Water that falls from a drain's mouth in air. */
function drainFall(drain: Solved<'drain'>, { sump }: BasinDesign, scale: Scale): string | null {
  if (drain.flowM3PerS <= 0 || drain.end !== 'above-water' || drain.joinsId !== null) return null
  const { levelM } = sump.chambers.find(({ id }) => id === drain.chamberId)!
  return `M${scale.x(drain.mouth.xM)} ${scale.y(drain.mouth.zM)} V${scale.y(levelM)}`
}

/** What crosses the tanks' water: a level mark keeps clear of it. */
function crossing(
  design: BasinDesign,
  { returnSide, drains }: SolvedBasin,
  overflows: readonly DrawnOverflow[],
  scale: Scale,
): number[] {
  const floorM = Math.min(...design.tanks.map((tank) => tank.floorHeightM))
  const inTank = [...returnSide.lines, ...drains].flatMap(({ pieces }) =>
    pieces.filter(({ to }) => to.zM > floorM).map(({ to }) => scale.x(to.xM)),
  )
  return [...inTank, ...overflows.flatMap(({ left, right }) => [left, (left + right) / 2, right])]
}
