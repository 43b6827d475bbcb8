import {
  applyEdits,
  type BasinDesign,
  chamberSpans,
  type ChamberUse,
  type Edit,
  isInChamber,
  isJoined,
  setTo,
  type Sump,
  type SumpBox,
  type SumpChamber,
  type SumpWall,
} from '../../design/index.ts'
import { judgedSump, type SolvedSump } from '../../judge/index.ts'
import { figuresOf } from '../../figures/index.ts'
import { waterAt } from '../../fluid/index.ts'
import { layDrains, steadyState } from '../../loop/index.ts'
import { toMillimetre } from '../../quantity/index.ts'
import { laidAnew } from '../gravity/new-drains.ts'
import { newSump, USE_NAME } from './new-sump.ts'
import { BETWEEN_WALLS_M } from './wall-edits.ts'

/**
 * Puts a sump in place of the old one. What drew from a chamber that is gone draws from the return
 * chamber; drains that came down where drains do, or in a chamber that is gone, come down where
 * they do now.
 */
export function sumpEdits(design: BasinDesign, sump: Sump): Edit[] {
  const kept = new Set(sump.chambers.map(({ id }) => id))
  const pumpsTo = (sump.chambers.find(({ use }) => use === 'return') ?? sump.chambers.at(-1)!).id
  const fallsTo = entryOf(sump).id
  const edits: Edit[] = [setTo(['sump'], sump)]
  const isGone = (id: string | null | undefined) => id != null && !kept.has(id)
  const { pumps, lines } = design.returnSide
  pumps.forEach(({ chamberId }, i) => {
    if (isGone(chamberId)) edits.push(setTo(['returnSide', 'pumps', i, 'chamberId'], pumpsTo))
  })
  lines.forEach(({ end }, i) => {
    if (end.at !== 'chamber' || !isGone(end.id)) return
    edits.push(setTo(['returnSide', 'lines', i, 'end', 'id'], fallsTo))
  })
  const fellTo = entryOf(design.sump).id
  design.drains.forEach(({ end }, i) => {
    const isAtEntry = end.id === fellTo && fellTo !== fallsTo
    if (end.at !== 'chamber' || !(isGone(end.id) || isAtEntry)) return
    edits.push(setTo(['drains', i, 'end', 'id'], fallsTo))
  })
  design.tanks.forEach(({ overflow }, i) => {
    if (!isGone(overflow?.chamberId)) return
    edits.push(setTo(['tanks', i, 'overflow', 'chamberId'], fallsTo))
  })
  return [...edits, ...drainsAfter(design, applyEdits(design, edits))]
}

/** Drains that came down where they should and now don't are laid anew to their chamber. */
function drainsAfter(before: BasinDesign, after: BasinDesign): Edit[] {
  if (!after.sump.box || after.drains.length === 0) return []
  const mouths = layDrains(after.drains, waterAt(after.water)).map(({ mouth }) => mouth)
  const flows = figuresOf(steadyState(before)).tanks
  return after.drains.flatMap((drain, i): Edit[] => {
    const { end, tankId } = drain
    const tank = after.tanks.findIndex(({ id }) => id === tankId)
    if (end.at !== 'chamber' || !after.tanks[tank]?.overflow?.box) return []
    if (isInChamber(after.sump, end.id, mouths[i]!)) return []
    // One that others join keeps its tee: only a hand can lead it elsewhere.
    if (isJoined(after, drain)) return []
    const to = { chamberId: end.id, flowM3PerS: flows[tank]!.flowM3PerS }
    return [setTo(['drains', i], laidAnew(after, drain, to))]
  })
}

const ENTRIES: readonly ChamberUse[] = ['drain-entry', 'socks', 'roller']

/** Where drains come down. */
export function entryOf({ chambers }: Sump): SumpChamber {
  return chambers.find(({ use }) => ENTRIES.includes(use)) ?? chambers[0]!
}

/** Another length: the chambers keep their shares of what the walls leave. */
export function withLength(sump: Sump, lengthM: number): Sump {
  const box = sump.box!
  const wallsM = sump.walls.reduce((sum, { thicknessM }) => sum + thicknessM, 0)
  const share = (lengthM - wallsM) / (box.lengthM - wallsM)
  const spans = chamberSpans(sump, box.lengthM)
  let atM = 0
  const walls = sump.walls.map((wall, i) => {
    const { fromM, toM } = spans[i]!
    atM += (toM - fromM) * share
    const placed = { ...wall, atM: toMillimetre(atM) }
    atM += wall.thicknessM
    return placed
  })
  return { ...sump, box: { ...box, lengthM }, walls }
}

