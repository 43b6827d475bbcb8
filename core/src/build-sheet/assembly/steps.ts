import { type BasinDesign, type DisplayTank, partOf } from '../../design/index.ts'
import type { Sentence } from '../../quantity/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Cut } from '../cuts.ts'
import { type DrilledSheet, PANEL_NAME } from '../holes.ts'
import { plumbingOf } from '../plumbing.ts'
import { partName } from './apart-rows.ts'
import { isHeld, type JointGraph, jointGraph, type Link } from './graph.ts'
import { laidFirst } from './laid-first.ts'
import { nameOfPiece } from './named-pieces.ts'
import { type SubAssembly, subAssemblies } from './sub-assemblies.ts'

/** What is done in a step. */
export type StepKind =
  | 'drill'
  | 'saw'
  | 'seal'
  | 'screw'
  | 'glue'
  | 'bulkhead'
  | 'lift'
  | 'place'
  | 'join'
  | 'leak-test'
  | 'start'

/** One thing to do. */
export interface BuildStep {
  readonly id: string
  readonly kind: StepKind
  readonly title: Sentence
  /** Joints that are made in it. */
  readonly jointIds: readonly string[]
  /** Parts that are in hand from it on. */
  readonly partIds: readonly string[]
  /** To light up in the drawing. */
  readonly pieceIds: readonly string[]
  /** Pieces to saw, by their marks. */
  readonly marks: readonly string[]
  /** Done where it will stand, not on the bench. */
  readonly inPlace: boolean
  /** What is put together in it; null: no sub-assembly. */
  readonly subAssemblyId: string | null
  /** The tank that is lifted, or the sump that is put in its place, by its id or "sump"; null: neither. */
  readonly boxId: string | null
}

const step = (own: Pick<BuildStep, 'id' | 'kind' | 'title'> & Partial<BuildStep>): BuildStep => ({
  jointIds: [],
  partIds: [],
  pieceIds: [],
  marks: [],
  inPlace: false,
  subAssemblyId: null,
  boxId: null,
  ...own,
})

