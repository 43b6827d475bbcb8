import { expect, test, type BrowserContext } from '@playwright/test'
import { Keeper } from '../keeper.ts'

/** Two tabs of one visitor on the same design; the second saves first. */
async function twoTabs(context: BrowserContext) {
  const [first, second] = [new Keeper(await context.newPage()), new Keeper(await context.newPage())]
  await first.opens('Lantern', 'tank')
  await second.opens('Lantern', 'tank')
  await second.field('Length').fill('1100')
  await second.saved()
  await first.field('Length').fill('1300')
  await expect(first.page.getByRole('heading', { name: 'Saved elsewhere first' })).toBeVisible()
  await expect(first.page.getByText('tanks, Lantern, length')).toBeVisible()
  return { first, second }
}

test('the first is asked, and can keep its own', async ({ context }) => {
  const { first, second } = await twoTabs(context)
  await first.page.getByRole('button', { name: 'Keep mine' }).click()
  await first.saved()
  await second.page.reload()
  await expect(second.field('Length')).toHaveValue('1300')
})

test('the first can take the other’s, with its own an undo away', async ({ context }) => {
  const { first } = await twoTabs(context)
  await first.page.getByRole('button', { name: 'Take the other' }).click()
  await expect(first.field('Length')).toHaveValue('1100')
  await first.page.getByRole('button', { name: 'Undo' }).click()
  await expect(first.field('Length')).toHaveValue('1300')
  await first.saved()
})

test('the first can keep both', async ({ context }) => {
  const { first, second } = await twoTabs(context)
  await first.page.getByRole('button', { name: /Keep both/ }).click()
  await expect(first.page.getByRole('heading', { name: 'Lantern (mine)' })).toBeVisible()
  await expect(first.field('Length')).toHaveValue('1300')
  await second.page.reload()
  await expect(second.field('Length')).toHaveValue('1100')
})

test('a reload in the middle of it asks again and loses nothing', async ({ context }) => {
  const { first } = await twoTabs(context)
  await first.page.reload()
  await expect(first.page.getByRole('heading', { name: 'Saved elsewhere first' })).toBeVisible()
  await first.page.getByRole('button', { name: 'Keep mine' }).click()
  await first.saved()
  await expect(first.field('Length')).toHaveValue('1300')
})

test('a lost connection keeps the work here and sends it later', async ({ page, context }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await context.setOffline(true)
  await keeper.field('Length').fill('1250')
  await expect(page.getByTestId('save-state')).toHaveText('Offline, kept here')
  await context.setOffline(false)
  await keeper.saved()
  await page.reload()
  await expect(keeper.field('Length')).toHaveValue('1250')
})

test('work that never reached the server is back after a reload', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await page.route('**/api/designs/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  await keeper.field('Length').fill('1350')
  await expect(page.getByTestId('save-state')).toHaveText('Offline, kept here')
  await page.unroute('**/api/designs/*')
  await page.reload()
  await expect(keeper.field('Length')).toHaveValue('1350')
  await keeper.saved()
})

test('a save that is refused says which field and why, and offers the work as a file', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await page.route('**/api/designs/*', (route) =>
    route.request().method() === 'PUT'
      ? route.fulfill({
          status: 422,
          contentType: 'application/problem+json',
          body: JSON.stringify({
            code: 'invalid',
            detail: 'no',
            faults: [{ path: 'design.tanks[0].lengthM', message: 'must be a number' }],
          }),
        })
      : route.continue(),
  )
  await keeper.field('Length').fill('1350')
  await expect(page.getByTestId('save-state')).toHaveText(
    'Not saved: design.tanks[0].lengthM must be a number. It is kept in this browser.',
  )
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download it' }).click()
  expect((await download).suggestedFilename()).toBe('Lantern.yew-basin.json')
})

test('a page left in the moment of an edit asks nobody when it is back', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  const address = page.url()
  for (const [i, waitMs] of [0, 150, 350, 500, 520, 600].entries()) {
    const length = `${1300 + 10 * i}`
    await keeper.field('Length').fill(length)
    await page.evaluate((ms) => new Promise((done) => setTimeout(done, ms)), waitMs)
    await page.goto('/parts')
    await page.goto(address)
    await expect(keeper.field('Length')).toHaveValue(length)
    await keeper.saved()
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
})
