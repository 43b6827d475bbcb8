import {
  breakHoleM,
  givenBackM3,
  heldUpChamberId,
  type SumpBox,
  type SumpWall,
  surfaceM,
} from '../design/index.ts'
import type { Layout, LineCut } from '../layout/index.ts'
import {
  chamberAreasM2,
  drainWaterM3,
  INNER_DEPTH_M,
  LEAST_AREA_M2,
  pipeWaterM3,
  type SteadyState,
} from '../loop/index.ts'
import { flatMap, memoizeWith } from '../numeric/index.ts'
import {
  type OpenWays,
  openWays,
  type RestCase,
  type RestDrain,
  type RestMouth,
  type RestSpace,
  type RestSump,
  type RestWall,
  type RestWay,
} from '../rest/index.ts'
import { crestM } from '../sump/index.ts'

/** A steady state as spaces, walls, drains and ways, and which space is what. */
export interface AtRest {
  readonly given: RestCase
  readonly sump: RestSump
  /** Of each tank: its box's sides; −1: it has none. */
  readonly boxes: readonly { readonly inner: number; readonly box: number }[]
  /** The room's floor, where a line ends over no tank. */
  readonly floor: number
}

/** A surface that no water fills, m². */
const ROOM_M2 = 1e9

/** Where everything may run when the pumps stop. */
export function atRestOf(steady: SteadyState, sumpBox: SumpBox, checksHold: boolean): AtRest {
  const { design, chambers, returnIndex } = steady
  const { tanks, sump } = design
  const areas = chamberAreasM2(steady.given.sump, sumpBox)
  const chamberPlace = (id: string) => tanks.length + steady.place.get(id)!
  const spaces: RestSpace[] = [
    ...tanks.map((tank) => ({ areaM2: tank.lengthM * tank.widthM, levelM: surfaceM(tank) })),
    ...chambers.map(({ levelM }, i) => ({ areaM2: Math.max(LEAST_AREA_M2, areas[i]!), levelM })),
  ]
  const walls = sumpWalls(sump.walls, { box: sumpBox, first: tanks.length }).slice()
  const drains: RestDrain[] = []
  const boxes = tanks.map((_, i) => addWayDown(steady, i, { spaces, walls, drains, chamberPlace }))
  const floor = spaces.push({ areaM2: ROOM_M2, levelM: 0 }) - 1
  const returnChamber = tanks.length + returnIndex
  const heldUp = heldUpChamberId(sump)
  const takes = flatMap(chambers, ({ apart }, i) => (apart ? [] : [tanks.length + i]))
  // Named one by one: a spread behind other names takes many times as long, at every keystroke.
  const { mouths, ways, wayFallsM3 } = plumbing(steady, { checksHold, chamberPlace, floor })
  return {
    given: {
      spaces,
      walls,
      drains,
      mouths,
      ways,
      wayFallsM3,
      gifts: [
        {
          to: heldUp === null ? returnChamber : chamberPlace(heldUp),
          fallsM3: givenBackM3(sump),
        },
      ],
    },
    sump: {
      chambers: takes,
      returnChamber,
      floorM: sumpBox.floorHeightM,
      rimM: sumpBox.floorHeightM + sumpBox.heightM,
      marginM: sump.marginM,
    },
    boxes,
    floor,
  }
}

/** What joins the sump's chambers; no level moves it. */
const sumpWalls = memoizeWith(
  (walls: readonly SumpWall[], { box, first }: WallsBeside) => joinsOf(walls, box, first),
  (before, now) => before.box === now.box && before.first === now.first,
)

interface WallsBeside {
  readonly box: SumpBox
  /** The first chamber among the spaces. */
  readonly first: number
}

function joinsOf(walls: readonly SumpWall[], box: SumpBox, first: number): RestWall[] {
  return walls.flatMap((wall, i): RestWall[] => {
    const between = [first + i, first + i + 1] as const
    const over = wall.kind === 'pipe' ? wall.pipeHeightM : crestM(wall)
    // Water that stands over a solid wall's top would stand over the sump's rim.
    if (wall.kind === 'solid') return [{ between, crestM: box.floorHeightM + box.heightM }]
    return [{ between, crestM: box.floorHeightM + (wall.kind === 'under' ? 0 : over) }]
  })
}

interface Adding {
  readonly spaces: RestSpace[]
  readonly walls: RestWall[]
  readonly drains: RestDrain[]
  readonly chamberPlace: (id: string) => number
}

