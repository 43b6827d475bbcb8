import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { Keeper } from '../keeper.ts'

const row = (page: Keeper['page'], name: string) =>
  page.getByRole('listitem').filter({ has: page.getByRole('link', { name, exact: true }) })

async function chooses(keeper: Keeper, basin: string, action: string) {
  await keeper.page.getByRole('button', { name: `More for ${basin}`, exact: true }).click()
  await keeper.page.getByRole('menuitem', { name: action }).click()
}

test('a basin is made, renamed, duplicated, deleted and brought back', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.comes()
  await page.getByRole('button', { name: 'New basin' }).click()
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByText('Give it a name.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Name' }).fill('Cove')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByRole('heading', { name: 'Cove' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'What are you building?' })).toBeVisible()

  await keeper.comes()
  await chooses(keeper, 'Cove', 'Rename')
  await page.getByRole('textbox', { name: 'Name' }).fill('Inlet')
  await page.getByRole('button', { name: 'Rename' }).click()
  await expect(row(page, 'Inlet')).toBeVisible()
  await chooses(keeper, 'Inlet', 'Duplicate')
  await expect(row(page, 'Inlet copy')).toBeVisible()
  await chooses(keeper, 'Inlet', 'Delete')
  await expect(row(page, 'Inlet')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).last().click()
  await expect(row(page, 'Inlet')).toBeVisible()
})

test('an exported basin comes back in; a bad file says what is wrong and changes nothing', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.comes()
  const download = page.waitForEvent('download')
  await chooses(keeper, 'Lantern', 'Export')
  const text = readFileSync(await (await download).path(), 'utf8')
  const file = JSON.parse(text) as {
    name: string
    designs: { design: { tanks: { lengthM: unknown }[] } }[]
  }
  const rows = page.getByRole('list', { name: 'Basins' }).locator('> li')
  await expect(rows).toHaveCount(3)

  await page.getByRole('button', { name: 'Import' }).click()
  const choose = (name: string, content: string) =>
    page
      .getByLabel('File (.json)')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
  file.designs[0]!.design.tanks[0]!.lengthM = 'long'
  await choose('bad.json', JSON.stringify({ ...file, name: '' }))
  const alert = page.getByRole('alert')
  await expect(alert).toContainText('bad.json was not imported, and nothing was changed.')
  await expect(alert).toContainText(
    'designs[0].design.tanks[0].lengthM must be a number from 0.1 to 10; it is "long"',
  )
  await expect(alert).toContainText('name must be text of 1 to 80 characters')
  await choose('torn.json', text.slice(0, 200))
  await expect(alert).toContainText(/no Yew Basin file/)
  await choose('other.json', '{"a":1}')
  await expect(alert).toContainText('this is no exported basin')

  await choose('good.json', text.replace('"Lantern"', '"Lantern two"'))
  await expect(page.getByRole('heading', { name: 'Lantern two' })).toBeVisible()
  await keeper.comes()
  await expect(rows).toHaveCount(4)
})

test('one visitor never sees another’s', async ({ browser }) => {
  const [one, other] = [
    await (await browser.newContext()).newPage(),
    await (await browser.newContext()).newPage(),
  ]
  await new Keeper(one).opens('Lantern')
  const address = one.url()
  await new Keeper(other).comes()
  await other.goto(address)
  await expect(
    other.getByRole('heading', { name: 'This basin is not on your shelf' }),
  ).toBeVisible()
})

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/no/such/place')
  await expect(
    page.getByRole('heading', { name: 'There is nothing at this address' }),
  ).toBeVisible()
})
