import { expect, test, type Page } from '@playwright/test'
import { Keeper } from '../keeper.ts'

const pumps = (page: Page) => page.getByRole('list', { name: 'Circulation pumps' })
const cut = (page: Page, name: string) => page.locator(`[data-cut=${name}]`)

async function opensCurrents(keeper: Keeper): Promise<void> {
  await keeper.opens('Lantern')
  await keeper.page.getByRole('link', { name: 'Currents', exact: true }).click()
  await expect(cut(keeper.page, 'plan').getByRole('group')).toBeVisible()
}

async function runsCoarse(page: Page): Promise<void> {
  await page.getByLabel('How fine').selectOption('coarse')
  await expect(page.getByTestId('estimate')).toContainText(/about \d+ (s|min)/)
  await page.getByRole('button', { name: 'Simulate the field' }).click()
  await expect(page.getByTestId('verdict')).toBeVisible({ timeout: 90_000 })
}

test('a coarse field is simulated for real, kept with the design, and says when it is out of date', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await opensCurrents(keeper)
  await runsCoarse(page)
  await expect(page.locator('[data-zone=sand]')).toContainText('%')
  const dead = await page.getByTestId('dead').textContent()
  await page.getByLabel('Ways of the water').check()
  await expect(cut(page, 'plan').locator('polyline').first()).toBeVisible()
  await keeper.saved()
  await page.reload()
  await expect(page.getByTestId('dead')).toHaveText(dead!)
  await pumps(page).getByRole('button', { name: /West/ }).click()
  await keeper.field('Speed').fill('40')
  await expect(page.getByText('Before your last change.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Before your last change.')).toHaveCount(0)
})

test('a dye is poured, spreads and is mixed; the page answers meanwhile', async ({ page }) => {
  const keeper = new Keeper(page)
  await opensCurrents(keeper)
  await runsCoarse(page)
  await page.getByLabel('Pour it in').selectOption({ label: 'at West' })
  await page.getByRole('button', { name: 'Pour' }).click()
  await page.getByRole('slider', { name: /Plan at a height/ }).fill('0.2')
  await expect(page.getByText(/Plan at a height of 200\smm/)).toBeVisible()
  await expect(page.getByTestId('mixed')).toContainText(/90 % mixed after|Not mixed/, {
    timeout: 90_000,
  })
  await page.getByRole('slider', { name: /After/ }).fill('3')
  await expect(page.getByText(/After 1\.5\ss/)).toBeVisible()
  await page.getByRole('button', { name: 'Clear it away' }).click()
  await expect(page.getByTestId('mixed')).toHaveCount(0)
})

test('a field that takes too long is stopped, and can be simulated again', async ({ page }) => {
  const keeper = new Keeper(page)
  await opensCurrents(keeper)
  await page.getByLabel('How fine').selectOption('fine')
  await expect(page.getByTestId('estimate')).toContainText('cells')
  await page.getByRole('button', { name: 'Simulate the field' }).click()
  await expect(page.getByRole('progressbar', { name: 'The field is simulated' })).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByTestId('verdict')).toHaveCount(0)
  await runsCoarse(page)
})

test('a pump is dragged along the panels, aimed and stepped by keys, and the quick look follows', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await opensCurrents(keeper)
  const west = cut(page, 'plan').locator('[data-pump=west-pump]')
  await west.getByRole('button', { name: /West on the left end/ }).focus()
  const reach = page.getByTestId('reach')
  await expect(reach).toContainText('the far panel')
  await page.keyboard.press('ArrowUp')
  await expect(keeper.field('From the front')).toHaveValue('265')
  const box = (await west.getByRole('button', { name: /West on/ }).boundingBox())!
  const sheet = (await cut(page, 'plan').boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(sheet.x + sheet.width * 0.3, sheet.y + 40, { steps: 6 })
  await page.mouse.up()
  await expect(keeper.field('On the')).toHaveValue('back')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(keeper.field('On the')).toHaveValue('left')
  await keeper.field('Tilted up').fill('-60')
  await expect(reach).toContainText(/rock|sand/)
  await keeper.field('Speed').fill('5')
  await expect(page.getByText(/Possible: 25 %–100 %|Possible: 25–100 %/)).toBeVisible()
})

test('rock is laid, a start is placed, and both are undone', async ({ page }) => {
  const keeper = new Keeper(page)
  await opensCurrents(keeper)
  const rocks = page.getByRole('list', { name: 'Rocks' }).getByRole('button')
  await expect(rocks).toHaveCount(4)
  await page.getByLabel('Or a ready layout').selectOption('bommie-with-arch')
  await page.getByRole('button', { name: 'Lay it so' }).click()
  await expect(rocks.filter({ hasText: 'Arch, span' })).toBeVisible()
  await page.getByLabel('Or begin from a layout of it').selectOption('four')
  await expect(page.getByText(/Two high on the ends/)).toBeVisible()
  await page.getByRole('button', { name: 'Place them so' }).click()
  await expect(pumps(page).getByText(/Jet \d/)).toHaveCount(4)
  await keeper.saved()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(rocks.filter({ hasText: 'West reef' })).toBeVisible()
  await expect(pumps(page).getByRole('button', { name: /West/ })).toBeVisible()
})

test('places are searched for the pumps there are, and the best is taken', async ({ page }) => {
  const keeper = new Keeper(page)
  await opensCurrents(keeper)
  await pumps(page).getByRole('button', { name: /West/ }).click()
  await keeper.field('Turned to its left').fill('-80')
  await keeper.field('Height over the floor').fill('60')
  const list = page.getByRole('region', { name: 'Place them for me' })
  await list.getByRole('button', { name: 'Search' }).click()
  await expect(list.getByText('As you have them')).toBeVisible({ timeout: 120_000 })
  await list.getByRole('button', { name: 'Take it' }).first().click()
  await expect(keeper.field('Turned to its left')).not.toHaveValue('-80')
})
