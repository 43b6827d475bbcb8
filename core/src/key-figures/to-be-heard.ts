import { type Sentence, sentence } from '../quantity/index.ts'
import type { Found } from './key-figures.ts'

/** Under so much of a miss nothing is said of it. */
const HEARD = 0.01

/** What matters of a solved design, to be heard in one breath: the flow, beside what is wanted, and what stops it. */
export function toBeHeard({ returnSide, totals, tanks, findings }: Found): Sentence {
  const { flowM3PerS, flowBandM3PerS } = returnSide
  const wanted = totals.wantedFlowM3PerS
  const off = wanted > 0 ? (flowM3PerS - wanted) / wanted : 0
  const stops = findings.filter(({ severity }) => severity === 'stop').length
  const values: Sentence['values'] = {
    flow: ['flow', flowM3PerS, flowBandM3PerS],
    at: tanks.length > 1 ? 'at the tanks' : 'at the tank',
    off: ['share', Math.abs(off)],
    stops: stops === 0 ? '' : stops === 1 ? '. One stop' : `. ${stops} stops`,
  }
  if (off < -HEARD) return sentence('{flow} {at}, {off} short{stops}', values)
  if (off > HEARD) return sentence('{flow} {at}, {off} over{stops}', values)
  return sentence('{flow} {at}{stops}', values)
}
