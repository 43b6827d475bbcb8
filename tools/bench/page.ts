import { FIGURES, listAndCuts, nest } from '@yew-basin/core/lab'
import { type BasinDesign, building, dutyCurves, solveBasin, workingOf } from '@yew-basin/core'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'
import { STARTER_DESIGN } from '../../server/src/demo/starter.ts'
import { nudged } from './nudged.ts'
import { withManyJoints } from './many-joints.ts'
import { inBudget } from './rounds.ts'

// What the page's own thread does between a keystroke and the next frame, in a process of its own:
// what its workers do is timed apart (`workers.ts`), as it runs apart.
console.log('\non the page’s thread')
const lantern = DEMO_BASINS.find(({ name }) => name === 'Lantern')!.design
const solved = solveBasin(lantern)
let opened = lantern
/** Forty lengths of a third to two thirds of a stock: the plain rule leaves it open, and the search goes to its end. */
const FORTY_CUTS_M = Array.from({ length: 40 }, (_, i) => 1.6 + ((i * 617.5) % 1425) / 900)

const kept = await inBudget(
  (bench) => {
    for (const { name, design } of DEMO_BASINS) {
      bench.add(`${name}, recalculated among all of these`, () => void solveBasin(nudged(design)))
    }
    bench.add(
      'starter, recalculated among all of these',
      () => void solveBasin(nudged(STARTER_DESIGN)),
    )
    // As it is when a basin is opened: nothing of the document was ever seen before.
    bench.add('Lantern, every part of it new', () => void solveBasin(opened), {
      beforeEach: () => {
        opened = JSON.parse(JSON.stringify(nudged(lantern))) as BasinDesign
      },
    })
    const sisters = DEMO_BASINS.find(({ name }) => name === 'Two Sisters')!.design
    const sistersSolved = solveBasin(sisters)
    // In the worker, after the frame; a design that was changed, so that nothing of it was made before.
    bench.add('Two Sisters, list and cuts', () => void listAndCuts({ ...sisters }))
    bench.add('Two Sisters, the whole sheet', () => {
      building.sheetOf({ ...sisters }, sistersSolved)
    })
    bench.add('Two Sisters, the whole in an isometric', () => {
      building.isometricOf({ ...sisters }, { kind: 'whole' })
    })
    const many = withManyJoints(STARTER_DESIGN)
    const manySolved = solveBasin(many)
    const joints = building.sheetOf(many, manySolved).joints.length
    bench.add(`${joints} joints, the whole sheet`, () => {
      building.sheetOf({ ...many }, manySolved)
    })
    bench.add('nesting of 40 cuts', () => void nest(FORTY_CUTS_M, { stockM: 5, sawCutM: 0.003 }))
    bench.add('Lantern, curves for the chart', () => void dutyCurves(nudged(lantern), 'main'))
    bench.add(`Lantern, all ${FIGURES.length} workings`, () => {
      for (const figure of FIGURES) workingOf(figure, { design: lantern, solved })
    })
  },
  {
    'Two Sisters, list and cuts': 10,
    'Two Sisters, the whole sheet': 20,
    '402 joints, the whole sheet': 1000,
    'nesting of 40 cuts': 200,
  },
)
process.exitCode = kept ? 0 : 1
