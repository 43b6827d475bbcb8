import { expect, test } from '@playwright/test'
import { Counted } from '../counted.ts'
import { liesOf } from './judged.ts'
import { SYSTEMS } from './systems.ts'

/** Taps, choices and fields that a whole system may need through the screens. */
const MOST = 60

for (const { name, build } of SYSTEMS) {
  test(name, async ({ page }) => {
    const keeper = new Counted(page)
    await build(keeper)
    console.log(`  ${name}: ${keeper.count} interactions`)
    expect(keeper.count).toBeLessThanOrEqual(MOST)
    expect(await liesOf(page, name)).toEqual([])
  })
}
