import { beforeEach, describe, expect, test } from '@jest/globals'
import { assuming, editing } from '@yew-basin/core'
import { flushPromises } from '@vue/test-utils'
import TankBench from '../src/bench/TankBench.vue'
import OverflowDrawing from '../src/section/OverflowDrawing.vue'
import type { useDesign } from '../src/workspace/design-store.ts'
import WaterPath from '../src/workspace/WaterPath.vue'
import { button, enter, field, hasButton, press, shown, text } from './a-view.ts'
import { aFullDesign, anOpenBasin } from './open-basin.ts'

let store: ReturnType<typeof useDesign>
const LENGTH = `tanks[${aFullDesign().tanks[0]!.id}].lengthM`

beforeEach(async () => {
  store = await anOpenBasin(assuming.allAssumed(aFullDesign()))
})

describe('a stop’s assumed figures', () => {
  test('are pencilled, counted, and given once typed', async () => {
    await shown(TankBench)
    const count = store.standings!.tank.assumed.length
    expect(text()).toContain(`${count} assumed.`)
    expect(field('Length').className).toContain('box-assumed')
    await enter('Length', '1234 mm')
    expect(field('Length').className).not.toContain('box-assumed')
    expect(store.design!.assumed).not.toContain(LENGTH)
    expect(text()).toContain(`${count - 1} assumed.`)
  })
  test('typed as they stood, or confirmed, they are given without a change of the design', async () => {
    await shown(TankBench)
    const { assumed: _, ...before } = store.design!
    await enter('Length', String(Math.round(store.tank!.lengthM * 1000)))
    expect(store.isAssumed(['tanks', 0, 'lengthM'])).toBe(false)
    await press('Confirm Width, front to back')
    expect(store.isAssumed(['tanks', 0, 'widthM'])).toBe(false)
    const { assumed: __, ...after } = store.design!
    expect(after).toEqual(before)
  })
  test('all of a stop in one tap, which can be undone', async () => {
    await shown(TankBench)
    await press('Confirm all that is assumed here')
    expect(store.standings!.tank.assumed).toEqual([])
    expect(hasButton('Confirm all that is assumed here')).toBe(false)
    expect(store.standings!.sump.assumed.length).toBeGreaterThan(0)
    await store.undo()
    await flushPromises()
    expect(button('Confirm all that is assumed here')).toBeTruthy()
  })
  test('what is typed in one breath is one step, the mark with it', async () => {
    const before = store.design
    store.set(['tanks', 0, 'lengthM'], 1.1)
    store.set(['tanks', 0, 'lengthM'], 1.11)
    await store.undo()
    expect(store.design).toEqual(before)
  })
})

describe('what a builder lays', () => {
  test('is assumed, though all was given before; what a keeper gave it is his', async () => {
    store = await anOpenBasin()
    expect(store.assumed.size).toBe(0)
    store.lay(editing.otherOverflow(store.design!, 0, { form: 'outer-box', place: 'left' }), [
      `tanks[${store.tank!.id}].overflow.box.lengthM`,
    ])
    expect(store.isAssumed(['tanks', 0, 'overflow', 'box', 'widthM'])).toBe(true)
    expect(store.isAssumed(['tanks', 0, 'overflow', 'box', 'lengthM'])).toBe(false)
    expect(store.isAssumed(['tanks', 0, 'lengthM'])).toBe(false)
  })
  test('is drawn in pencil', async () => {
    const overflow = {
      tankId: store.tank!.id,
      name: 'Tank',
      left: 0,
      right: 40,
      rim: 10,
      floor: 50,
      crest: 10,
      teethTop: 5,
      teeth: '',
      drowned: false,
      water: null,
      boxM: null,
      boxBandM: 0,
    }
    const { wrapper } = await shown(OverflowDrawing, { overflow })
    const box = () => wrapper.findAll('path').filter((path) => path.attributes('stroke-dasharray'))
    expect(box()).toHaveLength(1)
    store.confirm([...store.assumed])
    await flushPromises()
    expect(box()).toHaveLength(0)
  })
})

describe('the water’s way', () => {
  const marks = () =>
    [...document.querySelectorAll('nav [role=img]')].map((mark) => mark.getAttribute('aria-label'))
  test('calls nothing fine that is assumed or not set', async () => {
    await shown(WaterPath, { station: 'tank' })
    expect(marks()).not.toContain('fine')
    expect(text()).toContain(`${store.standings!.tank.assumed.length} assumed`)
    store.confirm([...store.assumed])
    await flushPromises()
    expect(marks()).not.toContain('assumed')
    expect(text()).not.toContain('assumed')
  })
})
