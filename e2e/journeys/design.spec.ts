import { expect, test } from '@playwright/test'
import { Keeper } from '../keeper.ts'

test('changing the pipe’s size moves the flow, the curve and the section', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  const flow = await keeper.reads('flow')
  const chart = page.getByTestId('duty-chart')
  await expect(chart.locator('[role=img] svg')).toBeVisible()
  const drawn = await chart.locator('[role=img] svg').innerHTML()
  const bore = page
    .getByRole('link', { name: 'Line: Main line' })
    .locator('[data-part=bore]')
    .first()
  const width = Number(await bore.getAttribute('stroke-width'))

  await keeper.tab('Run')
  await page.getByLabel('Pipe or hose, size').selectOption('1')
  await expect.poll(() => keeper.reads('flow')).toBeGreaterThan(flow * 1.1)
  expect(Number(await bore.getAttribute('stroke-width'))).toBeGreaterThan(width)
  await keeper.tab('Duty')
  await expect(chart.locator('[role=img] svg')).toBeVisible()
  expect(await chart.locator('[role=img] svg').innerHTML()).not.toBe(drawn)
})

test('what a flow’s band comes from, and what one step of each choice does, opens by keyboard', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  const flow = page.getByRole('button', { name: /^Flow at the tank/ })
  await flow.focus()
  await page.keyboard.press('Enter')
  const matters = page.getByRole('region', { name: 'What matters most' })
  await expect(matters).toContainText('The pump’s curve')
  await expect(matters).toContainText('time a bucket at the nozzle')
  await expect(matters).toContainText('Lift 100 mm less')
  await page.keyboard.press('Enter')
  await expect(matters).toBeHidden()
})

test('what was made is there after a reload, and undo reaches back past it', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await keeper.field('Length').fill('1 m')
  await expect.poll(() => keeper.reads('turnover')).toBeGreaterThan(4)
  await keeper.saved()
  await page.reload()
  await expect(keeper.field('Length')).toHaveValue('1000')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(keeper.field('Length')).toHaveValue('1400')
  await keeper.saved()
})

test('undo and redo walk every change, by button and by key', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await keeper.field('Length').fill('1200')
  await keeper.field('Width, front to back').fill('800')
  await page.keyboard.press('Control+z')
  await expect(keeper.field('Width, front to back')).toHaveValue('900')
  await page.keyboard.press('Control+z')
  await expect(keeper.field('Length')).toHaveValue('1400')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(keeper.field('Length')).toHaveValue('1200')
})

test('a fix is previewed before it is applied, and is one step to undo', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  const flow = await keeper.reads('flow')
  // What is found of its joints comes a moment later, and stands first.
  await expect(page.locator('[data-finding=stub-too-short]')).toBeVisible()
  const look = async () => {
    await page.locator('[data-finding=flow-short]').getByRole('button').first().click()
    await page.getByRole('button', { name: /^Preview: Both: run the pump at 100%/ }).click()
  }
  await look()
  const previewed = await keeper.reads('flow')
  expect(previewed).toBeGreaterThan(flow)
  await keeper.tab('Run')
  await expect(page.getByLabel('Pipe or hose, size')).toBeDisabled()
  await keeper.tab('Duty')
  await page.getByRole('button', { name: 'Back' }).click()
  expect(await keeper.reads('flow')).toBe(flow)
  await expect(page.locator('[data-finding=stub-too-short]')).toBeVisible()
  await look()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect.poll(() => keeper.reads('flow')).toBe(previewed)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => keeper.reads('flow')).toBe(flow)
})

test('units switch everywhere at once, and fields take either', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await page.getByRole('radio', { name: /gallons/ }).click()
  await expect(keeper.margin('flow')).toContainText('gph')
  await expect(keeper.margin('head')).toContainText('ft')
  await expect(page.getByRole('figure')).toContainText(/55\.1/)
  await expect(page.getByLabel('Salinity')).toHaveValue('1.0264')
  await keeper.field('Length').fill('1500 mm')
  await keeper.field('Length').blur()
  await expect(keeper.field('Length')).toHaveValue('59.055')
  await page.getByLabel('Salinity').fill('33 ppt')
  await expect(page.getByText('33.0 ppt')).toBeVisible()
  await page.getByRole('radio', { name: /Litres/ }).click()
  await expect(keeper.field('Length')).toHaveValue('1500')
})