/** A tank's overflow: over its rim into a chamber, or into its box and down its drains. */
function addWayDown(
  steady: SteadyState,
  tank: number,
  { spaces, walls, drains, chamberPlace }: Adding,
): { inner: number; box: number } {
  const none = { inner: -1, box: -1 }
  const overflowing = steady.overflows[tank]
  const levels = steady.tankLevels[tank]
  if (!overflowing || !levels) return none
  const { overflow } = overflowing
  const rimM = overflowing.tank.floorHeightM + overflow.crestM
  if (overflow.chamberId !== null) {
    walls.push({ between: [tank, chamberPlace(overflow.chamberId)], crestM: rimM })
    return none
  }
  const own = overflow.box
  const inner =
    own && overflow.passage && levels.boxM !== null
      ? spaces.push({ areaM2: overflow.rimLengthM * INNER_DEPTH_M, levelM: levels.innerM }) - 1
      : -1
  const box =
    own && levels.boxM !== null
      ? spaces.push({ areaM2: own.lengthM * own.widthM, levelM: levels.boxM }) - 1
      : -1
  const next = inner >= 0 ? inner : box
  if (next >= 0) walls.push({ between: [tank, next], crestM: rimM })
  if (inner >= 0) walls.push({ between: [inner, box], crestM: -Infinity })
  for (const laid of overflowing.drains) {
    drains.push({
      from: box >= 0 ? box : tank,
      to: chamberPlace(laid.chamberId),
      inletM: box >= 0 ? laid.lipM : rimM,
      fallsM3: drainWaterM3(steady, laid),
    })
  }
  return { inner, box }
}

interface Plumbed {
  readonly checksHold: boolean
  readonly chamberPlace: (id: string) => number
  readonly floor: number
}

/** The return side: where it opens, and the ways between. */
function plumbing(
  { layout, design, chambers, returnIndex }: SteadyState,
  { checksHold, chamberPlace, floor }: Plumbed,
): Pick<RestCase, 'mouths' | 'ways' | 'wayFallsM3'> {
  const { ways, mouthsAt } = (checksHold ? heldWays : openedWays)(layout.cuts, layout)
  const mouths = mouthsAt.map(({ pump, line }): RestMouth => {
    if (pump >= 0) {
      const { placed, part } = layout.pumps[pump]!
      const levelM = placed.inletHeightM ?? (design.sump.box?.floorHeightM ?? 0) + part.outletBoreM
      return { space: chamberPlace(placed.chamberId), levelM, breakHoleM: null }
    }
    const { line: own, end, mouth } = layout.lines[line]!
    const tank = design.tanks.findIndex(({ id }) => id === own.end.id)
    const isTank = own.end.at === 'tank'
    return {
      space: end === 'outside-tank' ? floor : isTank ? tank : chamberPlace(own.end.id!),
      levelM: mouth.zM,
      breakHoleM: isTank ? breakHoleM(design.tanks[tank]!, own.end) : null,
    }
  })
  const sourceM = chambers[returnIndex]!.levelM
  const wayFallsM3 = flatMap(layout.segments, (segments, lineIndex) =>
    segments.map((segment) => pipeWaterM3(layout.lines[lineIndex]!.placed, sourceM, 1, segment)),
  )
  return { mouths, ways, wayFallsM3 }
}

/** A plumbing's ways, and what opens at each of its mouths: a pump's inlet, or a line's end. */
interface Topology {
  readonly ways: OpenWays
  readonly mouthsAt: readonly { readonly pump: number; readonly line: number }[]
}

/** Found anew only when a line changed: no level moves it. */
const heldWays = memoizeWith(
  (_: Layout['cuts'], layout: Layout) => topologyOf(layout, true),
  sameWays,
)
const openedWays = memoizeWith(
  (_: Layout['cuts'], layout: Layout) => topologyOf(layout, false),
  sameWays,
)

function sameWays(before: Layout, now: Layout): boolean {
  return (
    before.pumps.length === now.pumps.length &&
    before.pumps.every(
      ({ placed, lineIndex }, i) =>
        lineIndex === now.pumps[i]!.lineIndex &&
        placed.chamberId === now.pumps[i]!.placed.chamberId,
    )
  )
}

function topologyOf(layout: Layout, checksHold: boolean): Topology {
  const { nodes, links } = layout.problem
  const mouthsAt: { pump: number; line: number }[] = []
  const places = nodes.map(() => -1)
  layout.pumps.forEach(({ lineIndex }, pump) => {
    if (lineIndex === null) return
    const node = links[layout.segments[lineIndex]![0]!.link]!.from
    if (places[node]! < 0) places[node] = mouthsAt.push({ pump, line: -1 }) - 1
  })
  layout.lines.forEach(({ end }, line) => {
    if (end === 'tee' || end === 'cap') return
    const node = links[layout.segments[line]!.at(-1)!.link]!.to
    places[node] = mouthsAt.push({ pump: -1, line }) - 1
  })
  const tees = nodes.flatMap((_, node) => (places[node]! < 0 ? [node] : []))
  tees.forEach((node, t) => (places[node] = mouthsAt.length + t))
  const cuts = layout.cuts.flat()
  const ways = links.map(({ from, to, shut }, link): RestWay => ({
    from: places[from]!,
    to: places[to]!,
    passes: passesOf(cuts[link]!, shut, checksHold),
  }))
  return { ways: openWays(mouthsAt.length, tees.length, ways), mouthsAt }
}

function passesOf({ hasCheck }: LineCut, shut: boolean, checksHold: boolean): RestWay['passes'] {
  if (shut) return 'none'
  return hasCheck && checksHold ? 'onward' : 'both'
}
