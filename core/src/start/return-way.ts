import type { DisplayTank, LineEnd, ReturnLine } from '../design/index.ts'
import { roomFor, type TakeOffKind } from '../fitting/index.ts'
import { NEW_ROUGHNESS_M, type PipeSize, RIBBED_FACTOR } from '../pipe/index.ts'
import { toMillimetre } from '../quantity/index.ts'
import type { Direction, Piece, Point, Run } from '../run/index.ts'

/** A riser stands so far outside the tanks, and its mouth so far inside them, m (choice). */
export const BESIDE_M = 0.08
/** A mouth hangs so far over the rim's height, and the pipe over it at least so much higher (choice). */
const MOUTH_OVER_RIM_M = 0.01
const LEAST_DROP_M = 0.06
/** From the pump up to its union, and on to the pipe that crosses to the riser (choice). */
const TO_UNION_M = 0.25
const TO_CROSSING_M = 0.1
/** In an all-in-one's last chamber there is less room for it (choice). */
const TO_UNION_BEHIND_M = 0.15
/** The crossing pipe lies so far over the sump's rim (choice). */
const OVER_SUMP_M = 0.06
/** The nozzle's bore of its pipe's (choice). */
export const NOZZLE_SHARE = 0.8

type Unnamed = Piece extends infer P ? (P extends Piece ? Omit<P, 'id'> : never) : never

const ELBOW = { kind: 'elbow', form: 'standard-90' } as const
const UNION = { kind: 'union' } as const
const GATE = { kind: 'valve', form: 'gate', opening: 1, kvM3PerH: null } as const

const pipe = (direction: Direction, lengthM: number) =>
  ({ kind: 'pipe', direction, lengthM: toMillimetre(lengthM) }) as const
const nozzle = (boreM: number) => ({ kind: 'nozzle', boreM: toMillimetre(boreM) }) as const

/** What the return's pipes are made of. */
export interface ReturnPipe {
  readonly size: PipeSize
  readonly boreM: number
}

/** From the pipe over the tanks down to a mouth: room for what stands between, each with pipe that can be sawn out again. */
const dropM = ({ size }: ReturnPipe, between: readonly TakeOffKind[]) =>
  roomFor([...between, 'adapter'], size, LEAST_DROP_M)

/** The lines from a pump under or beside the tanks up and over them: the first tank's, and one teed off for each other. */
export function returnLines(
  tanks: readonly DisplayTank[],
  { outlet, sumpRimM }: { readonly outlet: Point; readonly sumpRimM: number },
  pipeOf: ReturnPipe,
): ReturnLine[] {
  const [first, ...others] = tanks as readonly [DisplayTank, ...DisplayTank[]]
  const isGated = others.length > 0
  const overRimM = MOUTH_OVER_RIM_M + dropM(pipeOf, isGated ? ['tee', 'valve'] : ['elbow-90'])
  const overM = Math.max(...tanks.map(rimOf)) + overRimM
  const riserM = outlet.xM >= rightOf(tanks) + BESIDE_M ? outlet.xM : rightOf(tanks) + BESIDE_M
  const acrossM = riserM - outlet.xM
  const up: Unnamed[] = [pipe('up', TO_UNION_M), UNION]
  const crossingM = Math.max(outlet.zM + TO_UNION_M + TO_CROSSING_M, sumpRimM + OVER_SUMP_M)
  const rise: Unnamed[] =
    acrossM > 0.001
      ? [
          pipe('up', crossingM - outlet.zM - TO_UNION_M),
          ELBOW,
          pipe('right', acrossM),
          ELBOW,
          pipe('up', overM - crossingM),
        ]
      : [pipe('up', overM - outlet.zM - TO_UNION_M)]
  // The header passes the other tanks from the right, and ends over the first.
  const stops = [...others].sort((a, b) => b.xM - a.xM)
  const header: Unnamed[] = []
  let atM = riserM
  for (const tank of stops) {
    header.push(pipe('left', atM - mouthOf(tank)), tee(tank))
    atM = mouthOf(tank)
  }
  header.push(pipe('left', atM - mouthOf(first)))
  const down = (tank: DisplayTank): Unnamed[] => [
    pipe('down', overM - rimOf(tank) - MOUTH_OVER_RIM_M),
    nozzle(pipeOf.boreM * NOZZLE_SHARE),
  ]
  const gated = isGated ? [GATE] : []
  const main = lineOf('main', 'Main line', {
    start: { at: 'pump', id: 'return-pump' },
    tank: first,
    run: runOf('main', pipeOf, [...up, ...rise, ELBOW, ...header, ...gated, ELBOW, ...down(first)]),
  })
  const branches = others.map((tank) =>
    lineOf(`line-${tank.id}`, `To ${tank.name}`, {
      start: { at: 'tee', id: teeId(tank) },
      tank,
      run: runOf(`line-${tank.id}`, pipeOf, [GATE, ...down(tank)]),
    }),
  )
  return [main, ...branches]
}

/** The line of an all-in-one: up out of its last chamber, forward over the wall, and down into the display. */
export function overTheWall(
  tank: DisplayTank,
  outlet: Point,
  pipeOf: ReturnPipe,
  mouthYM: number,
): ReturnLine {
  const downM = dropM(pipeOf, ['elbow-90'])
  const overM = rimOf(tank) + MOUTH_OVER_RIM_M + downM
  return lineOf('main', 'Main line', {
    start: { at: 'pump', id: 'return-pump' },
    tank,
    run: runOf('main', pipeOf, [
      pipe('up', TO_UNION_BEHIND_M),
      UNION,
      pipe('up', overM - outlet.zM - TO_UNION_BEHIND_M),
      ELBOW,
      pipe('front', outlet.yM - mouthYM),
      ELBOW,
      pipe('down', downM),
      nozzle(pipeOf.boreM * NOZZLE_SHARE),
    ]),
  })
}

/** Height of the pipe's mouth over the room's floor. */
export const mouthHeightM = (tank: DisplayTank): number => rimOf(tank) + MOUTH_OVER_RIM_M

/** All of a line's pipe, m. */
export const pipeOfM = ({ run }: ReturnLine): number =>
  run.pieces.reduce((sum, piece) => (piece.kind === 'pipe' ? sum + piece.lengthM : sum), 0)

const rimOf = ({ floorHeightM, rimM }: DisplayTank) => floorHeightM + rimM
const rightOf = (tanks: readonly DisplayTank[]) =>
  Math.max(...tanks.map(({ xM, lengthM }) => xM + lengthM))
/** Where a line comes down into a tank. */
const mouthOf = ({ xM, lengthM }: DisplayTank) => xM + lengthM - BESIDE_M
const teeId = ({ id }: DisplayTank) => `tee-${id}`
const tee = (tank: DisplayTank) => ({ kind: 'tee', form: 'side', id: teeId(tank) }) as const

function runOf(
  name: string,
  { size }: ReturnPipe,
  pieces: readonly (Unnamed & { readonly id?: string })[],
): Run {
  return {
    size,
    roughnessM: NEW_ROUGHNESS_M,
    ribbedFactor: RIBBED_FACTOR,
    pieces: pieces.map((piece, i) => ({ ...piece, id: piece.id ?? `${name}-${i + 1}` })),
  }
}

function lineOf(
  id: string,
  name: string,
  {
    start,
    tank,
    run,
  }: {
    readonly start: ReturnLine['start']
    readonly tank: DisplayTank
    readonly run: Run
  },
): ReturnLine {
  const end: LineEnd = { at: 'tank', id: tank.id, place: null, breakDepthM: null }
  return { id, name, start, run, end, wantedFlowM3PerS: null }
}
