import { Bands, evaluateTees, linkHeads, makeNetwork, solveNetwork } from '@yew-basin/core/lab'
import { SAMPLE_PUMPS } from '../../server/src/demo/pumps.ts'
import { manifold } from './manifold.ts'
import { nextTurn } from './nudged.ts'
import { inBudget } from './rounds.ts'

console.log('\nthe network solver, alone')
/** So many manifolds, each pump a little slower than the last: none is asked the same twice running. */
const MANIFOLDS = 64
const biggest = SAMPLE_PUMPS.reduce((a, b) => (b.ratedPowerW > a.ratedPowerW ? b : a))
const problems = Array.from({ length: MANIFOLDS }, (_, i) => manifold(biggest, 0.9 - 0.0005 * i))
const networks = problems.map((problem) => makeNetwork(problem))
const start = solveNetwork(networks[0]!)
if (!start.ok) throw new Error(start.reason)
const { flowsM3PerS } = start.value
/** One that rests. */
const resting = networks[40]!
const links = resting.problem.links.map((_, link) => link)
solveNetwork(resting, flowsM3PerS)

const kept = await inBudget(
  (bench) => {
    bench.add('manifold of 12 and 2, made ready', () => {
      makeNetwork(problems[nextTurn(MANIFOLDS)]!)
    })
    bench.add('manifold of 12 and 2, from nothing', () => {
      solveNetwork(makeNetwork(problems[nextTurn(MANIFOLDS)]!))
    })
    bench.add('manifold of 12 and 2, cold', () => {
      solveNetwork(networks[nextTurn(MANIFOLDS)]!)
    })
    bench.add('manifold of 12 and 2, warm', () => {
      solveNetwork(networks[nextTurn(MANIFOLDS)]!, flowsM3PerS)
    })
    bench.add('manifold of 12 and 2, all its bands', () => {
      const bands = new Bands(resting)
      for (const link of links) bands.width({ flows: [{ link, by: 1 }] })
    })
    // Where a pass of the search spends its time; a warm solve takes three, a cold one five.
    bench.add('  of a pass: 27 links', () => {
      const { searches, flow, sides, matrix } = resting
      linkHeads(searches, flow, sides.link, matrix.slope)
    })
    bench.add('  of a pass: 13 tees', () => {
      evaluateTees(resting, 1)
    })
    bench.add('  of a pass: matrix', () => {
      resting.matrix.factor()
      resting.matrix.solve(resting.sides)
    })
  },
  {
    'manifold of 12 and 2, from nothing': 0.08,
    'manifold of 12 and 2, cold': 0.05,
    'manifold of 12 and 2, warm': 0.025,
    'manifold of 12 and 2, all its bands': 0.02,
  },
)
process.exitCode = kept ? 0 : 1
