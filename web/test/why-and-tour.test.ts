import { beforeEach, describe, expect, test } from '@jest/globals'
import { explaining } from '@yew-basin/core'
import { flushPromises, mount } from '@vue/test-utils'
import { createMemoryHistory, createRouter } from 'vue-router'
import TankBench from '../src/bench/TankBench.vue'
import DrainsBench from '../src/drains/DrainsBench.vue'
import TourBar from '../src/tour/TourBar.vue'
import { TOUR_STEPS } from '../src/tour/tour-steps.ts'
import { useTour } from '../src/tour/tour-store.ts'
import { DRAWING_SIZE, IDEA_DRAWINGS } from '../src/why/idea-drawings.ts'
import type { useDesign } from '../src/workspace/design-store.ts'
import AlongBar from '../src/workspace/AlongBar.vue'
import { button, enter, hasButton, press, shown, text } from './a-view.ts'
import { anOpenBasin } from './open-basin.ts'

let store: ReturnType<typeof useDesign>
beforeEach(async () => {
  document.body.innerHTML = ''
  store = await anOpenBasin()
})

describe('why it is so', () => {
  test('opens a stop’s ideas with what they come to here, and closes them', async () => {
    await shown(DrainsBench)
    expect(text()).not.toContain('A pipe full of water pulls')
    await press('Why is this so? Drains')
    await flushPromises()
    expect(text()).toContain('A pipe full of water pulls')
    expect(document.querySelectorAll('[data-testid=ideas] svg').length).toBeGreaterThan(1)
    expect(button('Why is this so? Drains').getAttribute('aria-expanded')).toBe('true')
    await press('Why is this so? Drains')
    expect(text()).not.toContain('A pipe full of water pulls')
  })
  test.each(explaining.IDEA_NAMES)('%s is drawn within its frame', (name) => {
    const { shapes, words } = IDEA_DRAWINGS[name]
    const { width, height } = DRAWING_SIZE
    for (const [, d] of shapes) {
      // Two numbers after M, L and Q stand in the frame; H and V have one each.
      for (const [, x] of d.matchAll(/[MLH](-?[\d.]+)/g)) expect(Number(x)).toBeLessThan(width)
      for (const [, y] of d.matchAll(/V(-?[\d.]+)/g)) expect(Number(y)).toBeLessThan(height)
    }
    for (const [x, y, words_] of words) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(y).toBeLessThan(height)
      // A letter is about 6 units wide.
      expect([words_, x + words_.length * 6 <= width]).toEqual([words_, true])
    }
  })
})

describe('a tank by other sizes', () => {
  const open = async () => {
    const details = document.querySelector('aside details, details') as HTMLDetailsElement
    details.open = true
    details.dispatchEvent(new Event('toggle'))
    await flushPromises()
  }

  test('by its volume its sizes are assumed, by outside ones they are given', async () => {
    await shown(TankBench)
    await open()
    const ways = [...document.querySelectorAll<HTMLInputElement>('details input[type=radio]')]
    ways.find(({ value }) => value === 'volume')!.click()
    await flushPromises()
    await enter('What it holds', '400 L')
    const { lengthM, widthM, heightM } = store.tank!
    expect(lengthM * widthM * heightM).toBeCloseTo(0.4, 9)
    expect(store.isAssumed(['tanks', 0, 'lengthM'])).toBe(true)
  })
})

describe('a target otherwise', () => {
  test('by what lives there, or the middle of a range', async () => {
    await shown(TankBench)
    const select = document.querySelector<HTMLSelectElement>('select')!
    select.value = 'stony'
    select.dispatchEvent(new Event('change'))
    await flushPromises()
    expect(store.tank!.turnoverPerH).toBe(10)
    select.value = 'range'
    select.dispatchEvent(new Event('change'))
    await flushPromises()
    await enter('From', '4')
    await enter('To', '7')
    expect(store.tank!.turnoverPerH).toBe(5.5)
    expect(select.value).toBe('range')
  })
})

describe('pipe that goes along', () => {
  const riserM = () =>
    Math.max(
      ...store.design!.returnSide.lines[0]!.run.pieces.map((piece) =>
        piece.kind === 'pipe' ? piece.lengthM : 0,
      ),
    )

  test('is said, however many strokes it takes, and can be left as it was', async () => {
    await shown(AlongBar)
    const before = riserM()
    const floorM = store.tank!.floorHeightM
    store.set(['tanks', 0, 'floorHeightM'], floorM + 0.1)
    store.set(['tanks', 0, 'floorHeightM'], floorM + 0.15)
    await flushPromises()
    expect(riserM()).toBeCloseTo(before + 0.15, 9)
    expect(text()).toContain('Pipe went along')
    await press('Leave it as it was')
    expect(riserM()).toBeCloseTo(before, 9)
    expect(store.tank!.floorHeightM).toBeCloseTo(floorM + 0.15, 9)
    expect(hasButton('Leave it as it was')).toBe(false)
    await store.undo()
    expect(riserM()).toBeCloseTo(before + 0.15, 9)
  })
  test('another change ends the offer', async () => {
    await shown(AlongBar)
    store.set(['tanks', 0, 'floorHeightM'], store.tank!.floorHeightM + 0.1)
    await flushPromises()
    expect(hasButton('Leave it as it was')).toBe(true)
    store.set(['tanks', 0, 'name'], 'Other')
    await flushPromises()
    expect(hasButton('Leave it as it was')).toBe(false)
  })
  test('what is followed stays assumed as it was', async () => {
    const [line] = store.design!.returnSide.lines
    const assumed = store.design!.assumed
    store.set(['tanks', 0, 'floorHeightM'], store.tank!.floorHeightM + 0.1)
    expect(store.design!.returnSide.lines[0]).not.toEqual(line)
    expect(store.design!.assumed).toEqual(assumed)
  })
})

describe('the tour', () => {
  test('goes from stop to stop, back, and away', async () => {
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:all(.*)*', component: { render: () => null } }],
    })
    await router.push('/basins/b/return')
    const tour = useTour()
    mount(TourBar, {
      props: { basinId: 'b' },
      global: { plugins: [router] },
      attachTo: document.body,
    })
    expect(text()).toBe('')
    tour.begin()
    await flushPromises()
    for (const [i, step] of TOUR_STEPS.entries()) {
      expect(text()).toContain(step.title)
      if (i > 0) expect(router.currentRoute.value.path).toBe(`/basins/b/${step.station}`)
      if (i < TOUR_STEPS.length - 1) await press('Next')
      await flushPromises()
    }
    await press('Back')
    expect(text()).toContain(TOUR_STEPS.at(-2)!.title)
    await press('Next')
    await press('Done')
    expect(tour.step).toBeNull()
    tour.begin()
    await flushPromises()
    await press('Leave the tour')
    expect(text()).toBe('')
  })
  test('takes a minute to read: under 230 words', () => {
    const words = TOUR_STEPS.flatMap(({ title, text: said }) => `${title} ${said}`.split(/\s+/))
    expect(words.length).toBeLessThan(230)
  })
})
