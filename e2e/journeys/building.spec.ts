import { expect, type Page, test } from '@playwright/test'
import dxfParser from 'dxf-parser'
import { readFileSync } from 'node:fs'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { Keeper } from '../keeper.ts'

/** The package’s types name its module where it exports a class. */
const Parser = dxfParser as unknown as new () => {
  parseSync(text: string): { readonly entities: readonly { readonly type: string }[] }
}
const lineOf = (page: Page, name: RegExp) => page.getByRole('listitem').filter({ hasText: name })

/** A file that a press of a button saves. */
async function saved(page: Page, press: () => Promise<void>): Promise<Buffer> {
  const coming = page.waitForEvent('download')
  await press()
  return readFileSync(await (await coming).path())
}
/** The words of each page of a PDF. */
async function pagesOf(pdf: Buffer): Promise<string[]> {
  const read = await getDocument({ data: new Uint8Array(pdf) }).promise
  const pages: string[] = []
  for (let i = 1; i <= read.numPages; i++) {
    const { items } = await (await read.getPage(i)).getTextContent()
    const words = items.map((item) => ('str' in item ? item.str : '')).join(' ')
    pages.push(words.replaceAll(/\s+/g, ' ').trim())
  }
  return pages
}

test('from an empty basin to a printed sheet: a pipe changes and the list follows', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.makes('From nothing')
  await keeper.view('To buy')
  await expect(page.getByText(/Every joint of this sheet has its two halves/)).toBeVisible()
  const pipe = lineOf(page, /^\s*pipe\s*\d+ mm pn 16/)
  await expect(pipe).toContainText(/\d × 2.00\s*m/)
  const before = await pipe.locator('strong').last().textContent()
  await keeper.view('Water’s way')
  await keeper.station(/Return/)
  await keeper.tab('Run')
  await page.getByLabel('Length of piece 1', { exact: true }).fill('9 m')
  await page.keyboard.press('Enter')
  await keeper.view('To buy')
  await expect(pipe.locator('strong').last()).not.toHaveText(before!)
  const list = await pagesOf(
    await saved(page, () => page.getByRole('button', { name: 'PDF to print' }).click()),
  )
  expect(list[0]).toContain('From nothing: to buy')
  expect(list.join(' ')).toContain('elbow 90°')
  // All of it: each part begins a page, and every page says which it is.
  await page.getByRole('button', { name: 'Print', exact: true }).click()
  // A bought sump has no panels, and nothing of it is drilled.
  await expect(page.locator('fieldset').getByRole('checkbox')).toHaveCount(7)
  await expect(page.getByText('The sheet is being worked out')).toHaveCount(0)
  const pages = await pagesOf(
    await saved(page, () => page.getByRole('button', { name: 'Save as PDF' }).click()),
  )
  const parts = ['From nothing', 'Isometrics', 'To buy', 'Cuts', 'Order', 'Comes apart']
  for (const part of parts) expect(pages.some((words) => words.startsWith(part))).toBe(true)
  pages.forEach((words, i) => {
    expect(words).toContain(`From nothing, build sheet: ${i + 1} of ${pages.length}`)
  })
  const all = pages.join(' ')
  expect(all).toMatch(/\d+ figures that this rests on are assumed, not given: .*Return \d+/)
  // Piece A1 stands in its isometric, in the cuts and in the order.
  const a1 = pages.filter((words) => /\bA1\b/.test(words)).map((words) => words.split(' ')[0])
  expect(a1.length).toBeGreaterThanOrEqual(3)
  const csv = (
    await saved(page, () => page.getByRole('button', { name: 'CSV', exact: true }).click())
  ).toString()
  expect(csv.split('\r\n')[0]).toContain('have,to buy,price')
})

