import { Bench } from 'tinybench'
import { QUIET_REFERENCE_MS, quietMs, referenceLoop } from './reference-loop.ts'

/** A shared machine has slow spells: all is timed in rounds beside the reference loop, and the median round counts. */
const ROUNDS = 7
const REFERENCE = 'reference loop'

interface Row {
  readonly name: string
  readonly medianMs: number
  readonly p99Ms: number
}

/** Milliseconds a task may take at the reference loop's quiet time, by its name. */
export type BudgetsMs = Readonly<Record<string, number>>

/** Times tasks, prints them, and says whether all kept their budgets. */
export async function inBudget(addTasks: (bench: Bench) => void, budgets: BudgetsMs) {
  const rounds: Row[][] = []
  for (let round = 0; round < ROUNDS; round++) {
    // Long enough for the engine to settle on a task again after the others: somebody types more than once.
    const bench = new Bench({ time: 400, iterations: 8, warmupTime: 600, warmupIterations: 4 })
    bench.add(REFERENCE, () => {
      if (!(referenceLoop() > 0)) throw new Error('the loop was left out')
    })
    addTasks(bench)
    await bench.run()
    rounds.push(rowsOf(bench))
  }
  const late = printed(rounds, budgets)
  for (const name of late) console.error(`${name} is over its budget`)
  return late.length === 0
}

function rowsOf(bench: Bench): Row[] {
  return bench.tasks.map((task) => {
    if (!('latency' in task.result)) throw new Error(`${task.name} did not run`)
    const { latency } = task.result
    return { name: task.name, medianMs: latency.p50, p99Ms: latency.p99 }
  })
}

const middle = (values: readonly number[]) => values.toSorted((a, b) => a - b)[values.length >> 1]!
const ms = (value: number) => `${value.toFixed(4)} ms`

/** Prints every task, and names those that are late. */
function printed(rounds: readonly Row[][], budgets: BudgetsMs): string[] {
  const referenceMs = rounds.map((round) => round.find(({ name }) => name === REFERENCE)!.medianMs)
  console.log(
    `median of ${ROUNDS} rounds; the reference loop takes ${ms(middle(referenceMs))} now and ${QUIET_REFERENCE_MS} ms when the machine is quiet:`,
  )
  return rounds[0]!.flatMap(({ name }, task) => {
    const own = rounds.map((round) => round[task]!)
    const medianMs = middle(own.map((row) => row.medianMs))
    const p99Ms = middle(own.map((row) => row.p99Ms))
    const atQuietMs = middle(own.map((row, i) => quietMs(row.medianMs, referenceMs[i]!)))
    const budgetMs = budgets[name]
    const budget = budgetMs === undefined ? '' : `   budget ${budgetMs} ms`
    console.log(
      `${name.padEnd(38)} ${ms(medianMs)}   p99 ${ms(p99Ms)}   at quiet ${ms(atQuietMs)}${budget}`,
    )
    return budgetMs !== undefined && atQuietMs > budgetMs ? [name] : []
  })
}
