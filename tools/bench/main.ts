import {
  allDrills,
  dutyCurves,
  FIGURES,
  makeNetwork,
  runDrill,
  steadyState,
  singleFailures,
  size,
  fixesOfFinding,
  solveBasin,
  solveNetwork,
  swaps,
  workingOf,
  type BasinDesign,
} from '@yew-basin/core'
import { Bench } from 'tinybench'
import { DEMO_BASINS, STARTER_DESIGN } from '../../server/src/demo/basins.ts'
import { SAMPLE_PUMPS } from '../../server/src/demo/pumps.ts'
import { benchCurrents } from './currents.ts'
import { manifold } from './manifold.ts'
import { QUIET_REFERENCE_MS, quietMs, referenceLoop } from './reference-loop.ts'

/** All single-failure drills of Two Sisters, in one thread. */
const DRILLS_MS = 1500
/** Milliseconds each task may take at the reference loop's quiet time; a slower one fails the run. */
const BUDGET_MS: Readonly<Record<string, number>> = {
  'Lantern, full recalculation': 0.3,
  'Two Sisters, full recalculation': 0.4,
  'manifold of 12 and 2, cold': 0.25,
  'manifold of 12 and 2, warm': 0.06,
}

const lantern = DEMO_BASINS[0]!.design
let turn = 0
/** As after a keystroke: one figure is new, all else is the document as it stood. */
function nudged(design: BasinDesign): BasinDesign {
  turn = (turn + 1) % 1000
  const { returnSide } = design
  const pumps = returnSide.pumps.map((pump) => ({ ...pump, speed: pump.speed - turn * 1e-5 }))
  return { ...design, returnSide: { ...returnSide, pumps } }
}

let opened = lantern
const solved = solveBasin(lantern)
const biggest = SAMPLE_PUMPS.reduce((a, b) => (b.ratedPowerW > a.ratedPowerW ? b : a))
const networks = Array.from({ length: 64 }, (_, i) =>
  makeNetwork(manifold(biggest, 0.9 - 0.0005 * i)),
)
const start = solveNetwork(networks[0]!)
if (!start.ok) throw new Error(start.reason)
const { flowsM3PerS } = start.value

/** A shared machine has slow spells: all is timed in rounds beside the reference loop, and the median round counts. */
const ROUNDS = 7
const REFERENCE = 'reference loop'

function tasks(): Bench {
  const bench = new Bench({ time: 300, warmupTime: 200 })
  bench.add(REFERENCE, () => {
    if (!(referenceLoop() > 0)) throw new Error('the loop was left out')
  })
  for (const { name, design } of DEMO_BASINS) {
    bench.add(`${name}, full recalculation`, () => {
      solveBasin(nudged(design))
    })
    // Fixes are tried out when someone looks at them: what that costs when all of them are.
    bench.add(`${name}, every fix tried out`, () => {
      const now = nudged(design)
      for (const finding of solveBasin(now).findings) fixesOfFinding(now, finding)
    })
  }
  // As it is when a basin is opened: nothing of the document was ever seen before.
  bench.add('Lantern, every part of it new', () => void solveBasin(opened), {
    beforeEach: () => {
      opened = JSON.parse(JSON.stringify(nudged(lantern))) as BasinDesign
    },
  })
  bench.add('starter, full recalculation', () => {
    solveBasin(nudged(STARTER_DESIGN))
  })
  bench.add('Lantern, curves for the chart', () => {
    dutyCurves(nudged(lantern), 'main')
  })
  bench.add(`Lantern, ${SAMPLE_PUMPS.length} pumps swapped in`, () => {
    swaps(nudged(lantern), SAMPLE_PUMPS)
  })
  bench.add(`Lantern, all ${FIGURES.length} workings`, () => {
    for (const figure of FIGURES) workingOf(figure, { design: lantern, solved })
  })

  bench.add('manifold of 12 and 2, made ready', () => {
    makeNetwork(manifold(biggest, 0.9))
  })
  bench.add('manifold of 12 and 2, cold', () => {
    solveNetwork(networks[(turn = (turn + 1) % 64)]!)
  })
  bench.add('manifold of 12 and 2, warm', () => {
    solveNetwork(networks[(turn = (turn + 1) % 64)]!, flowsM3PerS)
  })
  return bench
}

