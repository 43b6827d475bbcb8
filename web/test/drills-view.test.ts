import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { say, setTo, type Verdict } from '@yew-basin/core'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import DrillsView from '../src/drills/DrillsView.vue'
import { OUTCOME_WORDS } from '../src/drills/drill-words.ts'
import { useDrills } from '../src/drills/drills-store.ts'
import type { useDesign } from '../src/workspace/design-store.ts'
import { button, enter, field, hasButton, press, shownAt, text } from './a-view.ts'
import { aPage, endWorkers, until } from './a-worker.ts'
import { anOpenBasin } from './open-basin.ts'

let store: ReturnType<typeof useDesign>
let drills: ReturnType<typeof useDrills>
let wrapper: VueWrapper

beforeAll(aPage)
afterAll(endWorkers)
afterEach(() => {
  drills.cancel()
  wrapper.unmount()
})
beforeEach(async () => {
  store = await anOpenBasin()
  drills = useDrills()
  ;({ wrapper } = await shownAt('/basins/b/drills', DrillsView, { id: 'b' }))
  await until(
    () => store.loadState === 'ready' && drills.verdicts.length > 0 && !drills.progress,
    'drills are simulated',
  )
  await flushPromises()
})

const rows = () => [...document.querySelectorAll<HTMLElement>('[data-drill]')]
const verdictPanel = () => document.querySelector('[aria-label=Verdict]')!
const chosen = (): Verdict =>
  drills.verdicts.find(
    ({ drillId }) =>
      drillId ===
      document.querySelector<HTMLElement>('[data-drill][aria-current=true]')?.dataset.drill,
  )!

async function choose(drillId: string): Promise<void> {
  rows()
    .find((row) => row.dataset.drill === drillId)!
    .click()
  await flushPromises()
}

