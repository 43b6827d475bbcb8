import { fixesOfFinding, solveBasin, swaps } from '@yew-basin/core'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'
import { SAMPLE_PUMPS } from '../../server/src/demo/pumps.ts'
import { benchCurrents } from './currents.ts'
import { drilledInTime, sizedInTime } from './drills-and-size.ts'
import { nudged } from './nudged.ts'
import { inBudget } from './rounds.ts'

console.log('\nin workers')
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
  },
  { 'Lantern, every fix of its worst finding tried out': 150 },
)
process.exitCode = kept && !inTime.includes(false) ? 0 : 1
