import type { Finding, Severity, Solving } from './finding.ts'
import { flowFindings } from './flow.ts'
import { lineFindings } from './line.ts'
import { mouthFindings } from './mouth.ts'
import { tankFindings } from './tank.ts'

const ORDER: Readonly<Record<Severity, number>> = { stop: 0, watch: 1, fine: 2 }

/** Every finding, worst first; within one severity in the order the water passes. */
export function findingsOf(solving: Solving): Finding[] {
  return [
    ...tankFindings(solving),
    ...flowFindings(solving),
    ...mouthFindings(solving),
    ...lineFindings(solving),
  ].sort((a, b) => ORDER[a.severity] - ORDER[b.severity])
}