describe('the drills’ view', () => {
  test('lists every drill worst first, the worst opened', () => {
    expect(rows().map((row) => row.dataset.drill)).toEqual(
      drills.verdicts.map(({ drillId }) => drillId),
    )
    expect(chosen()).toBe(drills.verdicts[0])
    expect(verdictPanel().textContent).toContain(say(drills.verdicts[0]!.said, 'metric'))
  })

  test('says of each what it came to: margins, what is on the floor, and what happened when', async () => {
    for (const verdict of [drills.verdicts[0]!, drills.verdicts.at(-1)!]) {
      await choose(verdict.drillId)
      const said = verdictPanel().textContent
      expect(said).toContain(say(verdict.title, 'metric'))
      expect(said).toContain(OUTCOME_WORDS[verdict.outcome])
      for (const { name } of verdict.vessels) expect(said).toContain(name)
      for (const { name } of verdict.spilledFrom) expect(said).toContain(`from the ${name}`)
      // Each entry of the log is there, and the end.
      expect(verdictPanel().querySelectorAll('ol li')).toHaveLength(verdict.log.length + 1)
      const cells = [...verdictPanel().querySelectorAll('td')].map((td) => td.textContent.trim())
      expect(cells.filter((cell) => cell === 'runs over')).toHaveLength(
        verdict.vessels.filter(
          ({ rimM, highestM, marginM }) =>
            rimM !== null && marginM !== null && marginM < 0 && highestM > rimM,
        ).length,
      )
    }
  })

  test('plays the drill that is chosen: by moments, to its ends, and from its log', async () => {
    await until(() => hasButton('Play'), 'it can be played')
    const moment = () => Number(field('Moment').value)
    const most = Number(field('Moment').max)
    expect([moment(), most > 5]).toEqual([0, true])
    field('Moment').value = String(most)
    field('Moment').dispatchEvent(new Event('input'))
    await flushPromises()
    expect(moment()).toBe(most)
    field('Moment').value = '3'
    field('Moment').dispatchEvent(new Event('input'))
    await flushPromises()
    expect(moment()).toBe(3)
    // The log leads to its moment.
    const entry = [...verdictPanel().querySelectorAll<HTMLElement>('ol li button')].at(-1)!
    entry.click()
    await flushPromises()
    expect(moment()).toBeGreaterThan(0)
  })

  test('what was played of another drill is never shown for this one', async () => {
    await until(() => hasButton('Play'), 'it can be played')
    const other = drills.verdicts.find(({ drillId }) => drillId !== chosen().drillId)!
    await choose(other.drillId)
    // Until its own has come there is nothing to play.
    expect(hasButton('Play')).toBe(false)
    await until(() => hasButton('Play'), 'the other can be played')
    expect(Number(field('Moment').value)).toBe(0)
  })

  test('what fixes a wet drill is tried before it is offered, looked at, and applied', async () => {
    store.set(['sump', 'box'], { ...store.design!.sump.box!, heightM: 0.2 })
    await until(() => !drills.stale && !drills.progress, 'drills are simulated again', 240_000)
    await flushPromises()
    const wet = drills.verdicts.find(({ drillId }) => drillId === 'power-cut')
    expect(wet?.outcome).toBe('wet')
    await choose(wet!.drillId)
    await until(() => !text().includes('being tried'), 'fixes were tried', 240_000)
    expect(hasButton(/^Preview/)).toBe(true)
    const before = store.design
    await press(/^Preview/)
    await until(() => drills.preview !== null, 'the fix is looked at', 240_000)
    await flushPromises()
    const preview = document.querySelector('[data-testid=fix-preview]')!
    expect(preview.textContent).toMatch(/\d+ drills? better, \d+ worse/)
    expect(store.design).toBe(before)
    await press('Apply')
    expect(store.design).not.toBe(before)
    await until(() => !drills.stale && !drills.progress, 'drills are simulated with it', 240_000)
    const rank = { wet: 0, watch: 1, dry: 2 }
    const now = drills.verdicts.find(({ drillId }) => drillId === wet!.drillId)
    expect(now === undefined || rank[now.outcome] > rank.wet).toBe(true)
  }, 300_000)

  test('a design that has no way down says what it needs first, and where', async () => {
    store.edit([setTo(['sump', 'box'], null)])
    await flushPromises()
    expect(text()).toContain('Nothing to drill yet')
    expect(
      [...document.querySelectorAll('main a')].map((link) => link.getAttribute('href')),
    ).toEqual(['/basins/b/overflow', '/basins/b/drains', '/basins/b/sump'])
    await store.undo()
  })
})

describe('a chain of the keeper’s own', () => {
  test('is made, grows, has its times, and is drilled with the others', async () => {
    const own = () => store.design!.drills
    const many = own().length
    await press('Chain')
    expect(own()).toHaveLength(many + 1)
    const made = own().at(-1)!
    expect(made.steps).toEqual([{ drillId: 'power-cut', atS: 0 }])
    const steps = () => own().at(-1)!.steps
    const stepButtons = [...document.querySelectorAll<HTMLElement>('button')].filter(
      (node) => node.textContent.trim() === 'Step',
    )
    stepButtons.at(-1)!.click()
    await flushPromises()
    expect(steps()).toHaveLength(2)
    expect(steps()[1]!.atS).toBe(60)
    await enter(`Name of drill ${many + 1}`, 'A bad week')
    expect(own().at(-1)!.name).toBe('A bad week')
    await until(
      () =>
        !drills.stale &&
        !drills.progress &&
        drills.verdicts.some(({ title }) => say(title, 'metric').includes('A bad week')),
      'it is drilled',
      240_000,
    )
    await press('Delete A bad week')
    expect(own()).toHaveLength(many)
    await store.undo()
    expect(own().at(-1)!.name).toBe('A bad week')
  })

  test('can’t begin with another chain', async () => {
    await press('Chain')
    await until(() => !drills.stale && !drills.progress, 'it is drilled', 240_000)
    await flushPromises()
    const chains = drills.drills.filter(({ parts }) => parts.length > 0)
    const offered = [...document.querySelectorAll('select option')].map(
      (option) => option.textContent,
    )
    for (const { title } of chains) expect(offered).not.toContain(say(title, 'metric'))
    expect(button('Chain')).toBeDefined()
  })
})
