import { expect, test } from '@playwright/test'
import { Counted } from '../counted.ts'
import { liesOf } from '../systems/judged.ts'
import { SYSTEMS } from '../systems/systems.ts'

/** One of the shapes that `npm run systems` builds all of. */
const SEED = 4
const { name, build } = SYSTEMS[SEED]!

test(`built through the screens: ${name}`, async ({ page }) => {
  const keeper = new Counted(page)
  await build(keeper)
  expect(keeper.count).toBeLessThanOrEqual(40)
  expect(await liesOf(page, name)).toEqual([])
})
