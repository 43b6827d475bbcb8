import type { BasinDesign, Drain, ReturnLine } from '../../design/index.ts'
import { layOut } from '../../layout/index.ts'
import { flatMap } from '../../numeric/index.ts'
import { isHose, type PipeSize } from '../../pipe/index.ts'
import { layRun, type PlacedPiece, type Point } from '../../run/index.ts'
import { takeOffOf } from '../../fitting/index.ts'
import type { Body, BodyKind, BuiltRun } from './body.ts'
import { outletOf, usualEnd } from './ends.ts'
import { RouteMaker } from './route-maker.ts'
import { passingOf } from './through-panels.ts'

/** Tees by their ids: the size of the leg that another run meets. */
type Legs = ReadonlyMap<string, PipeSize>

/** Every run of a design as bodies and what is between them: return lines first, then drains. */
export function routesOf(design: BasinDesign): BuiltRun[] {
  const lines = layOut(design).lines.map(({ line, placed, start, mouth }) => ({
    line,
    placed,
    start,
    mouth,
  }))
  const drains = design.drains.map((drain) => ({
    drain,
    ...layRun(drain.run, drain.inlet.place),
  }))
  const legs = legsOf([...lines, ...drains].flatMap(({ placed }) => placed))
  return [
    ...lines.map(({ line, placed, start, mouth }) =>
      lineRoute(design, line, { placed, start, mouth, legs }),
    ),
    ...drains.map(({ drain, placed, mouth }) =>
      drainRoute(design, drain, { placed, start: drain.inlet.place, mouth, legs }),
    ),
  ]
}

/** A run in its place. */
interface Laid {
  readonly placed: readonly PlacedPiece[]
  readonly start: Point
  readonly mouth: Point
  readonly legs: Legs
}

function legsOf(placed: readonly PlacedPiece[]): Legs {
  return new Map(
    flatMap(placed, ({ piece, sizeBefore }) =>
      piece.kind === 'tee' ? [[piece.id, piece.made?.branch ?? sizeBefore] as const] : [],
    ),
  )
}

function lineRoute(design: BasinDesign, line: ReturnLine, laid: Laid): BuiltRun {
  const { placed, start, mouth, legs } = laid
  const { size } = line.run
  const maker = new RouteMaker(design, { id: line.id, of: 'line', name: line.name }, size)
  if (line.start.at === 'pump') {
    const outlet = outletOf(design, line.start.id)
    maker.body(anchor('pump', `${line.id}-pump`, start, outlet))
  } else {
    const leg = usualEnd(legs.get(line.start.id) ?? size)
    maker.body(anchor('leg', `${line.id}-start`, start, leg))
  }
  maker.pieces(placed, null)
  if (placed.at(-1)?.piece.kind === 'nozzle') return maker.done()
  const last = placed.at(-1)?.sizeAfter ?? size
  if (line.end.at === 'tee') {
    const leg = usualEnd(legs.get(line.end.id!) ?? last)
    maker.body(anchor('leg', `${line.id}-end`, mouth, leg))
  } else {
    const kind = line.end.at === 'cap' ? 'cap' : 'open-end'
    maker.body(anchor(kind, `${line.id}-end`, mouth, usualEnd(last)))
  }
  return maker.done()
}

function drainRoute(design: BasinDesign, drain: Drain, laid: Laid): BuiltRun {
  const { placed, start, mouth, legs } = laid
  const { size } = drain.run
  const maker = new RouteMaker(design, { id: drain.id, of: 'drain', name: drain.name }, size)
  maker.body(inletOf(drain, start))
  // The lip of an elbow turned down hangs under its middle by the arm and the socket of it.
  if (drain.inlet.form === 'turned-down' && !isHose(size.series)) {
    const { zM, depthM } = takeOffOf('elbow-90', size, design.build?.takeOffs)
    maker.longer(zM + depthM)
  }
  maker.pieces(placed, passingOf(design, drain, placed))
  const last = placed.at(-1)?.sizeAfter ?? size
  if (drain.end.at === 'tee') {
    const leg = usualEnd(legs.get(drain.end.id) ?? last)
    maker.body(anchor('leg', `${drain.id}-end`, mouth, leg))
  } else if (placed.at(-1)?.piece.kind !== 'nozzle') {
    maker.body(anchor('open-end', `${drain.id}-end`, mouth, usualEnd(last)))
  }
  return maker.done()
}

/** What stands at a drain's inlet: an open pipe, a bulkhead flush with a floor, a strainer, an elbow turned down, a cap with an air line. */
function inletOf({ id, inlet, run }: Drain, at: Point): Body {
  const kinds = {
    open: 'open-end',
    flush: 'bulkhead',
    strainer: 'strainer',
    'turned-down': 'elbow-90',
    capped: 'cap',
  } as const satisfies Record<Drain['inlet']['form'], BodyKind>
  const end = usualEnd(run.size)
  const isDry = inlet.form === 'strainer' || inlet.form === 'capped'
  const joint = isDry && end.kind === 'glued' ? { ...end, kind: 'push-fit' as const } : end
  return anchor(kinds[inlet.form], `${id}-inlet`, at, joint)
}

function anchor(
  kind: BodyKind,
  id: string,
  at: Point,
  end: Body['after'] & { readonly isAssumed?: boolean },
): Body {
  const { isAssumed = true, ...joint } = end
  return {
    id,
    kind,
    at,
    pieceId: null,
    before: joint,
    after: joint,
    isTrueUnion: false,
    isAssumed,
    isCorner: true,
    isClipped: false,
    partId: null,
  }
}
