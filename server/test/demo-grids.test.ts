import { expect, test } from '@jest/globals'
import { domainOf, planField, simulatePlan, solveBasin } from '@yew-basin/core'
import { DEMO_BASINS } from '../src/demo/basins.ts'

// the long form, of every tank: `npm run -s grids`
test('two grids of the lagoon, whose pumps take turns, tell the same story as the view runs them', () => {
  const { design } = DEMO_BASINS.find(({ name }) => name === 'Lantern')!
  const plan = planField(domainOf(design, solveBasin(design), 0), 'standard')!
  const { apart } = simulatePlan(plan)
  expect(apart!.share).toBeGreaterThan(0.001)
  expect(apart!.share).toBeLessThan(0.05)
  expect(apart!.mean).toBeLessThan(0.1)
  expect(apart!.wander).toBeLessThan(0.05)
}, 300_000)
