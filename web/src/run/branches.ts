import type {
  BasinDesign,
  Edit,
  LineEnd,
  Piece,
  PipeSize,
  PlacedPump,
  Point,
  ReturnLine,
  SolvedBasin,
} from '@yew-basin/core'
import { NEW_ROUGHNESS_M, RIBBED_FACTOR, surfaceM } from '@yew-basin/core'

/** What a keeper can tee off a line. */
export type BranchKind =
  | { readonly what: 'takeoff'; readonly chamberId: string }
  | { readonly what: 'nozzle'; readonly tankId: string }
  | { readonly what: 'spare' }

type NewId = () => string

/** How far a nozzle's mouth stands over the water of a new line, m. */
const OVER_WATER_M = 0.03
const STEP_IN_M = 0.15

const ends = (at: LineEnd['at'], id: string | null): LineEnd => ({
  at,
  id,
  place: null,
  breakDepthM: null,
})

/** A name no other line has: "Takeoff", "Takeoff 2". */
function freeName(design: BasinDesign, wanted: string): string {
  const names = new Set(design.returnSide.lines.map((line) => line.name))
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted} ${n}`
    if (!names.has(name)) return name
  }
}

/** Tees a new line off after a piece of a line; −1: before the first. One step. */
export function teeOff(
  design: BasinDesign,
  solved: SolvedBasin,
  lineIndex: number,
  afterPiece: number,
  kind: BranchKind,
  newId: NewId,
): { edits: Edit[]; lineId: string } {
  const line = design.returnSide.lines[lineIndex]!
  const laid = solved.returnSide.lines[lineIndex]!
  const at = laid.pieces[afterPiece]?.to ?? laid.start
  const size = sizeAfter(line, afterPiece)
  const tee: Piece = { id: newId(), kind: 'tee', form: 'side' }
  const branch: ReturnLine = {
    id: newId(),
    ...branchOf(design, kind, at, size, newId),
    start: { at: 'tee', id: tee.id },
    wantedFlowM3PerS: null,
  }
  const { lines } = design.returnSide
  return {
    lineId: branch.id,
    edits: [
      {
        op: 'insert',
        path: ['returnSide', 'lines', lineIndex, 'run', 'pieces'],
        at: afterPiece + 1,
        item: tee,
      },
      { op: 'insert', path: ['returnSide', 'lines'], at: lines.length, item: branch },
    ],
  }
}

function sizeAfter({ run }: ReturnLine, piece: number): PipeSize {
  const reducer = run.pieces.slice(0, piece + 1).findLast((one) => one.kind === 'reducer')
  return reducer?.kind === 'reducer' ? reducer.to : run.size
}

function branchOf(
  design: BasinDesign,
  kind: BranchKind,
  from: Point,
  size: PipeSize,
  newId: NewId,
): Pick<ReturnLine, 'name' | 'run' | 'end'> {
  const run = (pieces: readonly Piece[]) => ({
    size,
    pieces,
    roughnessM: NEW_ROUGHNESS_M,
    ribbedFactor: RIBBED_FACTOR,
  })
  const ball: Piece = { id: newId(), kind: 'valve', form: 'ball', opening: 0.5, kvM3PerH: null }
  const union: Piece = { id: newId(), kind: 'union' }
  if (kind.what === 'spare') {
    const stub: Piece = { id: newId(), kind: 'pipe', direction: 'left', lengthM: 0.08 }
    return {
      name: freeName(design, 'Spare'),
      run: run([{ ...ball, opening: 0 }, stub]),
      end: ends('cap', null),
    }
  }
  if (kind.what === 'takeoff') {
    const chamber = design.returnSide.chambers.find(({ id }) => id === kind.chamberId)!
    const to = { ...from, xM: from.xM - 0.35, zM: chamber.levelM + OVER_WATER_M }
    return {
      name: freeName(design, 'Takeoff'),
      run: run([ball, union, ...way(from, to, newId)]),
      end: ends('chamber', chamber.id),
    }
  }
  const tank = design.tanks.find(({ id }) => id === kind.tankId)!
  const inside = (at: number, start: number, length: number) =>
    Math.min(start + length - 0.05, Math.max(start + 0.05, at))
  const to = {
    xM: inside(from.xM - STEP_IN_M, tank.xM, tank.lengthM),
    yM: inside(from.yM, tank.yM, tank.widthM),
    zM: surfaceM(tank) + OVER_WATER_M,
  }
  const gate: Piece = { id: newId(), kind: 'valve', form: 'gate', opening: 1, kvM3PerH: null }
  return {
    name: freeName(design, design.tanks.length > 1 ? `${tank.name} line` : 'Second nozzle'),
    run: run([gate, union, ...way(from, to, newId)]),
    end: ends('tank', tank.id),
  }
}

/** Straight pipes with an elbow at each turn from one place to another: along, to the back or front, then up or down. */
export function way(from: Point, to: Point, newId: NewId): Piece[] {
  const legs = [
    { by: to.xM - from.xM, there: 'right', back: 'left' },
    { by: to.yM - from.yM, there: 'back', back: 'front' },
    { by: to.zM - from.zM, there: 'up', back: 'down' },
  ] as const
  const pipes = legs
    .filter(({ by }) => Math.abs(by) >= 0.005)
    .map(({ by, there, back }): Piece => ({
      id: newId(),
      kind: 'pipe',
      direction: by > 0 ? there : back,
      lengthM: Math.round(Math.abs(by) * 1e6) / 1e6,
    }))
  return pipes.flatMap((pipe, i): Piece[] =>
    i === 0 ? [pipe] : [{ id: newId(), kind: 'elbow', form: 'standard-90' }, pipe],
  )
}

/** How a second pump is put to use. */
export type PumpUse = 'join' | 'own'

/** Puts another pump beside the first: into the same line behind a check valve, or with a line of its own. */
export function addPump(
  design: BasinDesign,
  solved: SolvedBasin,
  use: PumpUse,
  newId: NewId,
): { edits: Edit[]; lineId: string } {
  const { pumps, lines, chambers } = design.returnSide
  const first = pumps[0]!
  const placed: PlacedPump = {
    ...first,
    id: newId(),
    outlet: { ...first.outlet, xM: first.outlet.xM - 0.3 },
  }
  const mainIndex = lines.findIndex(({ start }) => start.at === 'pump' && start.id === first.id)
  const main = lines[mainIndex]!
  const tee: Piece = { id: newId(), kind: 'tee', form: 'side' }
  // Behind the first pipe, so that the first pump keeps its union.
  const after = main.run.pieces.findLastIndex(({ kind }, i) => kind === 'union' && i < 4)
  const laid = solved.returnSide.lines[mainIndex]!
  const target = laid.pieces[after]?.to ?? laid.start
  const chamber = chambers.find(({ id }) => id !== first.chamberId) ?? chambers[0]!
  const away = {
    xM: placed.outlet.xM - 0.3,
    yM: placed.outlet.yM,
    zM: Math.max(placed.outlet.zM, chamber.levelM) + OVER_WATER_M,
  }
  const check: Piece = { id: newId(), kind: 'check-valve', form: 'swing', kvM3PerH: null }
  const union: Piece = { id: newId(), kind: 'union' }
  const up = { ...placed.outlet, zM: Math.max(target.zM, placed.outlet.zM + 0.05) }
  const rise: Piece = {
    id: newId(),
    kind: 'pipe',
    direction: 'up',
    lengthM: Math.round((up.zM - placed.outlet.zM) * 1e6) / 1e6,
  }
  const elbow: Piece = { id: newId(), kind: 'elbow', form: 'standard-90' }
  const joining = use === 'join'
  const line: ReturnLine = {
    id: newId(),
    name: freeName(design, joining ? 'Second pump' : 'Own pump'),
    start: { at: 'pump', id: placed.id },
    run: {
      ...main.run,
      pieces: joining
        ? [union, check, rise, elbow, ...way(up, target, newId)]
        : [union, ...way(placed.outlet, away, newId)],
    },
    end: joining ? ends('tee', tee.id) : ends('chamber', chamber.id),
    wantedFlowM3PerS: null,
  }
  const teeIn: Edit[] = joining
    ? [
        {
          op: 'insert',
          path: ['returnSide', 'lines', mainIndex, 'run', 'pieces'],
          at: after + 1,
          item: tee,
        },
      ]
    : []
  return {
    lineId: line.id,
    edits: [
      { op: 'insert', path: ['returnSide', 'pumps'], at: pumps.length, item: placed },
      ...teeIn,
      { op: 'insert', path: ['returnSide', 'lines'], at: lines.length, item: line },
    ],
  }
}

/** A line and every line that hangs on it. */
export function hangingOn(design: BasinDesign, lineId: string): Set<string> {
  const { lines } = design.returnSide
  const found = new Set([lineId])
  for (let before = 0; before !== found.size;) {
    before = found.size
    const tees = new Set(
      lines
        .filter(({ id }) => found.has(id))
        .flatMap(({ run }) => run.pieces.map((piece) => piece.id)),
    )
    for (const { id, start } of lines) if (start.at === 'tee' && tees.has(start.id)) found.add(id)
  }
  return found
}

/** Takes a line out with all that hangs on it, the tees it met and the pump only it had. One step. */
export function withoutLine(design: BasinDesign, lineId: string): Edit[] {
  const { lines, pumps } = design.returnSide
  const gone = hangingOn(design, lineId)
  const left = lines.filter(({ id }) => !gone.has(id))
  const met = new Set(
    lines
      .filter(({ id }) => gone.has(id))
      .flatMap(({ start, end }) => [start, end])
      .flatMap(({ at, id }) => (at === 'tee' && id !== null ? [id] : [])),
  )
  // A line that ran into one that is gone now ends in a cap.
  const teesLeft = new Set(left.flatMap(({ run }) => run.pieces.map((piece) => piece.id)))
  const kept = left.map((line) => ({
    ...line,
    run: { ...line.run, pieces: line.run.pieces.filter((piece) => !met.has(piece.id)) },
    end: line.end.at === 'tee' && !teesLeft.has(line.end.id ?? '') ? ends('cap', null) : line.end,
  }))
  const used = new Set(kept.flatMap(({ start }) => (start.at === 'pump' ? [start.id] : [])))
  return [
    { op: 'set', path: ['returnSide', 'lines'], to: kept },
    { op: 'set', path: ['returnSide', 'pumps'], to: pumps.filter(({ id }) => used.has(id)) },
  ]
}

/** Lines in the order a tree is read, with how deep each hangs. */
export function asTree(design: BasinDesign): { index: number; depth: number }[] {
  const { lines } = design.returnSide
  const found: { index: number; depth: number }[] = []
  const visit = (index: number, depth: number) => {
    found.push({ index, depth })
    for (const piece of lines[index]!.run.pieces) {
      const branch = lines.findIndex(({ start }) => start.at === 'tee' && start.id === piece.id)
      if (branch >= 0) visit(branch, depth + 1)
    }
  }
  lines.forEach((line, index) => {
    if (line.start.at === 'pump') visit(index, 0)
  })
  return found
}
