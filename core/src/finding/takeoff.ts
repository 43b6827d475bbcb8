import { sentence } from '../quantity/index.ts'
import { aboutLine, type Finding, type LineCase } from './finding.ts'
import { reachFixes, throttleFix, type Wish } from './flow-fixes.ts'
import { idleFinding } from './flow.ts'

/** A takeoff this far from its target is said (choice). */
const OFF_SHARE = 0.15

/** Does a line back to the sump carry what its device wants? */
export function takeoffFindings(line: LineCase): Finding[] {
  const { laid, solved } = line
  if (laid.line.end.at !== 'chamber') return []
  if (solved.status === 'flows-back') return [idleFinding(line)]
  const wanted = laid.line.wantedFlowM3PerS
  // A takeoff that is shut off, or wants nothing in particular, is as the keeper has it.
  if (wanted === null || solved.status === 'unsettled') return []
  const off = wanted > 0 ? (solved.flowM3PerS - wanted) / wanted : 0
  if (Math.abs(off) <= OFF_SHARE) return []
  const wish: Wish = {
    line,
    of: { lineId: laid.line.id },
    nowM3PerS: solved.flowM3PerS,
    wantedM3PerS: wanted,
  }
  return [
    aboutLine(line, {
      code: 'takeoff-off-target',
      severity: 'watch',
      title: sentence(
        off < 0
          ? `${laid.line.name} gets {off} less than it wants`
          : `${laid.line.name} gets {off} more than it wants`,
        { off: ['share', Math.abs(off)] },
      ),
      reason: sentence(
        '{flow} (± {band}) runs through it and you want {wanted}. Every valve moves every line: the balance finds all openings at once.',
        {
          flow: ['flow', solved.flowM3PerS],
          band: ['flow', solved.flowBandM3PerS],
          wanted: ['flow', wanted],
        },
      ),
      // Slowing the pump for one takeoff would starve the tank: only its valve is turned.
      fixes: () => (off < 0 ? reachFixes(wish) : throttleFix(wish)),
    }),
  ]
}
