import { expect, test, type Page } from '@playwright/test'
import { Keeper } from '../keeper.ts'

test.describe.configure({ mode: 'parallel' })

const opensPipe = (page: Page, name: RegExp) =>
  page.getByRole('list', { name: 'Pipes' }).getByRole('button', { name }).first().click()

test('a drain joins another by one choice on itself, and what that costs is said', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Drains/)
  await opensPipe(page, /Emergency/)
  await page.getByLabel('It goes').selectOption({ label: 'joins Siphon' })
  await expect(page.locator('[data-finding=joined-drains]').first()).toBeVisible()
  await opensPipe(page, /^.*Siphon/)
  await expect(page.getByText('Emergency joins here.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-finding=joined-drains]')).toHaveCount(0)
  await keeper.saved()
})

test('an overflow and its drains are copied to a second tank by one press', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await page.getByRole('button', { name: 'Another tank' }).click()
  await keeper.station(/Overflow/)
  await page.getByRole('button', { name: /^Copy that of Lantern/ }).click()
  await expect(page.getByTestId('figure-weirHead')).toBeVisible()
  await keeper.station(/Drains/)
  await expect(page.getByRole('list', { name: 'Pipes' }).getByRole('listitem')).toHaveCount(3)
  await expect(page.locator('[data-finding=drain-outside-box]')).toHaveCount(0)
  await keeper.saved()
})

test('a chamber is made longer, and deeper, in one field each', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Sump/)
  const chamber = page
    .getByRole('list', { name: 'Chambers' })
    .getByRole('button', { name: /^.*Skimmer/ })
    .first()
  await chamber.click()
  await keeper.field('Its length').fill('260')
  await expect(chamber).toContainText(/260.mm long/)
  const before = await keeper.field('Its depth of water').inputValue()
  await keeper.field('Its depth of water').fill(String(Number(before) + 10))
  await page.keyboard.press('Tab')
  await expect
    .poll(async () => Number(await keeper.field('Its depth of water').inputValue()))
    .toBeGreaterThan(Number(before) + 6)
  await keeper.saved()
})

test('a sterilizer is teed off the return by one press, with a flow in its window', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.makes('Teed')
  await keeper.station(/Sterilizer/)
  const parts = page.getByLabel('From the library or your own parts')
  const first = parts.locator('optgroup[label=Sterilizer] option').first()
  await parts.selectOption(await first.getAttribute('value'))
  await page.getByRole('button', { name: 'Add it' }).click()
  await page.getByRole('button', { name: 'Tee it off the return for me' }).click()
  await expect(page.getByRole('button', { name: 'Tee it off the return for me' })).toHaveCount(0)
  await expect(page.locator('[data-finding=lamp-without-flow]')).toHaveCount(0)
  await keeper.station(/Return/)
  await keeper.tab('Balance')
  await expect(page.getByRole('list', { name: 'Valves' })).toContainText(/ball/)
  await keeper.saved()
})
