import { kAt } from '../../fitting/index.ts'
import type { Layout, PathPart } from '../../layout/index.ts'
import type { SolvedFlows, SolvedTee } from '../../network/index.ts'
import { reynolds, speedMPerS, velocityHeadM } from '../../pipe/index.ts'
import type { FittingLoss } from '../../run/index.ts'
import type { SolvedJoint, TeePassage } from './solved.ts'

/** What a line that has a tee among its pieces does in it. */
export function teePassage(layout: Layout, flows: SolvedFlows, teeId: string): TeePassage | null {
  const placed = layout.teeEnds.get(teeId)
  if (!placed) return null
  const { node, ends } = placed
  const solved = flows.tees.find((tee) => tee.node === node)
  if (!solved) return null
  const [into, out, other] = [ends.indexOf('in'), ends.indexOf('out'), ends.indexOf('other')]
  const lossM = headAt(solved, into) - headAt(solved, out)
  return {
    dividing: solved.dividing,
    common: ends[solved.common],
    otherShare: shareAt(solved, other),
    straightOn: other === BRANCH_PLACE,
    lossM,
    k: lossM / solved.velocityHeadM,
    velocityHeadM: solved.velocityHeadM,
  }
}

const BRANCH_PLACE = 2

/** Head at a leg over the common one's. */
function headAt(tee: SolvedTee, leg: number): number {
  const lossM = lossAt(tee, leg)
  return tee.dividing ? -lossM : lossM
}

function lossAt({ legs }: SolvedTee, leg: number): number {
  return legs.find((solvedLeg) => solvedLeg.leg === leg)?.lossM ?? 0
}

function shareAt({ common, legs }: SolvedTee, leg: number): number {
  return leg === common ? 1 : (legs.find((solvedLeg) => solvedLeg.leg === leg)?.share ?? 0)
}

/** What joins the pieces of a way: adapters where bores differ, and the tees it passes. */
export function jointsOn(
  layout: Layout,
  path: readonly PathPart[],
  flows: SolvedFlows,
): SolvedJoint[] {
  const joints: SolvedJoint[] = []
  path.forEach(({ lineIndex, segments }, part) => {
    const { line, startLosses, endLosses } = layout.lines[lineIndex]!
    if (startLosses.length > 0) {
      const at = line.start.at === 'tee' ? 'tee' : 'pump-outlet'
      const flow = flows.flowsM3PerS[segments[0]!.link]!
      joints.push(...adapter(layout, { at, lineId: line.id }, startLosses, flow))
    }
    if (part === path.length - 1 && line.end.at === 'tee') {
      const flow = flows.flowsM3PerS[segments.at(-1)!.link]!
      joints.push(...adapter(layout, { at: 'tee', lineId: line.id }, endLosses, flow))
    }
  })
  return joints
}

function adapter(
  { water }: Layout,
  where: Pick<SolvedJoint, 'at' | 'lineId'>,
  losses: readonly FittingLoss[],
  flowM3PerS: number,
): SolvedJoint[] {
  return losses.map(({ boreM, loss }) => {
    const speed = speedMPerS(Math.abs(flowM3PerS), boreM)
    const k = flowM3PerS === 0 ? 0 : kAt(loss, reynolds(speed, boreM, water.kinematicM2PerS))
    // Written out: a spread takes many times as long, at every keystroke.
    return { at: where.at, lineId: where.lineId, k, lossM: k * velocityHeadM(speed) }
  })
}
