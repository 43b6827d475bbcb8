import { expect, type Page, test } from '@playwright/test'
import { gzipSync } from 'node:zlib'
import { Keeper } from '../keeper.ts'

/** Script that the first screen loads, gzipped. */
const MOST_SCRIPT_BYTES = 250_000

test.describe('with its own worker', () => {
  test.use({ serviceWorkers: 'allow' })
  test('no request leaves the machine, and the page breaks none of its own rules', async ({
    page,
    baseURL,
  }) => {
    const foreign: string[] = []
    const complaints: string[] = []
    page.on('request', (request) => {
      const { origin, protocol } = new URL(request.url())
      if (protocol.startsWith('http') && origin !== baseURL) foreign.push(request.url())
    })
    page.on('console', (message) => {
      if (message.type() === 'error' || message.type() === 'warning')
        complaints.push(message.text())
    })
    page.on('pageerror', (error) => complaints.push(error.message))
    const keeper = new Keeper(page)
    await keeper.opens('Lantern')
    for (const tab of ['Pump', 'Run', 'Duty'] as const) await keeper.tab(tab)
    await page
      .getByRole('link', { name: /Tank and target/ })
      .first()
      .click()
    await keeper.field('Length').fill('1300')
    await keeper.saved()
    await page.getByRole('button', { name: 'Use the dark theme' }).click()
    expect(foreign).toEqual([])
    expect(complaints).toEqual([])
  })
})

test('the first screen is painted soon, and the figure is printed', async ({ page }) => {
  await new Keeper(page).comes()
  const times: number[] = []
  for (let i = 0; i < 5; i++) {
    await page.goto('/')
    await expect(page.getByRole('list', { name: 'Basins' })).toBeVisible()
    times.push(
      await page.evaluate(
        () =>
          new Promise<number>((painted) => {
            const watch = new PerformanceObserver((list) => {
              const [paint] = list.getEntriesByName('first-contentful-paint')
              if (paint) painted(paint.startTime)
            })
            watch.observe({ type: 'paint', buffered: true })
          }),
      ),
    )
  }
  const median = times.sort((a, b) => a - b)[2]!
  console.log(`  first screen painted after ${median.toFixed(0)} ms (median of 5)`)
  // Ten times what it takes here: a shared machine may be slow, but not a page that waits for more.
  expect(median).toBeLessThan(1000)
  const scripts = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .map(({ name }) => name)
      .filter((name) => new URL(name).pathname.endsWith('.js')),
  )
  let scriptBytes = 0
  for (const script of scripts) {
    scriptBytes += gzipSync(await (await page.request.get(script)).body()).length
  }
  console.log(`  ${(scriptBytes / 1000).toFixed(0)} kB of script for the first screen, gzipped`)
  expect(scriptBytes).toBeGreaterThan(0)
  expect(scriptBytes).toBeLessThan(MOST_SCRIPT_BYTES)
})

test('a keystroke shows new numbers within a frame of the solve', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  const times = await page.evaluate(async () => {
    const input = document.querySelector<HTMLInputElement>('aside input')!
    const cell = document.querySelector('[data-testid=margin-turnover]')!
    const measured: number[] = []
    for (let i = 0; i < 40; i++) {
      const before = cell.textContent
      await new Promise((frame) => requestAnimationFrame(frame))
      const start = performance.now()
      input.value = String(700 + (i % 2) * 600 + i)
      input.dispatchEvent(new Event('input', { bubbles: true }))
      // The page has the new number when the frame that follows is about to be painted.
      await new Promise((frame) => requestAnimationFrame(frame))
      if (cell.textContent === before)
        throw new Error(`the figure had not moved one frame after keystroke ${i}`)
      measured.push(performance.now() - start)
    }
    return measured
  })
  const median = times.sort((a, b) => a - b)[20]!
  console.log(
    `  keystroke to the next frame with its number: ${median.toFixed(1)} ms (median of 40)`,
  )
  // Ten times what it takes here.
  expect(median).toBeLessThan(300)
})

/** A link is pressed: milliseconds until the frame in which a heading says so. */
function pressed(page: Page, link: string, heading: string): Promise<number> {
  return page.evaluate(
    async ([name, wanted]) => {
      const links = [...document.querySelectorAll<HTMLElement>('header a, nav a')]
      const begun = performance.now()
      links.find((each) => each.textContent.trim().startsWith(name!))!.click()
      const says = () =>
        [...document.querySelectorAll('h2')].some((each) =>
          each.textContent.trim().startsWith(wanted!),
        )
      while (!says()) {
        if (performance.now() - begun > 10_000) throw new Error(`${wanted} never came`)
        await new Promise((frame) => requestAnimationFrame(frame))
      }
      await new Promise((frame) => requestAnimationFrame(frame))
      return performance.now() - begun
    },
    [link, heading],
  )
}

test('another view comes at once, and its time is printed', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  const times: string[] = []
  const longest: number[] = []
  for (const [link, heading] of [
    ['Drains', 'Drains'],
    ['Sump', 'Sump'],
    ['Room', 'Room'],
    ['Pumps', 'Pumps'],
    ['Choose for me', 'Choose for me'],
    ['Currents', 'Currents'],
    ['Water’s way', 'Sump'],
    ['Tank and target', 'Tank and target'],
  ] as const) {
    const ms = await pressed(page, link, heading)
    times.push(`${link} ${ms.toFixed(0)}`)
    longest.push(ms)
  }
  console.log(`  change of view, ms (budget 200): ${times.join(', ')}`)
  const drillsMs = await pressed(page, 'Prove', 'Drills')
  const begun = Date.now()
  await expect(page.getByTestId('drill-section')).toBeVisible()
  const firstMs = drillsMs + Date.now() - begun
  await expect(page.getByRole('button', { name: 'Simulate again' })).toBeVisible()
  console.log(
    `  first Drills after ${firstMs.toFixed(0)} ms (budget 1500), all of them after ${(drillsMs + Date.now() - begun).toFixed(0)} ms`,
  )
  // Ten times the budget: a shared machine may be slow.
  expect(Math.max(...longest)).toBeLessThan(2000)
  expect(firstMs).toBeLessThan(15_000)
})
