import { plumbingOf, sizeThatMeets, spigotSpanM } from '../build-sheet/index.ts'
import { applyEdits, setTo } from '../design/index.ts'
import {
  cannotComeOut,
  type CutCase,
  gluedBetweenFixed,
  hoseWithoutClamp,
  type JointCase,
  noSingleAdapter,
  pushFitUnderPressure,
  spareStubTooShort,
  stubTooShort,
  wiperInSaltWater,
} from '../finding/index.ts'
import { roomFor, rowM } from '../fitting/index.ts'
import { isHose, measureOf, nearestSize, boreOf, sizeWords } from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import { AS_USUAL, axisOf, type EndKind, type Piece, type Run, signOf } from '../run/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import { hoseAround } from './hose-around.ts'
import { runOf, tenthsOfMm } from './run-here.ts'
import { unionBetween, unionInChain } from './union-between.ts'

/** What lets a design be glued. */
export const BUILD_FIXES: readonly FindingFixes[] = [
  fixesFor(stubTooShort, (of) =>
    of.cut.verdict === 'spigot-off'
      ? homeAgain(of)
      : [...longerStretch(of), ...streetElbow(of), ...hoseAround(of)],
  ),
  fixesFor(spareStubTooShort, (of) => longerStretch(of)),
  fixesFor(noSingleAdapter, (of) => [...byThread(of), ...byReducer(of), ...hoseBetween(of)]),
  fixesFor(hoseWithoutClamp, (of) => joined(of, 'barb', 'Put it over a barb with a clamp')),
  fixesFor(pushFitUnderPressure, (of) => joined(of, 'glued', 'Glue the nozzle')),
  fixesFor(cannotComeOut, unionBetween),
  fixesFor(gluedBetweenFixed, unionInChain),
  fixesFor(wiperInSaltWater, ({ whole, device }) => {
    const at = whole.design.sump.devices.findIndex(({ id }) => id === device.id)
    return [
      {
        label: sentence('Take the wiper out'),
        brings: () => sentence('Its sleeve is then cleaned by hand.'),
        edits: [setTo(['sump', 'devices', at, 'part', 'sterilizer', 'hasWiper'], false)],
      },
    ]
  }),
]

/** So much bare pipe between two sockets lets a saw in, and a little more, m. */
const SPARE_M = 0.008

/** A pipe of the same straight leg made longer; what that moves is taken back from another along its axis. */
function longerStretch({ design, route, cut, plumbing }: CutCase): FindingCandidate[] {
  const { run, setLength } = runOf(design, route.id)
  const at = pipeOfLeg(run.pieces, cut)
  // All that stand too near in this leg have their room from the one pipe.
  const short = plumbing.cuts.filter(
    (other) =>
      other.routeId === route.id &&
      (other.verdict === 'too-short-to-glue' || other === cut) &&
      pipeOfLeg(run.pieces, other) === at,
  )
  const needM = short.reduce((sum, { leastM, cutM }) => sum + leastM + SPARE_M - cutM, 0)
  const pipe = run.pieces[at]
  if (pipe?.kind !== 'pipe') return []
  const longer = setLength(at, pipe.lengthM + needM)
  const label = sentence('Make its stretch {by} longer', { by: ['length', needM] })
  const taken = giverOf(run.pieces, at, needM)
  const giver = run.pieces[taken]
  const brings = () => sentence('It can be glued, sawn out and used again.')
  const moved = { label, brings, edits: [longer] }
  if (giver?.kind !== 'pipe') return [moved]
  const sign = signOf(giver.direction) * signOf(pipe.direction)
  const kept = {
    label: sentence('Make its stretch {by} longer, and another as much shorter', {
      by: ['length', needM],
    }),
    brings,
    edits: [longer, setLength(taken, giver.lengthM - sign * needM)],
  }
  return [kept, moved]
}

