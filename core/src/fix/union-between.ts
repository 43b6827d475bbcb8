import { type GluedPipe, gluedPipesOf, pipesAmong } from '../build-sheet/index.ts'
import type { BasinDesign } from '../design/index.ts'
import type { ChainCase, ThingCase } from '../finding/index.ts'
import { rowM } from '../fitting/index.ts'
import { isHose } from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Piece } from '../run/index.ts'
import type { FindingCandidate } from './finding-fix.ts'
import { runOf, tenthsOfMm } from './run-here.ts'

/** So many places are tried at most. */
const MOST_PLACES = 6

/** A union in a pipe between a thing and what holds it: over the sump where a hand gets to it, else in the longest. */
export function unionBetween({ whole: { design }, found }: ThingCase): FindingCandidate[] {
  return unionsIn(design, gluedPipesOf(design, found.thing))
}

/** The same between two fixed points. */
export function unionInChain({ design, chain }: ChainCase): FindingCandidate[] {
  return unionsIn(design, pipesAmong(design, chain.between))
}

function unionsIn(design: BasinDesign, pipes: readonly GluedPipe[]): FindingCandidate[] {
  return pipes
    .toSorted(
      (a, b) => Number(isAtHand(design, b)) - Number(isAtHand(design, a)) || b.lengthM - a.lengthM,
    )
    .flatMap((pipe) => unionIn(design, pipe))
    .slice(0, MOST_PLACES)
}

/** Over the sump's rim, so that what runs out falls into it, and under the tank's floor. */
function isAtHand({ sump, tanks }: BasinDesign, { heightM }: GluedPipe): boolean {
  const rimM = sump.box ? sump.box.floorHeightM + sump.box.heightM : 0
  return heightM > rimM && heightM < Math.min(...tanks.map(({ floorHeightM }) => floorHeightM))
}

function unionIn(design: BasinDesign, { routeId, pieceId }: GluedPipe): FindingCandidate[] {
  const { run, setRun } = runOf(design, routeId)
  const at = run.pieces.findIndex(({ id }) => id === pieceId)
  const pipe = run.pieces[at]
  if (pipe?.kind !== 'pipe' || isHose(run.size.series)) return []
  if (pipe.lengthM < 2 * rowM(['elbow-90', 'union'], run.size)) return []
  const firstM = tenthsOfMm(pipe.lengthM / 2)
  const pieces: Piece[] = [
    ...run.pieces.slice(0, at),
    { ...pipe, lengthM: firstM },
    { id: `${pipe.id}-union`, kind: 'union' },
    { ...pipe, id: `${pipe.id}-on`, lengthM: tenthsOfMm(pipe.lengthM - firstM) },
    ...run.pieces.slice(at + 1),
  ]
  return [
    {
      label: sentence('Put a union into piece {n} of {name}', {
        n: String(at + 1),
        name: nameOf(design, routeId),
      }),
      brings: () => sentence('It then comes apart there, and nothing is cut.'),
      edits: [setRun({ ...run, pieces })],
    },
  ]
}

const nameOf = ({ returnSide, drains }: BasinDesign, id: string) =>
  [...returnSide.lines, ...drains].find((run) => run.id === id)!.name