const currentsInTime = benchCurrents()
if (!currentsInTime) console.error('the currents are over their budget')
const wantedByTank = Object.fromEntries(
  solveBasin(lantern).tanks.map((tank) => [tank.tankId, tank.wantedFlowM3PerS]),
)
const values = { quiet: 2, power: 2, price: 1, reserve: 1, fewSizes: 1 }
let ids = 0
const wish = { design: lantern, pumpIndex: 0, wantedByTank, shelf: SAMPLE_PUMPS, values }
const begun = performance.now()
const { looked, reaching } = size(wish, () => `bench-${++ids}`)
const sizedMs = performance.now() - begun
const per20000Ms = (sizedMs / looked) * 20_000
console.log(
  `size it: ${looked} candidates of Lantern in ${sizedMs.toFixed(0)} ms, ${reaching} reach it; 20 000 take ${per20000Ms.toFixed(0)} ms   budget 2000 ms`,
)
const sisters = steadyState(DEMO_BASINS.find(({ name }) => name === 'Two Sisters')!.design)
const singles = singleFailures(allDrills(sisters))
/** All single failures of Two Sisters, one after the other in this thread; the quietest of a few rounds. */
function drilled(): { ms: number; simulatedS: number } {
  const started = performance.now()
  const simulatedS = singles.reduce((sum, drill) => sum + runDrill(sisters, drill).endS, 0)
  return { ms: performance.now() - started, simulatedS }
}
const drillRounds = Array.from({ length: 3 }, drilled)
const drillMs = Math.min(...drillRounds.map(({ ms }) => ms))
const { simulatedS } = drillRounds[0]!
console.log(
  `drills: ${singles.length} single failures of Two Sisters in ${drillMs.toFixed(0)} ms, ${Math.round(simulatedS / (drillMs / 1000)).toLocaleString('en')} s of theirs in one of ours   budget ${DRILLS_MS} ms`,
)

interface Row {
  readonly name: string
  readonly medianMs: number
  readonly p99Ms: number
}

function rowsOf(bench: Bench): Row[] {
  return bench.tasks.map((task) => {
    if (!('latency' in task.result)) throw new Error(`${task.name} did not run`)
    const { latency } = task.result
    return { name: task.name, medianMs: latency.p50, p99Ms: latency.p99 }
  })
}

const rounds: Row[][] = []
for (let round = 0; round < ROUNDS; round++) {
  const bench = tasks()
  await bench.run()
  rounds.push(rowsOf(bench))
}
const referenceMs = rounds.map((round) => round.find(({ name }) => name === REFERENCE)!.medianMs)
const middle = (values: readonly number[]) => values.toSorted((a, b) => a - b)[values.length >> 1]!
const rows = rounds[0]!.map(({ name }, task) => {
  const own = rounds.map((round) => round[task]!)
  return {
    name,
    medianMs: middle(own.map(({ medianMs }) => medianMs)),
    p99Ms: middle(own.map(({ p99Ms }) => p99Ms)),
    atQuietMs: middle(own.map(({ medianMs }, i) => quietMs(medianMs, referenceMs[i]!))),
    budgetMs: BUDGET_MS[name],
  }
})
const ms = (value: number) => `${value.toFixed(4)} ms`
console.log(
  `median of ${ROUNDS} rounds; the reference loop takes ${ms(middle(referenceMs))} now and ${QUIET_REFERENCE_MS} ms when the machine is quiet:`,
)
for (const { name, medianMs, p99Ms, atQuietMs, budgetMs } of rows) {
  const budget = budgetMs === undefined ? '' : `   budget ${budgetMs} ms`
  console.log(
    `${name.padEnd(38)} ${ms(medianMs)}   p99 ${ms(p99Ms)}   at quiet ${ms(atQuietMs)}${budget}`,
  )
}
if (per20000Ms > 2000) console.error('size it is over its budget')
const slow = rows.filter((row) => row.budgetMs !== undefined && row.atQuietMs > row.budgetMs)
for (const { name } of slow) console.error(`${name} is over its budget`)
if (drillMs > DRILLS_MS) console.error('the drills are over their budget')
const late = slow.length > 0 || per20000Ms > 2000 || drillMs > DRILLS_MS || !currentsInTime
process.exitCode = late ? 1 : 0
