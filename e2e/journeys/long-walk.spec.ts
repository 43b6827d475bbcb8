import { expect, test, type CDPSession, type Locator } from '@playwright/test'
import { Keeper } from '../keeper.ts'

/** Where the walk goes, over and over: ten places, so that 20 changes and 320 end at the same. */
const PLACES = [
  'tank',
  'overflow',
  'drains',
  'sump',
  'return',
  'skimmer',
  'sterilizer',
  'pumps',
  'drills',
  'room',
]
/** What a page may hold after all of it, of what it held after the first twenty changes. */
const MOST = 1.1

/** Code that is run again and again is compiled anew into the same heap, some megabytes of it: what is weighed is the page. */
test.use({
  launchOptions: async ({ launchOptions }, use) => {
    const args = [...(launchOptions.args ?? []), '--js-flags=--no-opt --no-maglev --no-sparkplug']
    await use({ ...launchOptions, args })
  },
})

interface Held {
  readonly nodes: number
  readonly listeners: number
  /** Bytes. */
  readonly heap: number
}

/** What it holds once the view is at rest and what nobody holds is gone. */
async function held(session: CDPSession, place: Locator): Promise<Held> {
  await expect(place).toBeVisible()
  for (let i = 0; i < 3; i++) {
    await new Promise((rests) => setTimeout(rests, 700))
    await session.send('HeapProfiler.collectGarbage')
  }
  const { metrics } = await session.send('Performance.getMetrics')
  const of = (name: string) => metrics.find((metric) => metric.name === name)!.value
  return { nodes: of('Nodes'), listeners: of('JSEventListeners'), heap: of('JSHeapUsedSize') }
}

test('a page that was walked through 300 times holds no more of the page than at first', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  // The smallest: what is weighed is the page, and uncompiled code takes long over a large one's drills.
  await keeper.opens('Thimble')
  const basin = new URL(page.url()).pathname.split('/').slice(0, 3).join('/')
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  // Once the drills are run the page has all it works out by itself; uncompiled, that takes its time.
  test.setTimeout(300_000)
  await expect(keeper.margin('drills')).toBeVisible({ timeout: 120_000 })
  const last = page.locator('main').first()
  /** As links do it: the page stays, the view changes. In one call, for each call leaves something in the page. */
  const walk = (changes: number) =>
    page.evaluate(
      async ({ basin, places, changes }) => {
        const paused = (ms: number) => new Promise((rests) => setTimeout(rests, ms))
        for (let i = 0; i < changes; i++) {
          history.pushState({}, '', `${basin}/${places[i % places.length]}`)
          dispatchEvent(new PopStateEvent('popstate', { state: {} }))
          await paused(30)
          while (!document.querySelector('main')) await paused(20)
        }
      },
      { basin, places: PLACES, changes },
    )
  // Twice round: what comes when it is first wanted has come.
  await walk(20)
  const early = await held(session, last)
  await walk(300)
  const late = await held(session, last)
  console.log(`  300 changes of view: ${JSON.stringify(early)} → ${JSON.stringify(late)}`)
  expect(late.nodes).toBeLessThan(early.nodes * MOST)
  expect(late.listeners).toBeLessThan(early.listeners * MOST)
  expect(late.heap).toBeLessThan(early.heap * MOST)
})