const counted = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`

/** What steps are made of. */
export interface StepParts {
  readonly cuts: readonly Cut[]
  readonly holes: readonly DrilledSheet[]
}

/** The tank that a bulkhead's panel is of; null: of none. */
export function tankOfRoute(
  { tanks, drains, returnSide }: BasinDesign,
  routeId: string,
): DisplayTank | null {
  const drain = drains.find(({ id }) => id === routeId)
  const line = returnSide.lines.find(({ id }) => id === routeId)
  const tankId = drain?.tankId ?? (line?.end.at === 'tank' ? line.end.id : null)
  return tanks.find(({ id }) => id === tankId) ?? null
}

/** Every step of building a design, in no order yet. */
export function stepsOf(design: BasinDesign, { cuts, holes }: StepParts): BuildStep[] {
  const graph = jointGraph(design)
  return [
    ...holes.filter(({ glass }) => glass !== 'tempered').map(drilled),
    ...sawn(design, cuts),
    ...(design.sump.box?.make === 'self-built' ? [sealed] : []),
    ...subAssemblies(design).all.flatMap((piece) => putTogether(design, graph, piece)),
    ...looseOf(design, graph),
    ...graph.links
      .filter(({ kind }) => kind === 'gasket')
      .map((link) => bulkhead(design, graph, link)),
    ...laidFirst(design).flatMap(({ piece }, i, all) =>
      all.findIndex((other) => other.piece === piece) === i ? [laid(design, graph, piece)] : [],
    ),
    ...design.tanks.map(lifted),
    ...placed(design),
    ...graph.links
      .filter(({ kind }) => kind === 'union' || kind === 'barb' || kind === 'push-fit')
      .map((link) => joined(design, graph, link)),
    step({
      id: 'leak-test',
      kind: 'leak-test',
      title: sentence('Fill with fresh water, valves half open, and feel every joint'),
    }),
    step({
      id: 'start',
      kind: 'start',
      title: sentence('Start the pumps, slowest first, and tune the drains; then the salt'),
    }),
  ]
}

const drilled = ({ id, tankName, panel, holes }: DrilledSheet) =>
  step({
    id: `drill ${id}`,
    kind: 'drill',
    title: sentence('{tank}, {panel}: drill {holes}', {
      holes: counted(holes.length, 'hole'),
      panel: PANEL_NAME[panel],
      tank: tankName,
    }),
  })

function sawn(design: BasinDesign, cuts: readonly Cut[]): BuildStep[] {
  return plumbingOf(design).routes.flatMap(({ id, name }) => {
    const own = cuts.filter(({ routeId, cutM }) => routeId === id && cutM > 0)
    if (own.length === 0) return []
    const marks = own.map(({ mark }) => mark)
    return [
      step({
        id: `saw ${id}`,
        kind: 'saw',
        title: sentence('Saw and mark the pieces of {name}, and take their burrs off', { name }),
        marks,
        pieceIds: own.flatMap(({ pieceIds }) => pieceIds),
      }),
    ]
  })
}

const sealed = step({
  id: 'seal sump',
  kind: 'seal',
  title: sentence('Seal the walls into the sump, in the order of Panels'),
})

/** A sub-assembly's threads first, then its glue; one part alone is in hand as it is. */
function putTogether(design: BasinDesign, graph: JointGraph, piece: SubAssembly): BuildStep[] {
  if (piece.threads.length + piece.glue.length === 0) return []
  const { parts, threads, glue, id } = piece
  const own = parts.map((at) => graph.parts[at]!)
  const partIds = own.map((part) => part.id)
  const pieceIds = own.flatMap((part) => part.pieceIds)
  const name = nameOfPiece(design, piece)
  const inPlace = own.some(isHeld)
  const common = { pieceIds, inPlace, subAssemblyId: piece.id }
  return [
    ...(threads.length > 0
      ? [
          step({
            ...common,
            id: `screw ${id}`,
            kind: 'screw',
            title: sentence('{name}: screw {threads} tight, with seal', {
              name,
              threads: counted(threads.length, 'thread'),
            }),
            jointIds: threads.map((link) => link.id),
            partIds: glue.length > 0 ? [] : partIds,
          }),
        ]
      : []),
    ...(glue.length > 0
      ? [
          step({
            ...common,
            id: `glue ${id}`,
            kind: 'glue',
            title: inPlace
              ? sentence('{name}: glue {joints} where it stands, from its fixed end outwards', {
                  name,
                  joints: counted(glue.length, 'joint'),
                })
              : sentence(
                  '{name}: fit dry, draw a line across each joint, and glue {joints} on the bench',
                  {
                    name,
                    joints: counted(glue.length, 'joint'),
                  },
                ),
            jointIds: glue.map((link) => link.id),
            partIds,
          }),
        ]
      : []),
  ]
}

/** What nothing is glued or screwed to: hoses, dry ends. */
function looseOf(design: BasinDesign, graph: JointGraph): BuildStep[] {
  const loose = subAssemblies(design).all.filter(
    ({ threads, glue }) => threads.length + glue.length === 0,
  )
  const byRoute = new Map<string, number[]>()
  for (const { parts } of loose)
    for (const at of parts) {
      const { routeId } = graph.parts[at]!
      byRoute.set(routeId, [...(byRoute.get(routeId) ?? []), at])
    }
  return [...byRoute].map(([routeId, parts]) => {
    const { name } = plumbingOf(design).routes.find(({ id }) => id === routeId)!
    return step({
      id: `take ${routeId}`,
      kind: 'place',
      title:
        parts.length === 1
          ? sentence('{name}: have its loose piece at hand, cut and clean', { name })
          : sentence('{name}: have its {n} loose pieces at hand, cut and clean', {
              name,
              n: String(parts.length),
            }),
      partIds: parts.map((at) => graph.parts[at]!.id),
      pieceIds: parts.flatMap((at) => graph.parts[at]!.pieceIds),
    })
  })
}

function bulkhead(design: BasinDesign, graph: JointGraph, link: Link): BuildStep {
  const parts = link.ends.map((at) => graph.parts[at]!)
  const panel = parts.find(({ isPanel }) => isPanel)!
  const { name } = plumbingOf(design).routes.find(({ id }) => id === panel.routeId)!
  return step({
    id: `bulkhead ${link.id}`,
    kind: 'bulkhead',
    title: sentence(
      '{name}: set its bulkhead, gasket on the flange, nut by hand and a quarter turn',
      {
        name,
      },
    ),
    jointIds: [link.id],
    partIds: [panel.id],
    pieceIds: parts.flatMap((part) => part.pieceIds),
    inPlace: true,
  })
}

/** Into its place, before a tank is in the way. */
function laid(design: BasinDesign, { parts }: JointGraph, piece: SubAssembly): BuildStep {
  return step({
    id: `lay ${piece.id}`,
    kind: 'place',
    title: sentence('{name}: lay it in its place, not joined yet', {
      name: nameOfPiece(design, piece),
    }),
    pieceIds: piece.parts.flatMap((at) => parts[at]!.pieceIds),
    subAssemblyId: piece.id,
    inPlace: true,
  })
}

const lifted = ({ id, name }: DisplayTank) =>
  step({
    id: `lift ${id}`,
    kind: 'lift',
    title: sentence('Lift {name} onto its stand, and level it', { name }),
    inPlace: true,
    boxId: id,
  })

function placed(design: BasinDesign): BuildStep[] {
  const { sump, returnSide, tanks } = design
  return [
    ...(sump.box && tanks.some(({ overflow }) => overflow?.form !== 'rear-chambers')
      ? [
          step({
            id: 'place sump',
            kind: 'place',
            title: sentence('Put the sump in its place'),
            inPlace: true,
            boxId: 'sump',
          }),
        ]
      : []),
    ...returnSide.pumps.map(({ id, pumpId }) =>
      step({
        id: `place pump ${id}`,
        kind: 'place',
        title: sentence('Put {name} in its place', { name: partOf(design, pumpId).name }),
        inPlace: true,
      }),
    ),
    ...sump.devices.map(({ id, name, pieceId }) =>
      step({
        id: `place device ${id}`,
        kind: 'place',
        title: sentence('Put {name} in its place', { name }),
        pieceIds: pieceId === null ? [] : [pieceId],
        inPlace: true,
      }),
    ),
  ]
}

const HOW = {
  union: 'close it by hand, its ring in its groove',
  barb: 'push the hose on warm, and clamp it',
  'push-fit': 'push it in dry',
} as const

function joined(design: BasinDesign, graph: JointGraph, link: Link): BuildStep {
  const parts = link.ends.map((at) => graph.parts[at]!)
  const what = parts.find(({ body }) => body !== null) ?? parts[0]!
  return step({
    id: `join ${link.id}`,
    kind: 'join',
    title: sentence('{what}: {how}', {
      what: partName(design, what),
      how: HOW[link.kind as keyof typeof HOW],
    }),
    jointIds: [link.id],
    pieceIds: parts.flatMap((part) => part.pieceIds),
    inPlace: true,
  })
}
