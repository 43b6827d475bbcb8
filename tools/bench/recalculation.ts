import { solveBasin } from '@yew-basin/core'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'
import { nudged } from './nudged.ts'
import { inBudget } from './rounds.ts'

/** Milliseconds that a basin's recalculation may take; others are printed alone. */
const BUDGETS_MS: Readonly<Record<string, number>> = { Lantern: 0.3, 'Two Sisters': 0.4 }
/** The engine makes its fastest code of what a solve calls once or twice only after so many solves. */
const SOLVES_BEFORE = 15_000

// One basin in a process of its own, as a page has one open. Among others, and before the engine has
// settled, it takes longer: the first is printed with the page's other work, the second here.
const name = process.argv[2]
const basin = DEMO_BASINS.find((demo) => demo.name === name)
if (!basin) throw new RangeError(`no demo basin ${name}`)
const recalculate = () => solveBasin(nudged(basin.design))

console.log(`\n${name}, alone`)
const first: number[] = []
for (let i = 0; i < SOLVES_BEFORE; i++) {
  const began = performance.now()
  recalculate()
  if (i < 200) first.push(performance.now() - began)
}
console.log(`median of its first 200: ${first.toSorted((a, b) => a - b)[100]!.toFixed(2)} ms`)
const task = `${name}, full recalculation`
const budgetMs = BUDGETS_MS[basin.name]
const kept = await inBudget(
  (bench) => bench.add(task, () => void recalculate()),
  budgetMs === undefined ? {} : { [task]: budgetMs },
)
process.exitCode = kept ? 0 : 1
