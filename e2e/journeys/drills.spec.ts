import { expect, test, type Page } from '@playwright/test'
import { Keeper } from '../keeper.ts'

const goesToDrills = (page: Page) => new Keeper(page).view('Drills')
const row = (page: Page, id: string) => page.locator(`[data-drill="${id}"]`)
const allRun = (page: Page) =>
  expect(page.getByRole('button', { name: 'Simulate again' })).toBeVisible({ timeout: 60_000 })

test('a bad design floods, a fix is looked at, applied, and the drill turns fine', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  // The strip says the worst of the bad days, and leads to it.
  await expect(keeper.margin('drills')).toContainText('on the floor', { timeout: 60_000 })
  await keeper.margin('drills').click()
  await allRun(page)
  await expect(row(page, 'top-off-welded')).toHaveAttribute('data-outcome', 'wet')
  await row(page, 'top-off-welded').click()
  await expect(page.getByTestId('drill-said')).toContainText(/\d\sL reach the floor/)
  await expect(page.getByRole('cell', { name: 'runs over' }).first()).toBeVisible()
  await page.getByRole('button', { name: /Preview: A can of/ }).click()
  const preview = page.getByTestId('fix-preview')
  await expect(preview).toContainText('The floor stays dry', { timeout: 60_000 })
  await expect(row(page, 'top-off-welded')).toHaveAttribute('data-outcome', 'wet')
  await preview.getByRole('button', { name: 'Apply' }).click()
  await expect(row(page, 'top-off-welded')).toHaveAttribute('data-outcome', /watch|dry/, {
    timeout: 60_000,
  })
  await keeper.saved()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row(page, 'top-off-welded')).toHaveAttribute('data-outcome', 'wet', {
    timeout: 60_000,
  })
})

test('a drill is played, scrubbed and stepped; the log leads to its moments', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Two Sisters')
  await goesToDrills(page)
  await allRun(page)
  await row(page, 'power-cut').click()
  const time = page.getByTestId('drill-time')
  const section = page.getByTestId('drill-section')
  await expect(time).toHaveText(/^0\.0\s?s$/)
  const before = await section.getAttribute('aria-label')
  // The row's own drill may still be on its way; what was scrubbed before it came is of another.
  await expect(async () => {
    await page.getByRole('slider', { name: 'Moment' }).fill('40')
    await expect(time).not.toHaveText(/^0\.0\s?s$/, { timeout: 1000 })
  }).toPass()
  await expect(section).not.toHaveAttribute('aria-label', before!)
  const scrubbed = await time.innerText()
  await page.getByRole('button', { name: 'A step on' }).click()
  await expect(time).not.toHaveText(scrubbed)
  await page.getByRole('button', { name: 'To the beginning' }).click()
  await page.getByRole('button', { name: 'Play', exact: true }).click()
  await expect(time).not.toHaveText(/^0\.0\s?s$/)
  await page.getByRole('button', { name: 'Pause', exact: true }).click()
  // What a siphon does is in the log; its line goes to that moment.
  await page
    .getByRole('complementary', { name: 'Verdict' })
    .getByRole('button', { name: /draws air/ })
    .first()
    .click()
  await expect(time).not.toHaveText(/^0\.0\s?s$/)
  const cursor = page.getByTestId('drill-cursor')
  const place = async () => (await cursor.boundingBox())!.x
  const at = await place()
  await page.getByTestId('drill-chart').click({ position: { x: 120, y: 70 } })
  await expect.poll(place).not.toBe(at)
})

test('what it survives, by one failure and by two; a chain of the keeper’s own', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Thimble')
  await goesToDrills(page)
  await allRun(page)
  await page.getByRole('button', { name: 'Simulate the pairs' }).click()
  await expect(page.getByTestId('survives-two')).toContainText(/\d/, { timeout: 60_000 })
  await expect(page.getByText('Single points of failure')).toBeVisible()
  await page.getByRole('button', { name: 'Chain' }).click()
  await keeper.field('Name of drill 1').fill('Storm night')
  await keeper.field('Name of drill 1').blur()
  await expect(page.getByRole('list', { name: 'Drills' })).toContainText('Storm night', {
    timeout: 60_000,
  })
  await page.getByRole('button', { name: 'Step', exact: true }).click()
  await expect(page.getByLabel('Step 2', { exact: true })).toBeVisible()
  await keeper.saved()
  await page.reload()
  await expect(page.getByRole('list', { name: 'Drills' })).toContainText('Storm night', {
    timeout: 60_000,
  })
})

test('a basin without its way down says what it needs first', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.makes('Bare')
  await goesToDrills(page)
  await expect(page.getByRole('heading', { name: 'Nothing to drill yet' })).toBeVisible()
  await expect(keeper.page.getByRole('main').getByRole('link', { name: 'sump' })).toBeVisible()
})

test('the picture moves smoothly with the chart open', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'no-preference' })
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await goesToDrills(page)
  await allRun(page)
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Play', exact: true }).click()
  const frames = await page.evaluate(
    () =>
      new Promise<number[]>((done) => {
        const gaps: number[] = []
        let last = performance.now()
        const look = (now: number) => {
          gaps.push(now - last)
          last = now
          if (gaps.length < 150) requestAnimationFrame(look)
          else done(gaps.slice(10))
        }
        requestAnimationFrame(look)
      }),
  )
  const median = frames.sort((a, b) => a - b)[Math.floor(frames.length / 2)]!
  console.log(
    `a frame of a played drill every ${median.toFixed(1)} ms (median of ${frames.length}), ${(1000 / median).toFixed(0)} a second`,
  )
  // Generous: a shared machine without a graphics card. The figure is what counts.
  expect(median).toBeLessThan(60)
})

test('on a phone the drill is played and read as well', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await goesToDrills(page)
  await allRun(page)
  await expect(page.getByTestId('drill-said')).toBeVisible()
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(390)
})
