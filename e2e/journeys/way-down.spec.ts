import { expect, test } from '@playwright/test'
import { Keeper } from '../keeper.ts'

test('from an empty basin to a finished loop', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.makes('Whole loop')
  await expect(keeper.margin('freeboard')).toBeVisible()
  // The overflow sets the level from here on.
  await keeper.station(/Overflow/)
  await page.getByRole('button', { name: 'Take: Box inside the tank' }).click()
  await expect(page.getByTestId('figure-weirHead')).toBeVisible()
  await expect(page.getByText('not set yet')).toHaveCount(1)
  // The sump gets its sizes, and the outage its margin.
  await keeper.station(/Sump/)
  await page.getByRole('button', { name: 'Lay it out', exact: true }).click()
  await expect(keeper.margin('outage')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Chambers' }).getByRole('listitem')).toHaveCount(6)
  // Three pipes, and each may block.
  await keeper.station(/Drains/)
  await expect(page.locator('[data-finding=box-without-drain]')).toBeVisible()
  await page.getByRole('button', { name: 'Lay: Siphon, trickle and emergency' }).click()
  await expect(page.getByRole('list', { name: 'Pipes' }).getByRole('listitem')).toHaveCount(3)
  await expect(page.getByRole('rowheader', { name: /Siphon/ })).toContainText(
    'still carries it all',
  )
  await expect(page.locator('[data-finding=blocked-pipe-held]')).toBeVisible()
  // The siphon is kept at what matches; turned by hand it is the keeper's, and then it gulps.
  const untuned = page.locator('[data-finding=siphon-untuned]')
  await expect(untuned).toHaveCount(0)
  await page
    .getByRole('list', { name: 'Pipes' })
    .getByRole('button', { name: /Siphon \d/ })
    .click()
  const kept = page.getByRole('checkbox', { name: /Keep it matched/ })
  await expect(kept).toBeChecked()
  await page
    .getByLabel(/Opening of piece/)
    .first()
    .fill('100')
  await expect(kept).not.toBeChecked()
  await untuned.getByRole('button', { name: /^Preview: Set its valve/ }).click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(untuned).toHaveCount(0)
  await kept.check()
  await keeper.saved()
  await page.reload()
  await expect(page.getByRole('list', { name: 'Pipes' }).getByRole('listitem')).toHaveCount(3)
})

test('a check valve below a tee holds no tank: the section, the stop and Drills say so', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.makes('Below a tee')
  await keeper.station(/Overflow/)
  await page.getByRole('button', { name: 'Take: Box inside the tank' }).click()
  await keeper.station(/Sump/)
  await page.getByRole('button', { name: 'Lay it out', exact: true }).click()
  await keeper.station(/Drains/)
  await page.getByRole('button', { name: 'Lay: Siphon, trickle and emergency' }).click()
  await keeper.station(/Return/)
  await keeper.tab('Run')
  // A long way under water, and nothing but a check valve against running back.
  await page
    .getByLabel(/The run as one line/)
    .fill(
      'up 250 mm, union, check, up 100 mm, elbow, right 280 mm, elbow, up 900 mm, elbow, left 160 mm, elbow, down 360 mm',
    )
  await keeper.station(/Sump/)
  const words = page.getByRole('list', { name: 'The section in words' })
  await expect(words).toContainText('to the sump’s rim')
  const line = page.locator('svg text', { hasText: 'fill no higher' })
  await expect(line).toHaveCount(1)
  // A takeoff above the valve is a way round it.
  await keeper.station(/Return/)
  await keeper.tab('Run')
  await page.getByRole('button', { name: 'Tee off after piece 3' }).click()
  await page
    .getByRole('menuitem', { name: /Takeoff|takeoff/ })
    .first()
    .click()
  await keeper.station(/Sump/)
  await expect(words).toContainText('and spills')
  await expect(line).toHaveCount(0)
  await expect(page.locator('[data-finding=sump-too-small]')).toContainText('too small')
  await keeper.view('Drills')
  const cut = page.locator('[data-drill="power-cut"]')
  await expect(cut).toHaveAttribute('data-outcome', 'wet', { timeout: 60_000 })
  await cut.click()
  await expect(page.getByTestId('drill-said')).toContainText('reach the floor')
})

test('a longer rim lowers the tank, and the tank’s station no longer asks for a level', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Thimble')
  await keeper.station(/Overflow/)
  await expect(page.locator('[data-finding=teeth-drowned]')).toBeVisible()
  await keeper.field('Length of the rim').fill('200 mm')
  await expect(page.locator('[data-finding=teeth-drowned]')).toHaveCount(0)
  await keeper.station(/Tank and target/)
  await expect(keeper.field('Running water level')).toHaveCount(0)
})

test('a wall is moved with the arrow keys, and the cut list goes with it', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Sump/)
  const place = keeper.field('From the left, wall 1')
  await expect(place).toHaveValue('300')
  const wall = page.getByRole('slider', { name: 'Wall 1' })
  await wall.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(place).toHaveValue('310')
  await expect(page.getByRole('heading', { name: 'Walls to cut' })).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'DXF' }).click()
  expect((await download).suggestedFilename()).toBe('sump-walls.dxf')
})

test('nonsense in the sump’s fields is named and nothing is lost', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Sump/)
  await keeper.field('Top, wall 1').fill('9 m')
  await expect(page.getByText(/^Possible: /)).toBeVisible()
  await keeper.field('Length of the sump').fill('a lot')
  await expect(page.getByText(/is no unit|Type a number/)).toBeVisible()
  await keeper.field('Top, wall 1').fill('270')
  await expect(page.getByText(/^Possible: /)).toHaveCount(0)
})

test('a chamber is dragged past another in the section, and by its arrow keys back', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Sump/)
  const first = page.getByRole('list', { name: 'Chambers' }).getByRole('listitem')
  await expect(first.nth(2)).toContainText('Refugium')
  const grip = page.getByRole('slider', { name: /Chamber Refugium/ })
  const box = (await grip.boundingBox())!
  const other = (await page.getByRole('slider', { name: /Chamber Skimmer/ }).boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(other.x + other.width / 2, other.y + 4, { steps: 6 })
  await page.mouse.up()
  await expect(first.nth(1)).toContainText('Refugium')
  await grip.focus()
  await page.keyboard.press('ArrowRight')
  await expect(first.nth(2)).toContainText('Refugium')
  await keeper.saved()
})

test('a bulkhead kept among one’s own parts goes into a hole', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Parts' }).click()
  await page.getByRole('button', { name: 'Bulkheads' }).click()
  await page.getByRole('button', { name: 'New bulkhead' }).click()
  await keeper.field('Name of the part').fill('Wide flange 35')
  await keeper.field('Hole to drill').fill('52 mm')
  await keeper.field('Hole to drill').blur()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('list', { name: 'Parts' })).toContainText('Wide flange 35')
  await page.getByRole('link', { name: 'Back to the design' }).click()
  await keeper.station(/Overflow/)
  const bulkhead = page.getByLabel('Bulkhead').first()
  await bulkhead.selectOption('Wide flange 35')
  await expect(page.getByRole('list', { name: 'Holes' })).toContainText(/drill 52/)
  await keeper.saved()
})

test('siphons that join are given a setting for each', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Two Sisters')
  await keeper.station(/Drains/)
  await page
    .getByRole('button', { name: /Siphon, west.*gulps air/ })
    .first()
    .click()
  await expect(
    page.getByText(/matches the flow, with all siphons of this tank set alike/).first(),
  ).toBeVisible()
})
