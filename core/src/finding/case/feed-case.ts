import type { SolvedTank } from '../../figures/index.ts'
import type { Case } from '../rule.ts'
import type { LineCase } from './line-case.ts'
import type { Whole } from './whole.ts'

/** A tank and the lines that feed it. */
export interface FeedCase extends Case {
  readonly whole: Whole
  readonly tank: SolvedTank
  readonly feeding: readonly LineCase[]
  /** Its name where there are several tanks; else nothing. */
  readonly name: string
}

/** Every tank with what feeds it. */
export function feedCases(whole: Whole, lines: readonly LineCase[]): FeedCase[] {
  const { design, tanks } = whole
  return tanks.map((tank, i) => {
    const feeding = lines.filter(
      ({ laid: { line } }) => line.end.at === 'tank' && line.end.id === tank.tankId,
    )
    return {
      whole,
      tank,
      feeding,
      name: tanks.length > 1 ? design.tanks[i]!.name : '',
      where: feeding[0]?.where ?? { tankId: tank.tankId },
    }
  })
}

/** Does any water come out of a line of it, so that there is a flow to hold against what is wanted? */
export function isFed({ tank, feeding }: FeedCase): boolean {
  return tank.flowM3PerS > 0 && feeding.some(({ solved }) => solved.status === 'flows')
}

/** How a tank's flow stands to what is wanted, as a sentence needs it; where: "Lower tank: ", at: the tank by its name. */
export function againstWanted({ tank, name }: FeedCase) {
  const { flowM3PerS: flow, wantedFlowM3PerS: wanted, flowBandM3PerS: band } = tank
  return {
    flow: ['flow', flow, band],
    wanted: ['flow', wanted],
    off: ['share', wanted > 0 ? Math.abs(flow - wanted) / wanted : 0],
    where: name ? `${name}: ` : '',
    at: name || 'the tank',
  } as const
}
