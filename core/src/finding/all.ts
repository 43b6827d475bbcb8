import { pumpOf } from '../layout/index.ts'
import { gather } from '../numeric/index.ts'
import { drainFindings } from './drains.ts'
import { elbowFindings } from './elbows.ts'
import { endFindings } from './end.ts'
import type { Finding, LineCase, Severity, Solving } from './finding.ts'
import { flowFindings } from './flow.ts'
import { guardFindings } from './guard.ts'
import { jointFindings } from './joints.ts'
import { lineFindings } from './line.ts'
import { overflowCases, overflowFindings } from './overflow.ts'
import { pumpFindings } from './pump.ts'
import { sumpFindings } from './sump.ts'
import { takeoffFindings } from './takeoff.ts'
import { tankFindings } from './tank.ts'
import { treatmentFindings } from './treatment.ts'

const ORDER: Readonly<Record<Severity, number>> = { stop: 0, watch: 1, fine: 2 }

/** Every finding, worst first; within one severity in the order the water passes. */
export function findingsOf(solving: Solving): Finding[] {
  const lines = linesOf(solving)
  return [
    ...tankFindings(solving),
    ...flowFindings(solving, lines),
    ...gather(lines, (line) => [
      ...takeoffFindings(line),
      ...endFindings(line),
      ...jointFindings(line),
      ...lineFindings(line),
      ...elbowFindings(line),
      ...guardFindings(line),
    ]),
    ...pumpFindings(lines),
    ...gather(overflowCases(solving), (one) => [...overflowFindings(one), ...drainFindings(one)]),
    ...sumpFindings(solving),
    ...treatmentFindings(solving, lines),
  ].sort((a, b) => ORDER[a.severity] - ORDER[b.severity])
}

function linesOf(solving: Solving): LineCase[] {
  const { design, layout, returnSide } = solving
  return layout.lines.map((laid, i) => ({
    solving,
    design,
    laid,
    solved: returnSide.lines[i]!,
    pump: pumpOf(layout, i),
  }))
}
