import { type BasinDesign, isTeeMet } from '../../design/index.ts'
import { boreOf, isHose, measureOf, nearestSize, type PipeSize } from '../../pipe/index.ts'
import {
  type Direction,
  moved,
  type Piece,
  type PieceOf,
  type PlacedPiece,
  type Point,
} from '../../run/index.ts'
import type { Body, BodyEnd, BodyKind, BuiltRun, Span } from './body.ts'
import { deviceOf, endsOf, devicePorts, usualEnd } from './ends.ts'
import type { FloorPassing } from './through-panels.ts'

const VALVE: Readonly<Record<PieceOf<'valve'>['form'], BodyKind>> = {
  gate: 'gate-valve',
  ball: 'ball-valve',
  diaphragm: 'diaphragm-valve',
}
const ELBOW: Readonly<Record<PieceOf<'elbow'>['form'], BodyKind>> = {
  'standard-90': 'elbow-90',
  'sweep-90': 'elbow-90-long',
  'standard-45': 'elbow-45',
  'hose-bend-90': 'elbow-90',
}

/** A body with nothing of its own but its place. */
interface PlainBody {
  readonly id: string
  readonly piece: Piece | null
  readonly at: Point
  readonly isCorner: boolean
}

/** A segment that is being drawn. */
interface Pending {
  lengthM: number
  ids: string[]
  direction: Direction | null
}

/** Puts a run's placed pieces together as bodies with pipe and hose between them. */
export class RouteMaker {
  private readonly bodies: Body[] = []
  private readonly segments: Span[] = []
  private pending: Pending = { lengthM: 0, ids: [], direction: null }
  private isHoseNow = false
  /** A hose in a rigid run, until something follows it. */
  private hung: {
    readonly id: string
    readonly hose: PipeSize
    readonly rigid: PipeSize
    readonly to: Point
  } | null = null

  constructor(
    private readonly design: BasinDesign,
    private readonly route: Pick<BuiltRun, 'id' | 'of' | 'name'>,
    private size: PipeSize,
  ) {
    this.isHoseNow = isHose(size.series)
  }

  /** Adds every piece of a run; where one passes a floor, the bulkhead too. */
  pieces(placed: readonly PlacedPiece[], passing: FloorPassing | null): void {
    for (const { piece, from, to, sizeBefore, sizeAfter } of placed) {
      this.size = sizeBefore
      if (piece.kind === 'pipe' && piece.id === passing?.pieceId) this.passes(piece, from, passing)
      else if (piece.kind === 'pipe') this.pipe(piece.id, piece.direction, piece.lengthM, from)
      else if (piece.kind === 'free-hose') this.freeHose(piece.id, piece.lengthM, from, to)
      else this.fitting(piece, to, sizeAfter)
      this.size = sizeAfter
    }
  }

  /** What is drawn next is so much longer than it is drawn. */
  longer(byM: number): void {
    this.pending.lengthM += byM
  }

  /** Adds a body, with what was drawn before it. */
  body(body: Body): void {
    if (body.kind !== 'open-end' && body.id !== this.hung?.id) this.leaveHose()
    if (this.bodies.length > 0) {
      const { lengthM, ids } = this.pending
      const between = `${this.bodies.at(-1)!.id}-${body.id}`
      // A pipe that goes on past a panel is two segments of one piece.
      const isOn = this.segments.some(({ id }) => id === ids[0])
      this.segments.push({
        id: isOn ? between : (ids[0] ?? between),
        kind: this.isHoseNow ? 'hose' : 'pipe',
        size: this.hung?.hose ?? this.size,
        lengthM,
        pieceIds: ids,
      })
    }
    this.pending = { lengthM: 0, ids: [], direction: null }
    this.bodies.push(body)
  }

  done(): BuiltRun {
    return { ...this.route, bodies: this.bodies, segments: this.segments }
  }

  /** A straight length; where it leads another way without an elbow, one is put in. */
  private pipe(id: string, direction: Direction, lengthM: number, from: Point): void {
    this.leaveHose()
    const { pending } = this
    const turns = pending.direction !== null && pending.direction !== direction
    if (turns && !this.isHoseNow)
      this.plain('elbow-90', { id: `${id}-turn`, piece: null, at: from, isCorner: true })
    this.pending.direction = direction
    this.pending.lengthM += lengthM
    this.pending.ids.push(id)
  }

