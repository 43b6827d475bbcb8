import { sentence } from '../../quantity/index.ts'
import type { LineCase } from '../case/line-case.ts'
import { TAKEOFF_OFF_SHARE } from '../limits.ts'
import { rule } from '../rule.ts'

export const takeoffOffTarget = rule({
  code: 'takeoff-off-target',
  station: 'return',
  severities: ['watch'],
  holds: 'A line back to the sump carries less or more than is wanted of it.',
  condition: ({ laid, solved }: LineCase) => {
    const { end, wantedFlowM3PerS: wanted } = laid.line
    // A takeoff that is shut off, or wants nothing in particular, is as the keeper has it.
    if (end.at !== 'chamber' || wanted === null || wanted <= 0) return []
    if (solved.status === 'unsettled' || solved.status === 'flows-back') return []
    const off = (solved.flowM3PerS - wanted) / wanted
    return Math.abs(off) > TAKEOFF_OFF_SHARE ? [{ off, wantedM3PerS: wanted }] : []
  },
  title: ({ laid }, { off }) =>
    sentence(
      off < 0 ? '{line} gets {off} less than it wants' : '{line} gets {off} more than it wants',
      { line: laid.line.name, off: ['share', Math.abs(off)] },
    ),
  reason: ({ solved }, { wantedM3PerS }) =>
    sentence(
      '{flow} runs through it and you want {wanted}. Every valve moves every line: the balance finds all openings at once.',
      {
        flow: ['flow', solved.flowM3PerS, solved.flowBandM3PerS],
        wanted: ['flow', wantedM3PerS],
      },
    ),
})
