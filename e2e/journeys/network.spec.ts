import { expect, test } from '@playwright/test'
import { Keeper } from '../keeper.ts'

test('a manifold is built from nothing with the keyboard', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.makes('Manifold')
  const alone = await keeper.reads('flow')
  await keeper.tabTo('Duty', 'tab')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  // A takeoff behind the union, a capped spare behind the next pipe.
  const opensMenu = async (label: string) => {
    await keeper.tabTo(label, 'button')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('menu')).toBeFocused()
  }
  await opensMenu('Tee off after piece 2')
  await page.keyboard.press('Home')
  await page.keyboard.press('Enter')
  await expect(keeper.line('Takeoff')).toHaveAttribute('aria-pressed', 'true')
  await expect.poll(() => keeper.reads('flow')).toBeLessThan(alone)
  await keeper.tabTo(/Main line \d/, 'button')
  await page.keyboard.press('Enter')
  await expect(keeper.line('Main line')).toHaveAttribute('aria-pressed', 'true')
  await opensMenu('Tee off after piece 4')
  await page.keyboard.press('End')
  await page.keyboard.press('Enter')
  await expect(keeper.line('Spare')).toContainText('capped')
  // The takeoff's valve is turned with the arrow keys, and every line moves.
  await keeper.tabTo(/Takeoff \d/, 'button')
  await page.keyboard.press('Enter')
  const before = await keeper.reads('flow')
  await keeper.tabTo('Turn the valve, piece 1', 'slider')
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight')
  await expect.poll(() => keeper.reads('flow')).toBeLessThan(before)
  await keeper.saved()
  await page.reload()
  await expect(page.getByRole('list', { name: 'Lines' }).getByRole('button')).toHaveCount(3)
})

test('which openings give these flows: previewed, applied, undone', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Two Sisters')
  await keeper.tab('Balance')
  const valves = page.locator('[data-school=valves]')
  await expect(valves.getByRole('cell', { name: 'met' })).toHaveCount(2)
  await expect(page.locator('[data-school=both]')).toBeVisible()
  const before = await keeper.reads('flow')
  await page.getByRole('button', { name: 'Preview: Speed and valves' }).click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect.poll(() => keeper.reads('flow')).toBeLessThan(before)
  const [west, east] = [page.getByTestId('end-West line'), page.getByTestId('end-East line')]
  await expect(west).toContainText(/1.4\d\d|1.5\d\d/)
  await expect(east).toContainText(/1.4\d\d|1.5\d\d/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => keeper.reads('flow')).toBe(before)
  await page.getByLabel('Opening of West line, gate').fill('40')
  await expect.poll(() => keeper.reads('flow')).toBeLessThan(before)
})

test('a curve is traced from the sample picture, kept, and chosen in a design', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Thimble')
  await page.getByRole('link', { name: 'Parts' }).click()
  await page.getByRole('button', { name: 'New pump' }).click()
  await page.getByLabel('Name of the part').fill('Traced pump')
  await page.getByLabel('Power', { exact: true }).fill('30')
  await page.getByRole('button', { name: 'I have its curve' }).click()
  await page.getByRole('button', { name: 'Trace a picture' }).click()
  await page.getByRole('button', { name: 'Use the sample picture' }).click()
  const picture = page.getByTestId('trace-picture')
  const width = (await picture.boundingBox())!.width
  /** Places of the picture, whose own width is 760. */
  const click = (x: number, y: number) =>
    picture.click({ position: { x: (x * width) / 760, y: (y * width) / 760 } })
  await click(90, 440)
  await click(598, 440)
  await click(90, 440)
  await click(90, 50)
  await keeper.field('Flow at place 2').fill('2500')
  await keeper.field('Head at place 2').fill('4')
  for (const [flow, head] of [
    [0, 3.6],
    [500, 3.45],
    [1000, 3.12],
    [1500, 2.6],
    [2000, 1.9],
    [2400, 1.15],
    [2800, 0.2],
  ] as const) {
    await click(90 + (610 * flow) / 3000, 440 - (390 * head) / 4)
  }
  await expect(page.getByTestId('fitted-curve')).toBeVisible()
  await page.getByRole('button', { name: 'Take this curve' }).click()
  await expect(page.getByLabel('Head of point 3')).toHaveValue(/^3\.1/)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Traced pump is among your parts.')).toBeVisible()
  await page.getByRole('link', { name: 'Back to the design' }).click()
  await keeper.tab('Pump')
  await page.getByRole('button', { name: /^Traced pump/ }).click()
  await expect.poll(() => keeper.reads('flow')).toBeGreaterThan(600)
})