/** A spigot's stretch as long as it is when home. */
function homeAgain({ design, route, cut }: CutCase): FindingCandidate[] {
  const { run, setLength } = runOf(design, route.id)
  const at = pipeOfLeg(run.pieces, cut)
  const pipe = run.pieces[at]
  if (pipe?.kind !== 'pipe' || pipe.lengthM - cut.cutM <= 0) return []
  return [
    {
      label: sentence('Make its stretch {to}', { to: ['length', pipe.lengthM - cut.cutM] }),
      brings: () => sentence('The spigot then ends in its socket.'),
      edits: [setLength(at, pipe.lengthM - cut.cutM)],
    },
  ]
}

/** An elbow with a spigot of its own needs no pipe between: it takes less room, by a socket’s depth. */
function streetElbow({ design, route, cut }: CutCase): FindingCandidate[] {
  const { run, setRun } = runOf(design, route.id)
  const offered = cut.between.flatMap((id, side): FindingCandidate[] => {
    const elbow = run.pieces.findIndex((piece) => piece.id === id && piece.kind === 'elbow')
    if (elbow < 0 || isHose(cut.size.series)) return []
    const made = run.pieces[elbow]!.made ?? AS_USUAL
    const street = { ...made, [side === 0 ? 'after' : 'before']: 'spigot' as const }
    const withStreet = run.pieces.map((piece, i) =>
      i === elbow ? { ...piece, made: street } : piece,
    )
    const spanM = spanWith({ ...run, pieces: withStreet }, { design, route, cut })
    const at = pipeOfLeg(run.pieces, cut)
    if (spanM === null || at < 0) return []
    const byM = spanM - cut.centreToCentreM
    const pieces = withStreet.map((piece, i) =>
      i === at && piece.kind === 'pipe'
        ? { ...piece, lengthM: tenthsOfMm(piece.lengthM + byM) }
        : piece,
    )
    return [
      {
        label: sentence('Take a street elbow there, and make its stretch {by} longer', {
          by: ['length', byM],
        }),
        brings: () => sentence('Its spigot is glued straight into the fitting beside it.'),
        edits: [setRun({ ...run, pieces })],
      },
    ]
  })
  return offered.slice(0, 1)
}

/** From middle to middle with the spigot home, as the run would be built. */
function spanWith(
  run: Run,
  { design, route, cut }: Pick<CutCase, 'design' | 'route' | 'cut'>,
): number | null {
  const { setRun } = runOf(design, route.id)
  const built = plumbingOf(applyEdits(design, [setRun(run)])).routes.find(
    ({ id }) => id === route.id,
  )!
  const at = built.segments.findIndex(({ id }) => id === cut.segmentId)
  return at < 0 ? null : spigotSpanM(built, at, design.build?.takeOffs ?? [])
}

/** The pipe that a cut is drawn as, else the nearest of its straight leg. */
function pipeOfLeg(pieces: readonly Piece[], { pieceIds, between }: CutCase['cut']): number {
  const own = pieces.findIndex(({ id, kind }) => kind === 'pipe' && pieceIds.includes(id))
  if (own >= 0) return own
  const first = pieces.findIndex(({ id }) => id === between[0])
  const onward = pieces.findIndex((piece, i) => i > first && piece.kind === 'pipe')
  const blocked = pieces.slice(first + 1, onward).some(({ kind }) => kind === 'elbow')
  return blocked || onward < 0
    ? pieces.findLastIndex((piece, i) => i < first && piece.kind === 'pipe')
    : onward
}

/** The longest pipe along the same axis that can give as much, or take it where it leads the other way. */
function giverOf(pieces: readonly Piece[], at: number, byM: number): number {
  const pipe = pieces[at]!
  if (pipe.kind !== 'pipe') return -1
  return pieces.reduce((best, piece, i) => {
    if (i === at || piece.kind !== 'pipe') return best
    if (axisOf(piece.direction) !== axisOf(pipe.direction)) return best
    const opposite = signOf(piece.direction) !== signOf(pipe.direction)
    if (!opposite && piece.lengthM - byM < 2 * byM) return best
    const before = pieces[best]
    return before?.kind === 'pipe' && before.lengthM >= piece.lengthM ? best : i
  }, -1)
}

