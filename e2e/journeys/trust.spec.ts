import { chromium, expect, test, type Page } from '@playwright/test'
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { Keeper } from '../keeper.ts'

const SAVES = '**/api/designs/*'
/** No save reaches the server until this is taken back. */
async function cutSaves(page: Page): Promise<() => Promise<void>> {
  await page.route(SAVES, (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  return () => page.unroute(SAVES)
}
const state = (page: Page) => page.getByTestId('save-state')

test('a duplicated tab knows itself: it neither takes its predecessor’s work nor drops it', async ({
  page,
}) => {
  const first = new Keeper(page)
  await first.opens('Lantern', 'tank')
  await cutSaves(page)
  await first.field('Length').fill('1350')
  await expect(state(page)).toHaveText('Offline, kept here')
  // A page opened by another gets a copy of its session storage, as a duplicated tab does.
  const [copy] = await Promise.all([
    page.waitForEvent('popup'),
    page.evaluate(() => void window.open(location.href)),
  ])
  const second = new Keeper(copy)
  await expect(second.field('Length')).toHaveValue('1400')
  await second.field('Width, front to back').fill('610')
  await second.saved()
  await copy.close()
  await page.unroute(SAVES)
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Saved elsewhere first' })).toBeVisible()
  await page.getByRole('button', { name: 'Keep mine' }).click()
  await first.saved()
  await expect(first.field('Length')).toHaveValue('1350')
})

test('a browser killed a second after typing without a server finds its work', async ({
  baseURL,
}) => {
  const profile = mkdtempSync(path.join(os.tmpdir(), 'yew-profile-'))
  const { launchOptions } = test.info().project.use
  const open = () =>
    chromium.launchPersistentContext(profile, {
      ...launchOptions,
      args: [...(launchOptions?.args ?? []), `--yew-mark=${path.basename(profile)}`],
      baseURL: baseURL!,
      viewport: { width: 1280, height: 800 },
    })
  // A first visit, so that the browser has written down who it is.
  let context = await open()
  await new Keeper(context.pages()[0]!).comes()
  await context.close()
  context = await open()
  const page = context.pages()[0]!
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  await cutSaves(page)
  await keeper.field('Length').fill('1350')
  await page.waitForTimeout(1000)
  for (const pid of processesWith(`yew-mark=${path.basename(profile)}`)) kill(pid)
  await context.close().catch(() => undefined)
  context = await open()
  const again = new Keeper(context.pages()[0]!)
  await again.opens('Lantern', 'tank')
  await expect(again.field('Length')).toHaveValue('1350')
  await again.saved()
  await context.close()
  rmSync(profile, { recursive: true, force: true })
})

function processesWith(words: string): number[] {
  const told = (pid: string) => {
    try {
      return readFileSync(`/proc/${pid}/cmdline`, 'utf8')
    } catch {
      return ''
    }
  }
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name) && told(name).includes(words))
    .map(Number)
}
function kill(pid: number): void {
  try {
    process.kill(pid, 'SIGKILL')
  } catch {
    // It went with its parent.
  }
}

/** Ways a browser keeps nothing. */
const STORES: readonly [string, () => void][] = [
  [
    'forbidden',
    () => {
      Object.defineProperty(window, 'indexedDB', { value: undefined })
      for (const name of ['localStorage', 'sessionStorage'])
        Object.defineProperty(window, name, {
          get: () => {
            throw new DOMException('forbidden', 'SecurityError')
          },
        })
    },
  ],
  [
    'full',
    () => {
      const full = () => {
        throw new DOMException('full', 'QuotaExceededError')
      }
      Storage.prototype.setItem = full
      IDBObjectStore.prototype.put = full
    },
  ],
]
for (const [name, spoil] of STORES) {
  test(`with storage ${name} the app works, says that leaving loses, and asks before it`, async ({
    page,
  }) => {
    await page.addInitScript(spoil)
    const keeper = new Keeper(page)
    await keeper.opens('Lantern', 'tank')
    await keeper.field('Length').fill('1250')
    await keeper.saved()
    const mended = await cutSaves(page)
    await keeper.field('Length').fill('1350')
    await expect(state(page)).toHaveText(
      'Offline, and this browser keeps nothing: leaving loses it',
    )
    let asked = 0
    page.on('dialog', (dialog) => {
      asked++
      void dialog.dismiss()
    })
    await page.getByRole('link', { name: 'Yew Basin' }).click()
    await expect.poll(() => asked).toBe(1)
    await expect(keeper.field('Length')).toHaveValue('1350')
    await page.evaluate(() => void setTimeout(() => location.reload(), 0))
    await expect.poll(() => asked).toBe(2)
    await mended()
    await page.getByRole('button', { name: 'Try now' }).click()
    await keeper.saved()
    // A save that is slow, but on its way, is waited for, not asked about.
    await page.route(SAVES, async (route) => {
      await new Promise((resolve) => setTimeout(resolve, 2500))
      return route.continue()
    })
    await keeper.field('Length').fill('1360')
    await page.getByRole('link', { name: 'Yew Basin' }).click()
    await expect(page.getByRole('heading', { name: 'Your shelf' })).toBeVisible()
    expect(asked).toBe(2)
  })
}