test('what is had is typed in one line, and the list shrinks; a CSV that was filled in is read back', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Two Sisters')
  await keeper.view('To buy')
  const elbows = lineOf(page, /^\s*elbow 90°\s*32 mm/)
  const before = Number(await elbows.locator('strong').last().textContent())
  await page.getByLabel('What you have already').fill('4 elbow 32, 2 sprockets')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByRole('alert')).toContainText('sprockets')
  await expect(elbows.locator('strong').last()).toHaveText(String(before - 4))
  const csv = (
    await saved(page, () => page.getByRole('button', { name: 'CSV', exact: true }).click())
  ).toString()
  const filled = csv.replace(/(gate valve,32 mm pn 16,piece,\d+,\d+),,/, '$1,2,')
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(filled) })
  await expect(
    lineOf(page, /^\s*gate valve\s*32 mm/)
      .locator('strong')
      .last(),
  ).toHaveText('3')
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2') })
  await expect(page.getByRole('alert').last()).toContainText('no columns')
})

test.describe('in a shop without a network', () => {
  test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } })
  test('a list that was opened once is opened again, ticked, and comes home', async ({
    page,
    context,
  }) => {
    const keeper = new Keeper(page)
    await keeper.opens('Lantern')
    await keeper.view('To buy')
    await expect(page.getByText(/lines ticked/)).toBeVisible()
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await page.reload()
    await expect(page.getByText(/0 of \d+ lines ticked/)).toBeVisible()
    await context.setOffline(true)
    await page.reload()
    await expect(page.getByText(/0 of \d+ lines ticked/)).toBeVisible()
    await page.getByRole('checkbox').first().check()
    await expect(page.getByText(/No network: 1 change kept on this device/)).toBeVisible()
    await page.reload()
    await expect(page.getByText(/1 of \d+ lines ticked/)).toBeVisible()
    await context.setOffline(false)
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
    const [, id] = /basins\/([^/]+)\//.exec(page.url())!
    const home = () =>
      page.request.get(`/api/basins/${id}/shopping`).then((answer) => answer.json())
    await expect.poll(async () => ((await home()) as { entries: object[] }).entries.length).toBe(1)
    await page.evaluate(() =>
      localStorage.removeItem(
        Object.keys(localStorage).find((key) => key.startsWith('yew.shopping'))!,
      ),
    )
    await page.reload()
    await expect(page.getByText(/1 of \d+ lines ticked/)).toBeVisible()
  })
})

test('a stub too short is mended by its fix; a joint that no adapter joins by another', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  // Said where it is drawn, too: at its stop, and beside the piece.
  await keeper.opens('Lantern')
  const stub = page.getByRole('button', { name: /^stop.*Piece A4 is too short to glue/ })
  await expect(stub).toBeVisible()
  const section = page.getByRole('group', { name: 'Section of the basin, to scale' })
  await expect(section.getByRole('img', { name: 'stop' })).not.toHaveCount(0)
  await keeper.view('Cuts')
  await expect(stub).toBeVisible()
  await page.getByRole('button', { name: /Preview: Make its stretch .* and another/ }).click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(page.getByRole('button', { name: /too short to glue/ })).toHaveCount(0)
  await keeper.opens('Two Sisters')
  await keeper.view('Cuts')
  await page.getByRole('button', { name: /^stop.*No single adapter joins the pump/ }).waitFor()
  await page.getByRole('button', { name: /Preview: Take the pump by its thread/ }).click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(page.getByRole('button', { name: /No single adapter/ })).toHaveCount(0)
})

test('templates are one to one: SVG and DXF in millimetres, the PDF on whole papers', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.view('Holes')
  const svg = (
    await saved(page, () => page.getByRole('button', { name: 'SVG' }).first().click())
  ).toString()
  expect(svg).toContain('width="1400mm" height="900mm" viewBox="0 0 1400 900"')
  expect(svg).not.toContain('class=')
  const dxf = (
    await saved(page, () => page.getByRole('button', { name: 'DXF' }).first().click())
  ).toString()
  const circles = new Parser().parseSync(dxf).entities.filter(({ type }) => type === 'CIRCLE')
  expect(circles).toHaveLength(3)
  const pdf = await saved(page, () => page.getByRole('button', { name: 'PDF, one to one' }).click())
  const read = await getDocument({ data: new Uint8Array(pdf) }).promise
  const [, , wide, high] = (await read.getPage(1)).view
  expect([Math.round((wide! / 72) * 25.4), Math.round((high! / 72) * 25.4)]).toEqual([210, 297])
})

