import { type Finding, alikeFinding } from '../finding/index.ts'

/** What a change does to the findings of a design, beside what it is for. */
export interface Differences {
  /** Stops and watches that go, */
  readonly gone: readonly Finding[]
  /** and those that come. */
  readonly come: readonly Finding[]
  /** A stop is among those that come, or a watch became one. */
  readonly newStop: boolean
}

/** Findings before and after a change; `but` is what the change is for. */
export function findingDifferences(
  before: readonly Finding[],
  after: readonly Finding[],
  but: Finding | null = null,
): Differences {
  const was = before.filter(({ severity }) => severity !== 'fine')
  const is = after.filter(({ severity }) => severity !== 'fine')
  const only = (list: readonly Finding[], others: readonly Finding[]) =>
    list
      .filter((one) => !others.some((other) => alikeFinding(other, one)))
      .filter((one) => but === null || !alikeFinding(one, but))
  const stops = was.filter(({ severity }) => severity === 'stop')
  return {
    gone: only(was, is),
    come: only(is, was),
    newStop: is.some(
      (one) => one.severity === 'stop' && !stops.some((other) => alikeFinding(other, one)),
    ),
  }
}

/** Their titles. */
export const titlesOf = (findings: readonly Finding[]) => findings.map(({ title }) => title)
