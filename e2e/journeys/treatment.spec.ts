import { expect, test, type Page } from '@playwright/test'
import { Keeper } from '../keeper.ts'

const finding = (page: Page, code: string) => page.locator(`[data-finding=${code}]`)
const figure = (page: Page, name: string) => page.getByTestId(`figure-${name}`)
const view = (page: Page, name: string) => new Keeper(page).view(name)

test('a skimmer that stands too deep gets its stand, and the other school is a press away', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Skimmer/)
  await expect(finding(page, 'skimmer-depth')).toContainText('too deep')
  await finding(page, 'skimmer-depth')
    .getByRole('button', { name: /too deep/ })
    .click()
  await finding(page, 'skimmer-depth').getByRole('button', { name: 'Preview' }).first().click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(finding(page, 'skimmer-depth')).toHaveCount(0)
  await expect(keeper.field('Stand under it')).toHaveValue('30')
  await page.getByRole('radio', { name: /Oversize/ }).check()
  // On the border it is a remark beside its figure: nothing is coloured by it.
  await expect(keeper.margin('skimmer')).toContainText('138')
  await expect(keeper.margin('skimmer')).not.toContainText('watch')
  await figure(page, 'dwell').click()
  await expect(page.getByTestId('working')).toContainText('t = V_body/q')
  await keeper.saved()
  await page.reload()
  await expect(keeper.field('Stand under it')).toHaveValue('30')
})

test('a heater that is too small is doubled, and the room’s air says what evaporates', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Skimmer/)
  await expect(finding(page, 'heater-too-small')).toContainText('The usual reserve is two')
  await finding(page, 'heater-too-small').getByRole('button', { name: 'Preview' }).click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(finding(page, 'heater-holds')).toBeVisible()
  await expect(page.getByText('2 heaters, in all')).toBeVisible()
  const power = await keeper.reads('power')
  await page.getByLabel('Evaporation from the room’s air').check()
  await keeper.field('Its relative humidity').fill('20 %')
  await expect.poll(() => keeper.reads('power')).toBeGreaterThan(power)
  await keeper.field('Room at its coldest').fill('99')
  await expect(page.getByText(/Possible: −10/)).toBeVisible()
  await keeper.saved()
})

test('more food makes the load heavier, and a smaller skimmer says what it frees', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Skimmer/)
  await expect(finding(page, 'skimmer-fits')).toBeVisible()
  await keeper.field('a day').first().fill('20')
  await expect(finding(page, 'skimmer-too-small')).toBeVisible()
  await keeper.field('a day').first().fill('lots')
  await expect(page.getByText(/Type a number:/)).toBeVisible()
  const small = page.locator('[data-candidate=yarrow-30]')
  await expect(small).toContainText('frees')
  await small.getByRole('button', { name: /Take/ }).click()
  await expect(page.getByRole('button', { name: /Skimmer Yarrow 30/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /Skimmer Yarrow 60/ })).toBeVisible()
})

test('a branch is set for a target, by its own flow', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Sterilizer/)
  await expect(finding(page, 'dose-reached')).toBeVisible()
  const before = await keeper.reads('dose')
  await page.getByRole('radio', { name: /Cryptocaryon/ }).check()
  await finding(page, 'dose-short').getByRole('button', { name: 'Preview' }).first().click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect.poll(() => keeper.reads('dose')).toBeGreaterThan(3 * before)
  await figure(page, 'dose').click()
  await expect(page.getByTestId('working')).toContainText('D₀')
  await page.getByRole('button', { name: 'New lamp in' }).click()
  await expect(finding(page, 'lamp-old')).toHaveCount(0)
})

test('set for a target by its valve, the dose changes when another takeoff is opened', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Sterilizer/)
  await page.getByRole('radio', { name: /Amyloodinium/ }).check()
  await finding(page, 'dose-short').getByRole('button', { name: 'Preview' }).first().click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(finding(page, 'dose-reached')).toContainText('Amyloodinium')
  const set = await keeper.reads('dose')
  await keeper.station(/Return/)
  await keeper.line('Scrubber').click()
  await keeper.tab('Run')
  await page.getByLabel('Opening of piece 1').first().fill('100')
  await expect.poll(() => keeper.reads('dose')).toBeGreaterThan(set)
})

test('a skimmer on too high a stand is offered the stand that lets its cup come off', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await view(page, 'Room')
  await keeper.field('Clear height, from the floor').fill('700')
  await view(page, 'Water’s way')
  await keeper.station(/Skimmer/)
  await keeper.field('Stand under it').fill('30')
  await expect(finding(page, 'cup-stays-on')).toBeVisible()
  await finding(page, 'cup-stays-on').getByRole('button', { name: 'Preview' }).first().click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(finding(page, 'cup-stays-on')).toHaveCount(0)
  await expect(finding(page, 'skimmer-depth')).toHaveCount(0)
})

test('a device is moved in the room by keys and by dragging, and what it runs into is said', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await view(page, 'Room')
  const skimmer = page.locator('[data-device=skimmer]')
  const said = page.getByRole('list', { name: 'Devices in the room' })
  await expect(said).toContainText('120 mm for a hand')
  await skimmer.focus()
  await page.keyboard.press('Shift+ArrowLeft')
  await expect(said).toContainText('sticks out 31.0 mm')
  await page.keyboard.press('Control+z')
  await expect(said).not.toContainText('sticks out')
  const box = (await skimmer.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + 8)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + 8 + box.height, { steps: 4 })
  await page.mouse.up()
  await expect(skimmer).not.toHaveAttribute('aria-label', /120 mm from the front/)
  await expect(page.getByTestId('take-out')).toContainText('brace')
  await keeper.field('Door 1 to').fill('1320')
  await expect(page.getByTestId('take-out')).toContainText('Yes, through one door')
})

test('a skimmer of one’s own is kept among the parts and put into a sump', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await view(page, 'Parts')
  await page.getByRole('button', { name: 'Skimmers' }).click()
  await page.getByRole('button', { name: 'New skimmer' }).click()
  await keeper.field('Name of the part').fill('From the shed')
  await keeper.field('Water through it').fill('720')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByText('From the shed is among your parts.')).toBeVisible()
  await page
    .getByRole('link', { name: /Lantern|Back/ })
    .first()
    .click()
  await keeper.station(/Skimmer/)
  await page
    .getByLabel('From the library or your own parts')
    .selectOption({ label: 'From the shed, yours' })
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('button', { name: /Skimmer From the shed/ })).toBeVisible()
  // It stands where the first one stands.
  await expect(finding(page, 'devices-collide').first()).toBeVisible()
  await page.getByRole('button', { name: 'Take it out' }).click()
  await expect(finding(page, 'devices-collide')).toHaveCount(0)
})