/** The least length that leaves every chamber some room, m. */
export function leastLengthM({ walls, chambers }: Sump): number {
  return walls.reduce((sum, { thicknessM }) => sum + thicknessM, chambers.length * BETWEEN_WALLS_M)
}

/** Another height: walls that stood higher than it are cut to it, and what is cut in them with them. */
export function withHeight(sump: Sump, heightM: number): Sump {
  const box = { ...sump.box!, heightM }
  return {
    ...sump,
    box,
    walls: sump.walls.map((wall) => {
      const topM = Math.min(wall.topM, heightM)
      const { teeth, slotM } = wall
      return {
        ...wall,
        topM,
        slotM: Math.min(slotM, topM / 2),
        teeth: teeth && { ...teeth, heightM: Math.min(teeth.heightM, topM / 2) },
      }
    }),
  }
}

/** A new wall is so thick, m. */
const WALL_M = 0.006

/** A chamber parted in two by an over-wall in its middle; the new one stands to its right. */
export function withChamber(
  sump: Sump,
  index: number,
  use: ChamberUse,
  newId: () => string,
): Sump | null {
  const box = sump.box!
  const { fromM, toM } = chamberSpans(sump, box.lengthM)[index]!
  if (toM - fromM < 4 * WALL_M) return null
  const beside = sump.walls[index] ?? sump.walls[index - 1]
  const wall: SumpWall = {
    id: newId(),
    kind: 'over',
    atM: toMillimetre((fromM + toM) / 2 - WALL_M / 2),
    thicknessM: WALL_M,
    topM: beside && beside.kind === 'over' ? beside.topM : toMillimetre(box.heightM * 0.6),
    slotM: 0,
    teeth: null,
    pipeBoreM: 0.03,
    pipeHeightM: toMillimetre(box.heightM * 0.3),
    adjustable: false,
    opaque: false,
  }
  const names = new Set(sump.chambers.map(({ name }) => name))
  let name = USE_NAME[use]
  for (let n = 2; names.has(name); n++) name = `${USE_NAME[use]} ${n}`
  const chamber: SumpChamber = {
    id: newId(),
    name,
    use,
    levelM: sump.chambers[index]!.levelM,
    footprintM2: 0,
    submergedM3: 0,
    wantsDepth: null,
  }
  return {
    ...sump,
    chambers: [...sump.chambers.slice(0, index + 1), chamber, ...sump.chambers.slice(index + 1)],
    walls: [...sump.walls.slice(0, index), wall, ...sump.walls.slice(index)],
  }
}

/** A chamber taken out with one of its walls; its neighbour takes its room. */
export function withoutChamber(sump: Sump, index: number): Sump {
  const wall = Math.min(index, sump.walls.length - 1)
  return {
    ...sump,
    chambers: sump.chambers.filter((_, i) => i !== index),
    walls: sump.walls.filter((_, i) => i !== wall),
  }
}

/** The chambers in another order, each as long as it was; the walls stay in theirs. */
export function reordered(sump: Sump, ids: readonly string[]): Sump {
  const box = sump.box!
  const spans = chamberSpans(sump, box.lengthM)
  const order = ids.map((id) => sump.chambers.findIndex((chamber) => chamber.id === id))
  let atM = 0
  return {
    ...sump,
    chambers: order.map((i) => sump.chambers[i]!),
    walls: sump.walls.map((wall, w) => {
      const { fromM, toM } = spans[order[w]!]!
      atM += toM - fromM
      const placed = { ...wall, atM: toMillimetre(atM) }
      atM += wall.thicknessM
      return placed
    }),
  }
}

/** What a layout would leave each chamber with, at the flow it would then have. */
export interface TriedLayout {
  readonly uses: readonly ChamberUse[]
  readonly sump: Sump
  readonly solved: SolvedSump
}

/** A sump laid out for these uses in its present box, solved at the flows the loop has now. */
export function tryLayout(
  design: BasinDesign,
  box: SumpBox,
  uses: readonly ChamberUse[],
): TriedLayout {
  const sump = newSump(design.sump, box, uses)
  const steady = steadyState(applyEdits(design, sumpEdits(design, sump)))
  return { uses, sump, solved: judgedSump(steady) }
}