test('what is glued to the stand can’t come out; a union put in by its fix turns the verdict', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.view('Comes apart')
  const pump = page.locator('[data-thing^="pump "]')
  await expect(pump).toContainText('Shut first')
  await expect(pump).toContainText('Main line: union')
  const drain = page.locator('[data-thing="drain emergency"]')
  await expect(drain).toContainText('Can’t come out without cutting')
  await expect(page.locator('[data-thing=sump]')).toContainText('Can’t come out')
  await page
    .getByRole('button', { name: /Preview: .*put a union into piece \d of Emergency/i })
    .first()
    .click()
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(drain).toContainText('Emergency: union')
  await expect(page.getByText(/All \d+ things come out without a saw/)).toBeVisible()
  // The sump's own view says the same.
  await keeper.view('Room')
  await expect(page.getByTestId('take-out')).toContainText('Emergency: union')
})

test('the order is ticked on a phone, kept, and laid over days from the one that was chosen', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.view('Order')
  const first = page.getByRole('checkbox', { name: 'Step 1 done', exact: true })
  await first.check()
  await expect(page.getByText(/1 of \d+ steps done/)).toBeVisible()
  // Step by step in the isometric: the first that is open, and the next.
  await page.getByText('Step by step in the isometric').click()
  await expect(page.getByText(/^2 of \d+$/)).toBeVisible()
  await page.getByRole('button', { name: 'The next step' }).click()
  await expect(page.getByText(/^3 of \d+$/)).toBeVisible()
  await expect(page.locator('li[aria-current=step]')).toContainText('3')
  await page.getByLabel('Building begins on').fill('2026-12-05')
  await expect(page.getByRole('heading', { name: 'Day 1, Sat 5 December' })).toBeVisible()
  // The leak test waits for what was sealed and glued.
  const last = page.getByRole('heading', { name: /^Day \d/ }).last()
  await expect(last).toHaveText(/Day [3-9], /)
  await keeper.saved()
  await page.reload()
  await expect(first).toBeChecked()
  await expect(page.getByRole('heading', { name: 'Day 1, Sat 5 December' })).toBeVisible()
})

test('a sub-assembly goes in before the tank is lifted, and the piece that is chosen is the same everywhere', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Two Sisters')
  await keeper.view('Order')
  const steps = page.locator('li[data-step]')
  await expect(steps.first()).toBeVisible()
  const words = await steps.allTextContents()
  const at = (has: RegExp) => words.findIndex((text) => has.test(text))
  const laid = at(/S\d+ Siphon, west, Second siphon, west: lay it in its place/)
  expect(laid).toBeGreaterThan(-1)
  expect(laid).toBeLessThan(at(/Lift West sister onto its stand/))
  expect(words[at(/Lift West sister/)]).toContain('once West sister stands over it')
  // Chosen in the isometric, it is marked in the order, in the cuts, and in the section.
  const bar = page.locator('[data-isometric] g.part').first()
  await bar.dispatchEvent('click')
  await expect(page.locator('li[data-step].bg-needle-wash')).not.toHaveCount(0)
  await keeper.view('Cuts')
  await expect(page.getByRole('heading', { name: 'Isometrics' })).toBeVisible()
  await page.getByLabel('Drawn is').selectOption({ label: 'East line' })
  await expect(page.getByRole('img', { name: /^East line, as a pipe fitter/ })).toBeVisible()
  await page.getByRole('button', { name: 'Turn' }).click()
  await expect(page.getByLabel('Signs of joints')).toContainText('glued')
})
