import { fixesOfFinding, solveBasin, swaps } from '@yew-basin/core'
import { Bands, evaluateTees, linkHeads, makeNetwork, solveNetwork } from '@yew-basin/core/lab'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'
import { SAMPLE_PUMPS } from '../../server/src/demo/pumps.ts'
import { benchCurrents } from './currents.ts'
import { drilledInTime, sizedInTime } from './drills-and-size.ts'
import { manifold } from './manifold.ts'
import { nextTurn, nudged } from './nudged.ts'
import { inBudget } from './rounds.ts'

console.log('\nin workers')
const biggest = SAMPLE_PUMPS.reduce((a, b) => (b.ratedPowerW > a.ratedPowerW ? b : a))
const problems = Array.from({ length: 64 }, (_, i) => manifold(biggest, 0.9 - 0.0005 * i))
const networks = problems.map((problem) => makeNetwork(problem))
const start = solveNetwork(networks[0]!)
if (!start.ok) throw new Error(start.reason)
const { flowsM3PerS } = start.value
/** One that rests, and what its links are asked into. */
const resting = networks[40]!
const links = resting.problem.links.map((_, link) => link)
solveNetwork(resting, flowsM3PerS)
const lantern = DEMO_BASINS.find(({ name }) => name === 'Lantern')!.design

const currentsInTime = benchCurrents()
if (!currentsInTime) console.error('the currents are over their budget')
const inTime = [currentsInTime, sizedInTime(), drilledInTime()]
const kept = await inBudget(
  (bench) => {
    // Fixes are tried out when someone looks at a finding, by its drills as well.
    for (const { name, design } of DEMO_BASINS) {
      bench.add(`${name}, every fix of its worst finding tried out`, () => {
        const now = nudged(design)
        fixesOfFinding(now, solveBasin(now).findings[0]!)
      })
    }
    bench.add('Lantern, every fix of its emergency tried out', () => {
      const now = nudged(lantern)
      const { findings } = solveBasin(now)
      fixesOfFinding(
        now,
        findings.find(({ code }) => code === 'emergency-only-full')!,
      )
    })
    bench.add(`Lantern, ${SAMPLE_PUMPS.length} pumps swapped in`, () => {
      swaps(nudged(lantern), SAMPLE_PUMPS)
    })
    bench.add('manifold of 12 and 2, made ready', () => {
      makeNetwork(problems[nextTurn(64)]!)
    })
    bench.add('manifold of 12 and 2, from nothing', () => {
      solveNetwork(makeNetwork(problems[nextTurn(64)]!))
    })
    bench.add('manifold of 12 and 2, cold', () => {
      solveNetwork(networks[nextTurn(64)]!)
    })
    bench.add('manifold of 12 and 2, warm', () => {
      solveNetwork(networks[nextTurn(64)]!, flowsM3PerS)
    })
    bench.add('manifold of 12 and 2, all its bands', () => {
      const bands = new Bands(resting)
      for (const link of links) bands.width({ flows: [{ link, by: 1 }] })
    })
    // Where a pass of the search spends its time; a warm solve takes three, a cold one six.
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
    'Lantern, every fix of its worst finding tried out': 150,
    'manifold of 12 and 2, from nothing': 0.2,
    'manifold of 12 and 2, cold': 0.1,
    'manifold of 12 and 2, warm': 0.04,
    'manifold of 12 and 2, all its bands': 0.08,
  },
)
process.exitCode = kept && !inTime.includes(false) ? 0 : 1
