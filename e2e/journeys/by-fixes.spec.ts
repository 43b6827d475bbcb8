import { expect, test } from '@playwright/test'
import { Keeper } from '../keeper.ts'

const STATIONS = [/Tank and target/, /Overflow/, /Drains/, /Sump/, /Return/]
/** Fixes that a design may want at most. */
const MOST_FIXES = 12
/** So long a stop may stand before it counts as one that is to be followed, ms. */
const LATE_MS = 3000

/** Applies the first fix of every stop, stop by stop of the water's way. */
async function followsFixes(keeper: Keeper): Promise<void> {
  const { page } = keeper
  const stops = page.locator('[data-finding][data-severity=stop]')
  let taken = 0
  for (let again = true; again && taken < MOST_FIXES;) {
    again = false
    for (const station of STATIONS) {
      await keeper.station(station)
      await expect(page.getByRole('heading', { level: 2, name: station })).toBeVisible()
      while ((await stops.count()) > 0 && taken < MOST_FIXES) {
        await stops
          .first()
          .getByRole('button', { name: /^Preview: / })
          .first()
          .click()
        await page.getByRole('button', { name: 'Apply' }).click()
        await expect(page.getByRole('button', { name: 'Apply' })).toHaveCount(0)
        taken++
        again = true
      }
    }
    // What is found of its joints comes after the frame: a stop that came late is followed too.
    again ||= await hasStopsLate(keeper)
  }
}

/** Stops that are there once the worker has spoken. */
const hasStopsLate = (keeper: Keeper): Promise<boolean> =>
  hasNoStop(keeper, LATE_MS).then(
    () => false,
    () => true,
  )

/** No stop of the water's way is said to stop anything. */
async function hasNoStop(keeper: Keeper, timeout = 20_000): Promise<void> {
  const way = keeper.page.getByRole('navigation', { name: 'The water’s way' })
  await expect(way.getByRole('link', { name: /\bstop\b/i })).toHaveCount(0, { timeout })
}

for (const school of [
  'One vented standpipe',
  'Vented standpipe with emergency',
  'Siphon with emergency',
  'Siphon, trickle and emergency',
]) {
  test(`a bare basin drained by ${school.toLowerCase()} ends without a stop by fixes alone`, async ({
    page,
  }) => {
    const keeper = new Keeper(page)
    await keeper.makes(school)
    await keeper.station(/Overflow/)
    await page.getByRole('button', { name: 'Take: Box outside, through a notch' }).click()
    await keeper.station(/Drains/)
    await page.getByRole('button', { name: `Lay: ${school}`, exact: true }).click()
    await followsFixes(keeper)
    await hasNoStop(keeper)
    // The sump laid out after its drains takes them to its first chamber; now its drills can be run.
    await keeper.station(/Sump/)
    await page.getByRole('button', { name: 'Lay it out', exact: true }).click()
    await expect(page.locator('[data-finding=chamber-without-flow]')).toHaveCount(0)
    await expect(keeper.margin('drills')).toBeVisible({ timeout: 60_000 })
    await followsFixes(keeper)
    await hasNoStop(keeper)
  })
}

test('an all-in-one ends without a stop by fixes alone, and so it does with a box hung over its rim', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.makes('All in one')
  await keeper.station(/Overflow/)
  await page.getByRole('button', { name: 'Take: Chambers behind the wall' }).click()
  await keeper.station(/Sump/)
  await page.getByLabel('Inside width').fill('120 mm')
  await page.getByLabel('Inside height').fill('500 mm')
  await page.getByRole('button', { name: 'Lay it out', exact: true }).click()
  await followsFixes(keeper)
  await hasNoStop(keeper)
  await keeper.station(/Overflow/)
  await page
    .getByLabel('What catches the water')
    .selectOption({ label: 'Siphon box hung over the rim' })
  await keeper.station(/Drains/)
  await page.getByRole('button', { name: 'Lay: Siphon with emergency', exact: true }).click()
  await followsFixes(keeper)
  await hasNoStop(keeper)
})