test('storage cleared under an open tab loses nothing', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  const mended = await cutSaves(page)
  await keeper.field('Length').fill('1350')
  await expect(state(page)).toHaveText('Offline, kept here')
  await page.evaluate(async () => {
    localStorage.clear()
    sessionStorage.clear()
    indexedDB.deleteDatabase('yew-basin')
  })
  await keeper.field('Width, front to back').fill('610')
  await mended()
  await keeper.saved()
  await page.reload()
  await expect(keeper.field('Length')).toHaveValue('1350')
  await expect(keeper.field('Width, front to back')).toHaveValue('610')
})

test('a database that is away is waited for, and the work goes through when it is back', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  let refused = 0
  await page.route(SAVES, (route) => {
    if (route.request().method() !== 'PUT' || refused >= 2) return route.continue()
    refused++
    return route.fulfill({
      status: 503,
      headers: { 'Content-Type': 'application/problem+json', 'Retry-After': '1' },
      body: JSON.stringify({ code: 'no-database', title: 'away', status: 503, detail: 'away' }),
    })
  })
  await keeper.field('Length').fill('1350')
  await keeper.saved()
  expect(refused).toBe(2)
})

test('a save that arrived though its answer was lost, and one that is slow, are nobody’s conflict', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  let first = true
  await page.route(SAVES, async (route) => {
    if (route.request().method() !== 'PUT') return route.continue()
    if (first) {
      first = false
      await route.fetch()
      return route.abort()
    }
    await new Promise((resolve) => setTimeout(resolve, 1500))
    return route.continue()
  })
  await keeper.field('Length').fill('1350')
  await expect(state(page)).toHaveText('Offline, kept here')
  await keeper.field('Width, front to back').fill('610')
  await keeper.saved()
  await page.reload()
  await expect(keeper.field('Width, front to back')).toHaveValue('610')
})

test('back and forward between views keep what was typed', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  const asked: string[] = []
  page.on('dialog', (dialog) => {
    asked.push(dialog.message())
    void dialog.dismiss()
  })
  await keeper.field('Length').fill('1350')
  await page.goBack()
  await page.goForward()
  await expect(keeper.field('Length')).toHaveValue('1350')
  await page.goBack()
  await page.goBack()
  await expect(page.getByRole('heading', { name: 'Your shelf' })).toBeVisible()
  expect(asked).toEqual([])
  await page.goForward()
  await page.goForward()
  await expect(keeper.field('Length')).toHaveValue('1350')
  await keeper.saved()
})

test('an update of the application under an open tab is said, and costs nothing', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  // The room's part of the page has another name by now, whether it is fetched before it is gone to or then.
  await page.route('**/assets/RoomView*.js', (route) => route.fulfill({ status: 404, body: '' }))
  await keeper.opens('Lantern', 'tank')
  await keeper.field('Length').fill('1350')
  await keeper.saved()
  const tank = page.url()
  await page.getByRole('link', { name: 'Room', exact: true }).click()
  await expect(page.getByText('was updated while this page was open')).toBeVisible()
  await page.unroute('**/assets/RoomView*.js')
  await page.getByRole('button', { name: 'Load it anew' }).click()
  // Wherever that was: the address may have been the room's already.
  await expect(keeper.margin('flow').or(page.getByRole('heading', { name: 'Room' }))).toBeVisible()
  await page.goto(tank)
  await expect(keeper.field('Length')).toHaveValue('1350')
})

test('a recovery key opens the shelf in another browser', async ({ page, browser, baseURL }) => {
  const keeper = new Keeper(page)
  await keeper.makes('Cove')
  await keeper.saved()
  await page.goto('/safekeeping')
  await page.getByRole('button', { name: 'Make a key' }).click()
  await expect(page.getByAltText('The key as a QR code')).toBeVisible()
  const key = await page.getByTestId('recovery-key').innerText()
  const other = await browser.newContext({ baseURL: baseURL! })
  const there = await other.newPage()
  await there.goto(`/safekeeping#${key}`)
  await expect(there.getByLabel('Open another shelf here, by its key')).toHaveValue(key)
  expect(there.url()).not.toContain(key)
  await there.getByRole('button', { name: 'Open that shelf' }).click()
  await there.getByRole('button', { name: 'Open the other one' }).click()
  await expect(there.getByRole('link', { name: 'Cove', exact: true })).toBeVisible()
  await other.close()
})

test('what was deleted lies in the bin and is put back', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.comes()
  await page.getByRole('button', { name: 'More for Thimble' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(page.getByRole('link', { name: 'Thimble', exact: true })).toHaveCount(0)
  await page.getByRole('link', { name: 'Recovery key and bin' }).click()
  await page.getByRole('button', { name: 'Put Thimble back' }).click()
  await expect(page.getByText('Nothing lies in it.')).toBeVisible()
  await keeper.comes()
  await expect(page.getByRole('link', { name: 'Thimble', exact: true })).toBeVisible()
})