/** A pump that came with a barb has a thread under it. */
function byThread({ design, joint, route }: JointCase): FindingCandidate[] {
  const body = route.bodies.find(({ id }) => id === joint.bodyId)
  const line = design.returnSide.lines.find(({ id }) => id === route.id)
  const at = design.returnSide.pumps.findIndex(({ id }) => id === line?.start.id)
  if (body?.kind !== 'pump' || design.returnSide.pumps[at]?.joint !== 'barb') return []
  return [
    {
      label: sentence('Take the pump by its thread, without the barb'),
      brings: () => sentence('One adapter, socket to thread, then joins it.'),
      edits: [setTo(['returnSide', 'pumps', at, 'joint'], 'threaded')],
    },
  ]
}

/** The run begins in the size that one adapter meets, and goes over to its own by a reducer. */
function byReducer({ design, joint, route }: JointCase): FindingCandidate[] {
  const body = route.bodies[0]!
  const { run, setRun } = runOf(design, route.id)
  const [first] = run.pieces
  if (joint.bodyId !== body.id || isHose(run.size.series) || first?.kind !== 'pipe') return []
  const size = sizeThatMeets(body.after, run.size)
  if (!size) return []
  const lengthM = roomFor(['adapter', 'coupling'], size)
  if (first.lengthM < lengthM + rowM(['coupling', 'union'], run.size)) return []
  const pieces: Piece[] = [
    { ...first, id: `${first.id}-narrow`, lengthM },
    { id: `${first.id}-reducer`, kind: 'reducer', to: run.size, angleDeg: null },
    { ...first, lengthM: first.lengthM - lengthM },
    ...run.pieces.slice(1),
  ]
  return [
    {
      label: sentence('Begin with {size}, and go over to {to} by a reducer', {
        size: sizeWords(size),
        to: sizeWords(run.size),
      }),
      brings: () => sentence('One adapter then joins it, and the reducer does the rest.'),
      edits: [setRun({ ...run, size, pieces })],
    },
  ]
}

/** Shortest hose that bends a little and takes both barbs, m (choice). */
const HOSE_M = 0.1

/** The run begins in hose, and goes over to pipe by a tail. */
function hoseBetween({ design, joint, route }: JointCase): FindingCandidate[] {
  const body = route.bodies[0]!
  const { run, setRun } = runOf(design, route.id)
  const [first] = run.pieces
  if (joint.bodyId !== body.id || isHose(run.size.series) || first?.kind !== 'pipe') return []
  if (first.lengthM < 2 * HOSE_M) return []
  const boreM = body.kind === 'pump' ? boreOf(body.after.size).boreM : boreOf(run.size).boreM
  const hose = nearestSize('smooth-hose', boreM, measureOf(run.size))
  const pieces: Piece[] = [
    { ...first, id: `${first.id}-hose`, lengthM: HOSE_M },
    { id: `${first.id}-tail`, kind: 'reducer', to: run.size, angleDeg: null },
    { ...first, lengthM: first.lengthM - HOSE_M },
    ...run.pieces.slice(1),
  ]
  return [
    {
      label: sentence('Begin with a length of hose'),
      brings: () => sentence('A hose over the barb, and a tail from it to the pipe.'),
      edits: [setRun({ ...run, size: hose, pieces })],
    },
  ]
}

/** Another kind of joint at a piece's end. */
function joined(
  { design, joint, route }: JointCase,
  kind: EndKind,
  label: string,
): FindingCandidate[] {
  const { run, setRun } = runOf(design, route.id)
  const at = run.pieces.findIndex(({ id }) => id === joint.bodyId)
  const { side } = joint
  if (at < 0) return []
  const made = { ...(run.pieces[at]!.made ?? AS_USUAL), [side]: kind }
  return [
    {
      label: sentence(label),
      brings: () => sentence('It holds.'),
      edits: [
        setRun({
          ...run,
          pieces: run.pieces.map((piece, i) => (i === at ? { ...piece, made } : piece)),
        }),
      ],
    },
  ]
}
