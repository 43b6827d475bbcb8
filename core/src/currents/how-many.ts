import type { CirculationPart } from '../scene/index.ts'
import { planField, updatesOf } from './field-plan.ts'
import type { FlowDomain } from './flow-domain.ts'
import { type FieldVerdict, judgeField, shareMoved } from './judge.ts'
import { simulateField } from './simulate-field.ts'
import { startLayout, type Start, type StartName } from './starts.ts'
import { pumpStream } from './streams.ts'

/** The arrangements that a number of pumps is tried in: each number as it is usually begun. */
const TRIED: readonly StartName[] = ['one-forward', 'two-offset', 'four-offset']
/** A number is enough where no more than this of the water is dead, and this few points are lost to the best (choices). */
const MOST_DEAD = 0.1
const POINTS_LOST = 0.1

/** So many pumps of a kind in a tank, as a coarse field has them. */
export interface SoMany {
  readonly start: Start
  readonly verdict: FieldVerdict
  /** Of faces in their range; without rock and sand, of the water that is not dead. */
  readonly share: number
  readonly powerW: number
}

/** How many pumps of a kind a tank needs. */
export interface HowMany {
  readonly tried: readonly SoMany[]
  /** The fewest that are enough; null: none of the tried numbers is. */
  readonly enough: SoMany | null
}

/** The tank with so many pumps of a kind, and with what its lines bring. */
function withStart(domain: FlowDomain, start: Start): FlowDomain {
  const lines = domain.streams.filter(({ from }) => from === 'nozzle')
  return { ...domain, streams: [...start.pumps.map((pump) => pumpStream(pump, domain)), ...lines] }
}

const startsOf = (domain: FlowDomain, part: CirculationPart, newId: () => string) =>
  TRIED.map((name) => startLayout(name, domain, part, newId))

/** One, two and four pumps of a kind, each simulated as a coarse field. Long: for a worker. */
export function howMany(
  domain: FlowDomain,
  part: CirculationPart,
  newId: () => string,
  progress: (done: number, of: number) => void = () => {},
): HowMany {
  const starts = startsOf(domain, part, newId)
  const tried = starts.map((start, i): SoMany => {
    const plan = planField(withStart(domain, start), 'coarse')!
    const field = simulateField(plan, (done, of) => progress(i + done / of, starts.length))
    const verdict = judgeField(field, domain)
    const powerW = start.pumps.length * part.powerW
    return { start, verdict, share: shareMoved(verdict), powerW }
  })
  const best = Math.max(...tried.map(({ share }) => share))
  const isEnough = ({ verdict, share }: SoMany) =>
    verdict.deadShare <= MOST_DEAD && share >= best - POINTS_LOST
  return { tried, enough: tried.find(isEnough) ?? null }
}

/** Updates of cells it comes to: what its time is estimated by. */
export function updatesOfHowMany(domain: FlowDomain, part: CirculationPart): number {
  return startsOf(domain, part, () => 'tried').reduce(
    (sum, start) => sum + updatesOf(planField(withStart(domain, start), 'coarse')!),
    0,
  )
}
