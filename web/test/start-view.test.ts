import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { assuming, starting } from '@yew-basin/core'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import StartView from '../src/start/StartView.vue'
import { questionsFor } from '../src/start/start-pages.ts'
import type { useDesign } from '../src/workspace/design-store.ts'
import { enter, field, hasButton, press, shownAt, text } from './a-view.ts'
import { aPage, endWorkers, until } from './a-worker.ts'
import { anOpenBasin, aFullDesign } from './open-basin.ts'

let store: ReturnType<typeof useDesign>
let wrapper: VueWrapper

beforeAll(aPage)
afterAll(endWorkers)
afterEach(() => wrapper.unmount())
beforeEach(async () => {
  sessionStorage.clear()
  store = await anOpenBasin(assuming.allAssumed(aFullDesign()))
  ;({ wrapper } = await shownAt('/basins/b/start', StartView, { id: 'b' }))
  await until(() => store.loadState === 'ready', 'the basin is open')
  await flushPromises()
})

const heading = () => document.querySelector('h2')!.textContent.trim()
const isLaid = () => until(() => !text().includes('being laid out'), 'the answers are laid out')

describe('the questions', () => {
  test('of each kind begin with the kind and end with what comes out', () => {
    for (const { kind } of starting.START_KINDS) {
      const ids = questionsFor(starting.noAnswers(kind, 'metric')).map(({ id }) => id)
      expect([kind, ids[0], ids.at(-1), ids.at(-2)]).toEqual([kind, 'kind', 'done', 'pump'])
    }
    expect(questionsFor(starting.noAnswers('pump-only', 'us'))).toHaveLength(5)
  })
  test('change nothing before the first answer, and each says why it is asked', async () => {
    const before = store.design
    expect(heading()).toBe('What are you building?')
    expect(text()).toContain('It says which way the water takes')
    await press('I don’t know yet')
    expect(store.design).toBe(before)
    expect(heading()).toBe('Which tank?')
  })
})

describe('an answer', () => {
  test('is laid out into the drawing, given; what was not said is assumed', async () => {
    await press(/^A tank over a sump/)
    await enter('Length', '1100')
    await enter('Front to back', '500')
    await enter('Height', '450')
    await until(() => store.design!.tanks[0]!.lengthM === 1.1, 'the tank is laid')
    await isLaid()
    expect(store.isAssumed(['tanks', 0, 'lengthM'])).toBe(false)
    expect(store.isAssumed(['tanks', 0, 'floorHeightM'])).toBe(true)
    expect(store.solved!.findings.filter(({ severity }) => severity === 'stop')).toEqual([])
    // A wish for a flow is turned into a turnover by the water there is.
    await press('Next')
    expect(heading()).toBe('What lives there?')
    const way = field('Or say it as') as unknown as HTMLSelectElement
    way.selectedIndex = 2
    way.dispatchEvent(new Event('change'))
    await flushPromises()
    await enter('Wanted flow', '1000 L/h')
    await until(() => !store.isAssumed(['tanks', 0, 'turnoverPerH']), 'the wish is laid')
    expect(store.solved!.totals.wantedFlowM3PerS * 3.6e6).toBeCloseTo(1000, 0)
  })
  test('by volume says what sizes are assumed; outside sizes lose their panels', async () => {
    await press(/^All in one/)
    document.querySelector<HTMLInputElement>('input[value=volume]')!.click()
    await flushPromises()
    await enter('What it holds', '200 L')
    await until(() => store.design!.tanks.length === 1 && store.design!.sump.box !== null, 'laid')
    expect(text()).toContain('Assumed as such tanks are mostly built')
    document.querySelector<HTMLInputElement>('input[value=sizes]')!.click()
    await flushPromises()
    document.querySelector<HTMLInputElement>('input[type=checkbox]')!.click()
    await flushPromises()
    await enter('Length', '920')
    await enter('Front to back', '470')
    await enter('Height', '510')
    await until(() => store.design!.tanks[0]!.lengthM === 0.9, 'inside sizes are laid')
    expect(store.design!.tanks[0]!.heightM).toBeCloseTo(0.5, 9)
  })
  test('that was given last is laid before the questions are left', async () => {
    await press(/^Only the pump’s flow/)
    await enter('From the water up to the pipe’s end', '1.5 m')
    await press('Skip the rest')
    await until(() => !hasButton('Skip the rest'), 'the questions are left')
    expect(store.solved!.returnSide.lines[0]!.liftM).toBeCloseTo(1.5, 6)
  })
})