test('a bad file names its line and column and brings nothing in; a good one comes back out', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Thimble')
  await page.getByRole('link', { name: 'Parts' }).click()
  await page.getByRole('button', { name: 'New pump' }).click()
  await page.getByRole('button', { name: 'I have its curve' }).click()
  const points = page.getByRole('list', { name: 'Points of the curve' }).getByRole('listitem')
  await expect(points).toHaveCount(0)
  const give = (text: string) =>
    page
      .getByLabel('Curve from a CSV file')
      .setInputFiles({ name: 'curve.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await give('flow (L/h),head (m)\n0,3\n800,wet\n1600,1\n2000,0\n')
  await expect(page.getByRole('alert')).toContainText('Line 3, column 2 (head): “wet”')
  await expect(points).toHaveCount(0)
  await give('3,0;0\n2,4;800\n1;1600\n')
  const asked = page.getByRole('region', { name: 'Which column is which' })
  await expect(asked.getByLabel('Column 2')).toHaveValue('flow L/h')
  await expect(asked.getByRole('img', { name: /^The curve as these columns/ })).toBeVisible()
  await asked.getByRole('button', { name: 'Take this curve' }).click()
  await expect(asked).toBeHidden()
  await give('flow (L/h),head (m)\n0,3\n800,2.4\n1600,1\n2000,0\n')
  await expect(points).toHaveCount(4)
  const download = page.waitForEvent('download')
  await page.locator('a[download]').click()
  const stream = await (await download).createReadStream()
  const chunks: Buffer[] = []
  for await (const chunk of stream) chunks.push(chunk as Buffer)
  expect(Buffer.concat(chunks).toString()).toBe(
    'flow (L/h),head (m)\r\n0,3\r\n800,2.4\r\n1600,1\r\n2000,0\r\n',
  )
})

test('a sized option is applied from its preview, and undone', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  const before = await keeper.reads('flow')
  await page.getByRole('link', { name: 'Choose for me' }).click()
  await page.getByLabel('Quiet').fill('3')
  await page.getByRole('button', { name: 'Search' }).click()
  await expect(page.getByTestId('looked')).toContainText(/designs looked at/)
  await page.getByRole('button', { name: 'Preview option 1' }).click()
  await expect(page.getByText('Nothing is changed yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect.poll(() => keeper.reads('flow')).toBeGreaterThan(before * 1.5)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => keeper.reads('flow')).toBe(before)
})

test('nonsense in what is wanted searches for nothing, and what was found stays', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await page.getByRole('link', { name: 'Choose for me' }).click()
  await page.getByRole('button', { name: 'Search' }).click()
  await expect(page.getByTestId('looked')).toContainText(/designs looked at/)
  const turnover = page.getByLabel('Turnover')
  for (const nonsense of ['abc', '900']) {
    await turnover.fill(nonsense)
    await turnover.press('Enter')
    await expect(page.getByText(/0\.1–60/)).toBeVisible()
    await expect(page.getByTestId('looked')).toBeVisible()
    await page.getByRole('button', { name: 'Search' }).click()
    await expect(turnover).toBeFocused()
    await expect(page.getByTestId('looked')).toBeVisible()
  }
  await turnover.fill('5')
  await turnover.press('Enter')
  await expect(page.getByText('2 741 L/h')).toBeVisible()
  await expect(page.getByTestId('looked')).toContainText(/designs looked at/)
})

test('a line that ends short of its bulkhead is stretched to it', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.makes('Short')
  await keeper.tab('Run')
  await page.getByLabel('must reach a bulkhead or clip at a place').check()
  const left = keeper.field('From the left')
  const at = Number(await left.inputValue())
  await left.fill(String(at - 85))
  const finding = page.locator('[data-finding=misses-its-place]')
  await expect(finding).toContainText('It ends 85.0 mm from its bulkhead')
  await page.getByRole('button', { name: /It ends 85/ }).click()
  await page.getByRole('button', { name: 'Preview: Stretch it to meet' }).click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(finding).toBeHidden()
})

test('another tank joins the sump and gets a line of its own', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.makes('Pair')
  await keeper.station(/Tank/)
  await page.getByRole('button', { name: 'Another tank' }).click()
  await page.getByLabel('Name of the tank').fill('East')
  await page.keyboard.press('Tab')
  await keeper.station(/Return/)
  await expect(page.locator('[data-finding=tank-unfed]')).toContainText('No line ends in East')
  await keeper.tab('Run')
  await page.getByRole('button', { name: 'Tee off after piece 3' }).click()
  await page.getByRole('menuitem', { name: 'A line to East' }).click()
  await expect(page.locator('[data-finding=tank-unfed]')).toBeHidden()
  await page.getByRole('button', { name: 'Plan' }).click()
  await expect(page.locator('[data-part=plan-tank]')).toHaveCount(2)
  await keeper.saved()
})

test('pumps are compared over the plumbing, with the spare and the tariff', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Two Sisters')
  await page.getByRole('link', { name: 'Pumps', exact: true }).click()
  const rows = page.getByRole('table').getByRole('row')
  await page.getByLabel('Hazel 40').check()
  await expect(rows).toHaveCount(3)
  await expect(page.getByTestId('spare-gives')).toContainText(/Swapped in now it brings/)
  await expect(page.getByTestId('rated-real')).toContainText('L/h')
  await keeper.field('Price of a kWh').fill('0.64')
  const cost = page.getByRole('row', { name: /Rowan 50/ })
  await expect(cost).toContainText(/2\d\d €/)
  await page.getByRole('button', { name: 'Use Hazel 40' }).click()
  await expect(page.getByRole('row', { name: /Hazel 40/ })).toContainText('in use')
  await keeper.saved()
})
