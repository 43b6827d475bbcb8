import { FIGURES } from '@yew-basin/core/lab'
import { type BasinDesign, dutyCurves, solveBasin, workingOf } from '@yew-basin/core'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'
import { STARTER_DESIGN } from '../../server/src/demo/starter.ts'
import { nudged } from './nudged.ts'
import { inBudget } from './rounds.ts'

// What the page's own thread does between a keystroke and the next frame, in a process of its own:
// what its workers do is timed apart (`workers.ts`), as it runs apart.
console.log('\non the page’s thread')
const lantern = DEMO_BASINS.find(({ name }) => name === 'Lantern')!.design
const solved = solveBasin(lantern)
let opened = lantern

const kept = await inBudget(
  (bench) => {
    for (const { name, design } of DEMO_BASINS) {
      bench.add(`${name}, full recalculation`, () => void solveBasin(nudged(design)))
    }
    bench.add('starter, full recalculation', () => void solveBasin(nudged(STARTER_DESIGN)))
    // As it is when a basin is opened: nothing of the document was ever seen before.
    bench.add('Lantern, every part of it new', () => void solveBasin(opened), {
      beforeEach: () => {
        opened = JSON.parse(JSON.stringify(nudged(lantern))) as BasinDesign
      },
    })
    bench.add('Lantern, curves for the chart', () => void dutyCurves(nudged(lantern), 'main'))
    bench.add(`Lantern, all ${FIGURES.length} workings`, () => {
      for (const figure of FIGURES) workingOf(figure, { design: lantern, solved })
    })
  },
  { 'Lantern, full recalculation': 0.3, 'Two Sisters, full recalculation': 0.4 },
)
process.exitCode = kept ? 0 : 1
