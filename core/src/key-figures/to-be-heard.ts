import { type Sentence, sentence } from '../quantity/index.ts'
import type { Found } from './key-figures.ts'

/** Under so much of a miss nothing is said of it. */
const HEARD = 0.01

/** What matters of a solved design, to be heard in one breath: the flow, beside what is wanted, and what stops it. */
export function toBeHeard({ returnSide, totals, tanks, findings }: Found): Sentence {
  const { flowM3PerS, flowBandM3PerS } = returnSide
  const wanted = totals.wantedFlowM3PerS
  const off = wanted > 0 ? (flowM3PerS - wanted) / wanted : 0
  const beside = off < -HEARD ? ', {off} short' : off > HEARD ? ', {off} over' : ''
  const stops = findings.filter(({ severity }) => severity === 'stop').length
  const stopped = stops === 0 ? '' : stops === 1 ? '. One stop' : `. ${stops} stops`
  return sentence(`{flow} at the ${tanks.length > 1 ? 'tanks' : 'tank'}${beside}${stopped}`, {
    flow: ['flow', flowM3PerS, flowBandM3PerS],
    off: ['share', Math.abs(off)],
  })
}
