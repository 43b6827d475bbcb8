import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { Keeper } from '../keeper.ts'

test.describe.configure({ mode: 'parallel' })

const scaleShown = async (page: Page) =>
  Number(/1 : ([\d.]+)/.exec(await page.locator('#section-title').innerText())![1])
const nearness = (page: Page) => page.getByRole('group', { name: 'How near the drawing is' })

test('the section is looked at nearer by wheel, drag, keys and buttons, and found so again', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  const whole = await scaleShown(page)
  const sheet = (await page.locator('.area-section').boundingBox())!
  await page.mouse.move(sheet.x + 300, sheet.y + 300)
  await page.mouse.wheel(0, -600)
  await expect.poll(() => scaleShown(page)).toBeLessThan(whole / 2)
  const near = await scaleShown(page)
  const pump = page.getByRole('link', { name: 'Overflow', exact: true })
  const before = (await pump.boundingBox())!
  await page.mouse.down()
  await page.mouse.move(sheet.x + 240, sheet.y + 260, { steps: 6 })
  await page.mouse.up()
  const after = (await pump.boundingBox())!
  expect(Math.round(after.x - before.x)).toBeLessThan(-20)
  // What only dragged has pressed nothing.
  await expect(page.getByRole('heading', { name: 'Return', exact: true })).toBeVisible()
  await keeper.view('Room')
  await keeper.view('Water’s way')
  await expect.poll(() => scaleShown(page)).toBe(near)
  await nearness(page).getByRole('button', { name: 'Fit all' }).focus()
  await page.keyboard.press('0')
  await expect.poll(() => scaleShown(page)).toBe(whole)
  await nearness(page).getByRole('button', { name: 'Nearer' }).focus()
  await page.keyboard.press('+')
  await expect.poll(() => scaleShown(page)).toBeLessThan(whole)
  await page.keyboard.press('ArrowLeft')
  await nearness(page).getByRole('button', { name: 'Fit all' }).click()
  await keeper.station(/Overflow/)
  await nearness(page).getByRole('button', { name: 'Fit what is chosen' }).click()
  await expect.poll(() => scaleShown(page)).toBeLessThan(whole / 1.5)
  await expect(page.getByRole('link', { name: 'Overflow', exact: true })).toBeInViewport()
})

test('it is moved at the rate of the screen, and the rate is printed', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Two Sisters')
  // What its workers have to do is done: the drills are simulated.
  await expect(keeper.margin('drills')).toContainText(/to a rim|on the floor/, { timeout: 60_000 })
  for (let n = 0; n < 4; n++) await nearness(page).getByRole('button', { name: 'Nearer' }).click()
  const { x, y } = (await page.locator('.area-section').boundingBox())!
  await page.mouse.move(x + 300, y + 300)
  await page.mouse.down()
  let isCounted = false
  const counted = page
    .evaluate(async () => {
      const begun = performance.now()
      let frames = 0
      while (performance.now() - begun < 1500) {
        await new Promise((frame) => requestAnimationFrame(frame))
        frames += 1
      }
      return (frames * 1000) / (performance.now() - begun)
    })
    .finally(() => (isCounted = true))
  for (let n = 0; !isCounted; n++) {
    await page.mouse.move(x + 300 - 120 * Math.sin(n / 8), y + 300 - 90 * Math.cos(n / 11))
  }
  // While it is held it lies over the page as it was drawn, and nothing of it is drawn anew.
  const heldAs = () => page.locator('.area-section svg g.held').count()
  expect(await heldAs()).toBe(1)
  await page.mouse.up()
  await expect.poll(heldAs).toBe(0)
  const drawn = await page.locator('.area-section svg *').count()
  console.log(
    `  panning Two Sisters: ${(await counted).toFixed(0)} frames a second, ${drawn} parts drawn (wanted 60)`,
  )
  // A shared machine may be slow, but not a drawing that is made anew at every move.
  expect(await counted).toBeGreaterThan(6)
})

test('drawings and charts are saved as pictures that stand by themselves', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  const saved = async (name: string, kind: 'As lines (SVG)' | 'As points (PNG)') => {
    await page.getByRole('button', { name: `Save ${name} as a picture` }).click()
    const download = page.waitForEvent('download')
    await page.getByRole('menuitem', { name: kind }).click()
    return readFileSync(await (await download).path())
  }
  for (const name of ['section', 'duty']) {
    const lines = (await saved(name, 'As lines (SVG)')).toString('utf8')
    const parsed = await page.evaluate((text) => {
      const { documentElement: root } = new DOMParser().parseFromString(text, 'image/svg+xml')
      return {
        tag: root.tagName,
        width: Number(root.getAttribute('width')),
        classes: root.querySelectorAll('[class], [style]').length,
        parts: root.querySelectorAll('path, rect, text').length,
      }
    }, lines)
    expect(parsed.tag).toBe('svg')
    expect(parsed.width).toBeGreaterThan(200)
    expect(parsed.classes).toBe(0)
    expect(parsed.parts).toBeGreaterThan(10)
    expect(lines).not.toContain('var(--')
    const points = await saved(name, 'As points (PNG)')
    expect(points.subarray(1, 4).toString()).toBe('PNG')
    // Twice as fine as the screen.
    expect(Math.abs(points.readUInt32BE(16) - 2 * parsed.width)).toBeLessThan(3)
  }
  await page.getByRole('button', { name: 'Plan' }).click()
  expect((await saved('plan', 'As lines (SVG)')).toString('utf8')).toContain('<svg')
})

test('a basin is saved as one page, its drawing as lines', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Two Sisters')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'One-page summary (PDF)' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('Two Sisters, summary.pdf')
  const data = new Uint8Array(readFileSync(await download.path()))
  const file = await getDocument({ data }).promise
  expect(file.numPages).toBe(1)
  const sheet = await file.getPage(1)
  const { items } = await sheet.getTextContent()
  const words = items.map((item) => ('str' in item ? item.str : '')).join(' ')
  const flow = (await keeper.margin('flow').locator('.text-lg').textContent())!.trim()
  expect(words.replaceAll(/\s/g, '')).toContain(flow.replaceAll(/\s/g, ''))
  // The sump's name is written in the drawing alone.
  expect(words).toContain('Open sump')
  const { fnArray } = await sheet.getOperatorList()
  const count = (...kinds: readonly number[]) =>
    fnArray.filter((kind) => kinds.includes(kind)).length
  expect(count(OPS.constructPath)).toBeGreaterThan(100)
  expect(count(OPS.paintImageXObject, OPS.paintInlineImageXObject)).toBe(0)
})

test('a line’s mouth is dragged to the water of its tank, and typed back', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.tab('Run')
  const height = keeper.field('Mouth, over the floor')
  const before = await height.inputValue()
  const grip = page.locator('[data-grip^="Mouth"]')
  const box = (await grip.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x, y + 12, { steps: 4 })
  await expect(grip.locator('text').first()).toContainText('mm')
  await page.mouse.up()
  await expect(height).not.toHaveValue(before)
  await height.fill(before)
  await height.press('Enter')
  await expect(height).toHaveValue(before)
  await grip.focus()
  await page.keyboard.press('Shift+ArrowUp')
  await expect(height).not.toHaveValue(before)
  await keeper.saved()
})
