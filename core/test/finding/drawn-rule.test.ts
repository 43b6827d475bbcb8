import { describe, expect, test } from '@jest/globals'
import type { BasinDesign } from '../../src/design/design.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { byDrawing, type DrawnCase, drawnRule } from '../../src/finding/drawn-rule.ts'
import { each, type Occurrence } from '../../src/finding/rule.ts'
import { say, sentence } from '../../src/quantity/sentence.ts'
import { withChanges } from '../changes.ts'
import { randomDesign } from '../judge/random-design.ts'

interface Shelf {
  readonly boards: readonly number[]
}

interface ShelfCase extends DrawnCase<Shelf> {
  readonly owner: string
}

describe('a rule about what is drawn', () => {
  let asked = 0
  const long = drawnRule({
    code: 'misses-its-place',
    station: 'return',
    severities: ['stop'],
    holds: 'A board is long.',
    condition: ({ boards }: Shelf) => {
      asked++
      return boards.filter((board) => board > 2)
    },
    title: ({ owner }: ShelfCase, board) =>
      sentence('{owner}: {board}', { owner, board: String(board) }),
    reason: () => sentence('Long.'),
  })
  const all = each((of: ShelfCase) => [of], byDrawing(long))
  const saidOf = (drawing: Shelf, owner: string) => {
    const found: Occurrence[] = []
    all.ask({ drawing, owner, where: {} }, found)
    return found.map(({ finding, rule, of }) => [
      say(finding.title, 'metric'),
      rule === long,
      (of as ShelfCase).owner,
    ])
  }
  const shelf = { boards: [1, 3, 4] }

  test('is asked once for a drawing, and says what it found of each case as that stands', () => {
    expect(all.rules).toEqual([long])
    expect(saidOf(shelf, 'Ann')).toEqual([
      ['Ann: 3', true, 'Ann'],
      ['Ann: 4', true, 'Ann'],
    ])
    expect(saidOf(shelf, 'Bob').map(([title]) => title)).toEqual(['Bob: 3', 'Bob: 4'])
    expect(asked).toBe(1)
  })
  test('is asked anew of another drawing', () => {
    expect(saidOf({ boards: [1] }, 'Ann')).toEqual([])
    expect(asked).toBe(2)
  })
})

/** Every number of a document, by its dotted path. */
function numbersIn(value: unknown, path = ''): [string, number][] {
  if (typeof value === 'number') return [[path, value]]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, own]) =>
    numbersIn(own, path === '' ? key : `${path}.${key}`),
  )
}

/** What is found, or what it failed by. */
function told(design: BasinDesign): string {
  try {
    return JSON.stringify(solveBasin(design).findings)
  } catch (error) {
    return String(error)
  }
}

test.each([3, 8, 21, 34])(
  'whichever number of likely design %d is changed, what is found is what a copy says that shares nothing with it',
  (seed) => {
    const design = randomDesign(seed)
    const before = told(design)
    const numbers = numbersIn(design)
    expect(numbers.length).toBeGreaterThan(60)
    let moved = 0
    for (const [path, value] of numbers) {
      const changed = withChanges(design, { [path]: value === 0 ? 0.05 : 1.3 * value })
      const now = told(changed)
      if (now !== before) moved++
      expect([path, now]).toEqual([path, told(structuredClone(changed))])
    }
    expect(moved).toBeGreaterThan(20)
    expect(told(design)).toBe(before)
  },
)