test('a figure opens its working with the rules of thumb beside it', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await page.getByRole('button', { name: /Flow at the tank/ }).click()
  const working = page.getByTestId('working')
  await expect(working).toContainText('n² H₁(Q/n) = z + h_f(Q) + Σ K V²/2g')
  await expect(working.getByRole('list', { name: 'Rules of thumb' })).toContainText(
    /too (high|low) here/,
  )
})

test('the run is edited as a list and as a typed line', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.makes('Typed')
  await keeper.tab('Run')
  const pieces = page.locator('[data-piece]')
  await expect(pieces).toHaveCount(12)
  const line = page.getByLabel(/The run as one line/)
  await expect(line).toHaveValue(/^up 250 mm, union, up 100 mm, elbow/)

  await line.fill('up 300 mm, sideways 3')
  await expect(page.getByText(/Piece 2: "sideways" starts no piece/)).toBeVisible()
  await expect(pieces).toHaveCount(12)
  await line.fill('up 1.2 m, elbow, left 25 cm, union, up 3 in, nozzle 20 mm')
  await expect(pieces).toHaveCount(6)
  await expect(keeper.field('Length of piece 1')).toHaveValue('1200')

  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Valve', exact: true }).click()
  await expect(pieces).toHaveCount(7)
  await expect(line).toHaveValue(/gate, nozzle 20 mm$/)
  const flow = await keeper.reads('flow')
  await keeper.field('Opening of piece 6').fill('20')
  await expect.poll(() => keeper.reads('flow')).toBeLessThan(flow)
  await page.getByRole('button', { name: 'Take out piece 6' }).click()
  await expect(pieces).toHaveCount(6)
})

test('pieces are dragged into another order', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Thimble')
  await keeper.tab('Run')
  const handles = page.locator('[data-piece] .handle')
  await handles.nth(1).scrollIntoViewIfNeeded()
  const [from, to] = [await handles.nth(1).boundingBox(), await handles.nth(0).boundingBox()]
  await page.mouse.move(from!.x + 5, from!.y + 8)
  await page.mouse.down()
  await page.mouse.move(from!.x + 5, from!.y - 10, { steps: 5 })
  await page.mouse.move(to!.x + 5, to!.y - 6, { steps: 10 })
  await page.mouse.up()
  await expect(page.getByLabel(/The run as one line/)).toHaveValue(/^bend, up 360 mm/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel(/The run as one line/)).toHaveValue(/^up 360 mm, bend/)
})

test('another pump is chosen from what each gives in this run', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Thimble')
  await expect(page.locator('[data-finding=flow-short]')).toBeVisible()
  await keeper.tab('Pump')
  await page.getByRole('button', { name: /^Teasel 7/ }).click()
  await expect(page.getByRole('button', { name: /^Teasel 7/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await expect.poll(() => keeper.reads('flow')).toBeGreaterThan(450)
  await keeper.saved()
})

test('a pump that no list has runs here by the numbers on its box, in six interactions', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Thimble')
  await keeper.station(/Return/)
  let interactions = 0
  const does = async (step: Promise<void>) => {
    await step
    interactions++
  }
  const before = await keeper.reads('flow')
  await does(keeper.tab('Pump'))
  await does(page.getByRole('button', { name: 'Not listed? Type its box' }).click())
  await expect(page.getByLabel('Most flow')).toBeFocused()
  await does(page.keyboard.type('800 gph'))
  await does(page.getByLabel('Most head').fill('10 ft'))
  await does(page.getByLabel('Power', { exact: true }).fill('40'))
  await does(page.keyboard.press('Enter'))
  await expect(page.getByRole('button', { name: /^My pump/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  expect(interactions).toBeLessThan(10)
  await expect.poll(() => keeper.reads('flow')).toBeGreaterThan(before)
  // The guess between two numbers has a wide band, and says what it is.
  await expect(page.getByText('two-number curve').first()).toBeVisible()
  await keeper.saved()
})

test('the shelf shows what was changed a moment before', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await keeper.field('Length').fill('1000')
  await page.getByRole('link', { name: 'Yew Basin' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: 'Lantern' })).toContainText(
    '375\u00a0L',
  )
})

test('nonsense in a field changes nothing and says what is possible', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  const flow = await keeper.reads('turnover')
  for (const nonsense of ['-5', '1e999', 'NaN', '<b>', '9'.repeat(50), '💧', '12 12 12']) {
    await keeper.field('Length').fill(nonsense)
    await expect(keeper.field('Length')).toHaveAttribute('aria-invalid', 'true')
    expect(await keeper.reads('turnover')).toBe(flow)
  }
  await expect(keeper.field('Length')).toHaveValue('12 12 12')
  await keeper.saved()
})
