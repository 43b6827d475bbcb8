import type {
  BasinDesign,
  ChamberUse,
  DisplayTank,
  Sump,
  SumpBox,
  SumpChamber,
  SumpWall,
} from '../../design/index.ts'
import { toMillimetre } from '../../quantity/index.ts'

/** What a chamber is called until the keeper says otherwise. */
export const USE_NAME: Readonly<Record<ChamberUse, string>> = {
  'drain-entry': 'Drain chamber',
  socks: 'Socks',
  roller: 'Roller',
  skimmer: 'Skimmer',
  rock: 'Live rock',
  refugium: 'Refugium',
  media: 'Media',
  trap: 'Bubble trap',
  return: 'Return chamber',
  reservoir: 'Top-off reservoir',
  other: 'Chamber',
}

/** Length a chamber needs for what it is for, m (choice); null: it takes what is left. */
const NEEDS_M: Readonly<Record<ChamberUse, number | null>> = {
  'drain-entry': 0.12,
  socks: 0.2,
  roller: 0.25,
  skimmer: 0.28,
  rock: null,
  refugium: null,
  media: 0.15,
  trap: 0.035,
  return: 0.24,
  reservoir: 0.2,
  other: null,
}

/** Share of the sump's height at which the first wall stands; each next one is a little lower. */
const FIRST_TOP = 0.62
const STEP_DOWN_M = 0.02
const SLOT_M = 0.03
const WALL_M = 0.006
/** A return chamber runs at this share of the last wall's height. */
const RETURN_SHARE = 0.75

/** The pump stands this far from the right end of a new sump, and its outlet this high over the floor, m. */
const PUMP_FROM_END_M = 0.12
const OUTLET_OVER_FLOOR_M = 0.1

type SumpSizes = Pick<SumpBox, 'make' | 'lengthM' | 'widthM' | 'heightM' | 'panelM'>

/** A sump of these inside sizes in the old one's place, else under the first pump: it stands in the last chamber. */
export function newSumpBox({ sump, returnSide, tanks }: BasinDesign, sizes: SumpSizes): SumpBox {
  const { outlet } = returnSide.pumps[0]!
  const { box } = sump
  const rear = tanks.find(({ overflow }) => overflow?.form === 'rear-chambers')
  if (rear) return behindWall(rear, sizes)
  return {
    ...sizes,
    xM: box?.xM ?? toMillimetre(outlet.xM - sizes.lengthM + PUMP_FROM_END_M),
    yM: box?.yM ?? Math.max(0, toMillimetre(outlet.yM - sizes.widthM / 2)),
    floorHeightM: box?.floorHeightM ?? Math.max(0, toMillimetre(outlet.zM - OUTLET_OVER_FLOOR_M)),
  }
}

/** The chambers of an all-in-one stand inside its tank, behind the wall at its back. */
function behindWall(tank: DisplayTank, sizes: SumpSizes): SumpBox {
  return {
    ...sizes,
    xM: tank.xM,
    yM: toMillimetre(tank.yM + tank.widthM - sizes.widthM),
    floorHeightM: tank.floorHeightM,
  }
}

/** Chambers in an order, with walls between them, each as long as it needs and the rest shared. */
export function newSump(before: Sump, box: SumpBox, uses: readonly ChamberUse[]): Sump {
  const lengths = lengthsOf(uses, box.lengthM - WALL_M * (uses.length - 1))
  const walls: SumpWall[] = []
  let atM = 0
  let topM = toMillimetre(box.heightM * FIRST_TOP)
  for (let i = 0; i < uses.length - 1; i++) {
    atM += lengths[i]!
    const wall = newWall(`wall-${i + 1}`, {
      left: uses[i]!,
      right: uses[i + 1]!,
      atM: toMillimetre(atM),
      topM,
      box,
    })
    if (wall.kind === 'over') topM = toMillimetre(Math.max(topM - STEP_DOWN_M, topM * 0.9))
    walls.push(wall)
    atM += WALL_M
  }
  const chambers = named(before, box, uses, walls)
  return { ...before, box, walls, chambers }
}

/** Fixed needs first; what is left goes to those that take it, or to the return chamber. */
export function lengthsOf(uses: readonly ChamberUse[], spaceM: number): number[] {
  const needs = uses.map((use) => NEEDS_M[use])
  const fixed = needs.reduce<number>((sum, need) => sum + (need ?? 0), 0)
  const takers = needs.filter((need) => need === null).length
  const left = spaceM - fixed
  if (takers > 0 && left >= takers * 0.1) return needs.map((need) => need ?? left / takers)
  if (takers === 0 && left >= 0) {
    const last = Math.max(0, uses.indexOf('return'))
    return needs.map((need, i) => need! + (i === last ? left : 0))
  }
  const whole = fixed + takers * 0.1
  return needs.map((need) => ((need ?? 0.1) * spaceM) / whole)
}

function newWall(
  id: string,
  {
    left,
    right,
    atM,
    topM,
    box,
  }: {
    readonly left: ChamberUse
    readonly right: ChamberUse
    readonly atM: number
    readonly topM: number
    readonly box: SumpBox
  },
): SumpWall {
  const kind =
    left === 'reservoir' || right === 'reservoir'
      ? 'solid'
      : left === 'trap' && right === 'trap'
        ? 'under'
        : 'over'
  return {
    id,
    kind,
    atM,
    thicknessM: WALL_M,
    topM: kind === 'over' ? topM : kind === 'solid' ? box.heightM : toMillimetre(box.heightM * 0.8),
    slotM: kind === 'under' ? Math.min(SLOT_M, box.heightM * 0.2) : 0,
    teeth: null,
    pipeBoreM: 0.03,
    pipeHeightM: toMillimetre(box.heightM * 0.3),
    adjustable: false,
    opaque: false,
  }
}

/** Chambers that were there keep their ids as long as one is for the same thing. */
function named(
  before: Sump,
  box: SumpBox,
  uses: readonly ChamberUse[],
  walls: readonly SumpWall[],
): SumpChamber[] {
  const spare = [...before.chambers]
  const ids = new Set<string>()
  const lastTopM = walls.filter(({ kind }) => kind === 'over').at(-1)?.topM ?? box.heightM * 0.5
  return uses.map((use, i) => {
    const at = spare.findIndex((chamber) => chamber.use === use)
    const old = at < 0 ? undefined : spare.splice(at, 1)[0]
    const id = freeId(old?.id ?? use, ids)
    ids.add(id)
    const count = uses.filter((chamberUse) => chamberUse === use).length
    const nth = uses.slice(0, i + 1).filter((chamberUse) => chamberUse === use).length
    const name = old?.name ?? (count > 1 ? `${USE_NAME[use]} ${nth}` : USE_NAME[use])
    return {
      footprintM2: 0,
      submergedM3: 0,
      wantsDepth: null,
      ...old,
      id,
      name,
      use,
      levelM:
        box.floorHeightM + toMillimetre(use === 'return' ? lastTopM * RETURN_SHARE : lastTopM),
    }
  })
}

function freeId(wanted: string, taken: ReadonlySet<string>): string {
  if (!taken.has(wanted)) return wanted
  let n = 2
  while (taken.has(`${wanted}-${n}`)) n++
  return `${wanted}-${n}`
}
