import { expect, test, type Page } from '@playwright/test'
import { Keeper } from '../keeper.ts'

test.describe.configure({ mode: 'parallel' })

/** What does not fit on the page as it stands: a page wider than the window, text cut by its box, things out of the window. */
function cutOff(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const found = new Set<string>()
    const pen = document.createElement('canvas').getContext('2d')!
    const nameOf = (element: Element) => (element.textContent ?? '').trim().slice(0, 50)
    const { scrollWidth } = document.documentElement
    if (scrollWidth > window.innerWidth + 1) found.add(`the page is ${scrollWidth} wide`)
    for (const select of document.querySelectorAll('select')) {
      if (select.clientWidth === 0) continue
      const style = getComputedStyle(select)
      const words = select.selectedOptions[0]?.textContent?.trim() ?? ''
      pen.font = style.font
      // Its arrow takes some of the room.
      const roomPx =
        select.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight) - 16
      if (pen.measureText(words).width > roomPx) found.add(`${words} does not fit its select`)
    }
    for (const input of document.querySelectorAll<HTMLInputElement>('input[type=text]')) {
      if (input.clientWidth > 0 && input.scrollWidth > input.clientWidth + 1) {
        found.add(`${input.value} does not fit ${input.labels?.[0]?.textContent?.trim()}`)
      }
    }
    for (const element of document.querySelectorAll<HTMLElement>('body *')) {
      if (element.closest('.sr-only') || nameOf(element) === '') continue
      const { overflowX } = getComputedStyle(element)
      const cuts = overflowX === 'hidden' || overflowX === 'clip'
      if (cuts && element.clientWidth > 0 && element.scrollWidth > element.clientWidth + 1) {
        found.add(`${nameOf(element)} is cut`)
      }
    }
    const scrolls = (element: Element | null): boolean =>
      element !== null &&
      (['auto', 'scroll'].includes(getComputedStyle(element).overflowX) ||
        scrolls(element.parentElement))
    for (const element of document.querySelectorAll(
      'button, input, select, a, h1, h2, h3, p, dd',
    )) {
      const { width, right } = element.getBoundingClientRect()
      const isOut = width > 0 && right > window.innerWidth + 1
      if (isOut && !element.closest('.sr-only') && !scrolls(element.parentElement)) {
        found.add(`${nameOf(element)} is out of the window`)
      }
    }
    return [...found]
  })
}

/** A desk at 200 and at 400 %, beside the usual two. */
const SIZES = [
  ['a desk', 1280, 800],
  ['a phone', 390, 844],
  ['a desk at 200 %', 640, 400],
  ['a desk at 400 %', 320, 256],
] as const

/** At each size in turn: a page is loaded once for all of them. */
async function fits(page: Page, what: string): Promise<void> {
  for (const [name, width, height] of SIZES) {
    await page.setViewportSize({ width, height })
    await expect.poll(async () => [name, what, ...(await cutOff(page))]).toEqual([name, what])
  }
}

const ON = 'on a desk, a phone and a desk at 200 and 400 % no text is cut and nothing stands out'

test(`${ON} of the window along the way`, async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  const root = page.url().replace(/\/tank$/, '')
  for (const stop of ['tank', 'overflow', 'drains', 'sump', 'skimmer', 'sterilizer', 'return']) {
    await page.goto(`${root}/${stop}`)
    await expect(page.locator('aside h2')).toBeVisible()
    await fits(page, stop)
  }
  for (const tab of ['Pump', 'Run', 'Balance'] as const) {
    await keeper.tab(tab)
    await fits(page, tab)
  }
})

test(`${ON} of the window in the views`, async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  const root = page.url().replace(/\/tank$/, '')
  for (const view of [
    'currents',
    'room',
    'pumps',
    'size',
    'drills',
    'buy',
    'cuts',
    'order',
    'comes-apart',
    'holes',
    'panels',
    'before-water',
  ]) {
    await page.goto(`${root}/${view}`)
    await expect(page.locator('h2').first()).toBeVisible()
    await fits(page, view)
  }
  for (const place of ['/', '/parts', '/safekeeping']) {
    await page.goto(place)
    await expect(page.locator('main').first()).toBeVisible()
    await fits(page, place)
  }
})

test('nothing that has the focus hides under the strip', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern')
  await keeper.station(/Sump/)
  await page.setViewportSize({ width: 390, height: 844 })
  await page.locator('aside h2').focus()
  const hidden: string[] = []
  for (let n = 0; n < 60; n++) {
    await page.keyboard.press('Tab')
    const under = await page.evaluate(() => {
      const focused = document.activeElement as HTMLElement
      if (!focused.closest('aside')) return null
      const { top, bottom } = focused.getBoundingClientRect()
      const strip = document.querySelector('.area-strip')!.getBoundingClientRect().top
      return top < 0 || bottom > strip + 1 ? (focused.ariaLabel ?? focused.textContent) : ''
    })
    if (under === null) break
    if (under !== '') hidden.push(under.trim())
  }
  expect(hidden).toEqual([])
})
