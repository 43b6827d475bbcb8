import type { BasinDesign } from '../../design/index.ts'
import { type JointReach, jointReaches, type WayIn } from '../reach/reach.ts'
import { broughtBy } from './brought.ts'
import type { BuildStep } from './steps.ts'

/** A joint's step that must come before one that puts something in its way. */
export interface ReachRule {
  readonly first: string
  readonly next: string
}

/** The step that a joint is made in. */
export const stepOfJoint = ({ link }: Pick<JointReach, 'link'>): string =>
  link.kind === 'gasket' ? `bulkhead ${link.id}` : `join ${link.id}`

/**
 * Rules that leave each joint a way in while it is made. Of a joint's ways the one is kept open in which the
 * least stands; a way that would make steps wait for each other is none.
 */
export function reachRules(
  design: BasinDesign,
  known: readonly ReachRule[],
  there: ReadonlySet<string>,
): ReachRule[] {
  const brings = broughtBy(design)
  const after = new Map<string, string[]>()
  for (const { first, next } of known) after.set(first, [...(after.get(first) ?? []), next])
  const found: ReachRule[] = []
  for (const reach of jointReaches(design)) {
    const first = stepOfJoint(reach)
    const way = reach.ways
      .filter(({ isShut }) => !isShut)
      .map((wayIn) => stepsIn(wayIn, brings).filter((id) => there.has(id)))
      .sort((a, b) => a.length - b.length)
      .find((steps) => steps.every((next) => next !== first && !leadsTo(after, next, first)))
    for (const next of way ?? []) {
      after.set(first, [...(after.get(first) ?? []), next])
      found.push({ first, next })
    }
  }
  return found
}

const stepsIn = ({ parts }: WayIn, brings: ReturnType<typeof broughtBy>): string[] => [
  ...new Set(parts.flatMap(brings)),
]

/** Does one step come before another, by rules? */
function leadsTo(after: ReadonlyMap<string, readonly string[]>, from: string, to: string): boolean {
  const found = new Set([from])
  for (const id of found) {
    if (id === to) return true
    for (const next of after.get(id) ?? []) found.add(next)
  }
  return false
}

/** When the last way to a joint is shut, by the numbers of steps. */
export interface Closing {
  readonly reach: JointReach
  /** Of the step that it is made in. */
  readonly madeAt: number
  /** Of the step after which no tool gets to it; null: it stays within reach. */
  readonly shutAt: number | null
}

/** Of every joint that is made in place: when it is made, and when it is shut off. */
export function closingsOf(
  design: BasinDesign,
  ordered: readonly (BuildStep & { number: number })[],
): Closing[] {
  const brings = broughtBy(design)
  const numbers = new Map(ordered.map(({ id, number }) => [id, number]))
  const boxes = new Map(
    ordered.flatMap(({ boxId, number }) => (boxId === null ? [] : [[boxId, number]])),
  )
  const first = (ids: readonly string[]) =>
    Math.min(...ids.map((id) => numbers.get(id) ?? Infinity))
  return jointReaches(design).flatMap((reach) => {
    const madeAt = numbers.get(stepOfJoint(reach))
    if (madeAt === undefined) return []
    const shutAt = Math.max(
      ...reach.ways.map(({ parts, panelsOf }) =>
        Math.min(
          ...parts.map((part) => first(brings(part))),
          ...panelsOf.map((id) => boxes.get(id) ?? Infinity),
        ),
      ),
    )
    return [{ reach, madeAt, shutAt: Number.isFinite(shutAt) ? shutAt : null }]
  })
}