  private passes(piece: Piece & { kind: 'pipe' }, from: Point, passing: FloorPassing): void {
    const aboveM = Math.max(0, from.zM - passing.atM)
    const at = moved(from, piece.direction, aboveM)
    this.pipe(piece.id, piece.direction, aboveM, from)
    const hole = this.design.tanks
      .flatMap(({ overflow }) => overflow?.holes ?? [])
      .find(({ id }) => id === passing.holeId)
    this.body({
      id: passing.holeId ?? `${this.route.id}-bulkhead`,
      kind: 'bulkhead',
      at,
      pieceId: piece.id,
      // A standpipe stands dry in its bulkhead, so that it can be cut when the level is known.
      before: { kind: this.isHoseNow ? 'barb' : 'push-fit', size: this.size },
      after: {
        kind: hole?.bulkhead.isThreaded ? 'threaded' : usualEnd(this.size).kind,
        size: this.size,
      },
      isTrueUnion: false,
      isAssumed: true,
      isCorner: true,
      isClipped: false,
      partId: hole?.bulkhead.partId ?? null,
    })
    this.pipe(`${piece.id}`, piece.direction, piece.lengthM - aboveM, at)
  }

  /** Hose from here to there; a rigid run takes it by a hose tail, and goes on by another. */
  private freeHose(id: string, lengthM: number, from: Point, to: Point): void {
    if (!this.isHoseNow) {
      const rigid = this.size
      const hose = nearestSize('smooth-hose', boreOf(rigid).boreM, measureOf(rigid))
      this.tail(`${id}-from`, from, usualEnd(rigid), { kind: 'barb', size: hose })
      this.hung = { id: `${id}-to`, hose, rigid, to }
      this.isHoseNow = true
    }
    this.pending.lengthM += lengthM
    this.pending.ids.push(id)
  }

  /** Back from a hose to the rigid run it hangs in, when something follows. */
  private leaveHose(): void {
    if (!this.hung) return
    const { id, hose, rigid, to } = this.hung
    this.tail(id, to, { kind: 'barb', size: hose }, usualEnd(rigid))
    this.hung = null
    this.isHoseNow = false
  }

  private tail(id: string, at: Point, before: BodyEnd, after: BodyEnd): void {
    this.body({
      id,
      kind: 'coupling',
      at,
      pieceId: null,
      before,
      after,
      isTrueUnion: false,
      isAssumed: true,
      isCorner: true,
      isClipped: false,
      partId: null,
    })
  }

  private fitting(
    piece: Exclude<Piece, { kind: 'pipe' | 'free-hose' }>,
    at: Point,
    sizeAfter: PipeSize,
  ): void {
    const { id } = piece
    switch (piece.kind) {
      case 'elbow':
        // A hose is bent by hand: no fitting.
        if (this.isHoseNow && piece.form === 'hose-bend-90') this.pending.ids.push(id)
        else this.plain(ELBOW[piece.form], { id, piece, at, isCorner: true })
        return
      case 'union':
        return this.plain('union', { id, piece, at, isCorner: false })
      case 'valve':
        return this.plain(VALVE[piece.form], { id, piece, at, isCorner: false })
      case 'check-valve':
        return this.plain('check-valve', { id, piece, at, isCorner: false })
      case 'nozzle':
        return this.plain('nozzle', { id, piece, at, isCorner: true })
      case 'bulkhead':
        return this.plain('bulkhead', { id, piece, at, isCorner: true })
      case 'tee':
        // A tee stays where another line meets it.
        return this.plain('tee', {
          id,
          piece,
          at,
          isCorner: piece.form !== 'side' || this.isMet(id),
        })
      case 'reducer':
        this.body({
          ...this.bodyOf('reducer', { id, piece, at, isCorner: false }),
          after: endsOf(piece.made, this.size, sizeAfter).after,
        })
        this.isHoseNow = isHose(sizeAfter.series)
        return
      case 'device': {
        const port = devicePorts(deviceOf(this.design, piece), this.size)
        this.body({
          ...this.bodyOf('device', { id, piece, at, isCorner: true }),
          ...(piece.made ? {} : { before: port, after: port }),
        })
      }
    }
  }

  private isMet(teeId: string): boolean {
    return isTeeMet(this.design, teeId)
  }

  private plain(kind: BodyKind, what: PlainBody): void {
    this.body(this.bodyOf(kind, what))
  }

  private bodyOf(kind: BodyKind, { id, piece, at, isCorner }: PlainBody): Body {
    const made = piece?.made ?? null
    return {
      id,
      kind,
      at,
      pieceId: piece?.id ?? null,
      ...endsOf(made, this.size, this.size),
      isTrueUnion: made?.isTrueUnion ?? false,
      isCorner,
      isClipped: made?.isClipped ?? false,
      partId: made?.partId ?? null,
    }
  }
}
