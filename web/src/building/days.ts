import type { building } from '@yew-basin/core'

/** What can be begun on one day. */
export interface BuildDay {
  /** From 1. */
  readonly number: number
  /** "Day 2", with its date where the first is set. */
  readonly title: string
  readonly steps: readonly building.OrderedStep[]
}

const HOURS_A_DAY = 24
const A_DAY_MS = 86_400_000
const WORDS = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
})

/** Steps by the day on which cement and silicone let them begin, counted from the first. */
export function daysOf(
  steps: readonly building.OrderedStep[],
  startsOn: string | null,
): BuildDay[] {
  const byDay = new Map<number, building.OrderedStep[]>()
  for (const step of steps) {
    const number = Math.floor(step.fromH / HOURS_A_DAY) + 1
    byDay.set(number, [...(byDay.get(number) ?? []), step])
  }
  return [...byDay]
    .sort(([a], [b]) => a - b)
    .map(([number, own]) => ({ number, title: titleOf(number, startsOn), steps: own }))
}

function titleOf(number: number, startsOn: string | null): string {
  if (startsOn === null) return `Day ${number}`
  const day = new Date(Date.parse(`${startsOn}T00:00:00Z`) + (number - 1) * A_DAY_MS)
  return `Day ${number}, ${WORDS.format(day)}`
}
