import { afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import HoleList from '../src/overflow/HoleList.vue'
import ChamberRows from '../src/sump/ChamberRows.vue'
import LoadFields from '../src/treatment/LoadFields.vue'
import TargetRows from '../src/treatment/TargetRows.vue'
import type { useDesign } from '../src/workspace/design-store.ts'
import { button, enter, field, hasButton, press, shown, text } from './a-view.ts'
import { aPage } from './a-worker.ts'
import { anOpenBasin } from './open-basin.ts'

let store: ReturnType<typeof useDesign>
let wrapper: VueWrapper

beforeAll(aPage)
beforeEach(async () => {
  store = await anOpenBasin()
})
afterEach(async () => {
  wrapper.unmount()
  await store.leave()
})

describe('the holes of an overflow', () => {
  const holes = () => store.design!.tanks[0]!.overflow!.holes
  beforeEach(async () => {
    ;({ wrapper } = await shown(HoleList))
  })

  test('are added beside the last, inside the tank, and taken out again', async () => {
    const before = holes()
    await press('Hole')
    await press('Hole')
    expect(holes()).toHaveLength(before.length + 2)
    const [first, second] = holes().slice(-2)
    expect(second!.id).not.toBe(first!.id)
    for (const { alongM } of holes().slice(-2)) {
      expect(alongM).toBeGreaterThan(0)
      expect(alongM).toBeLessThan(store.design!.tanks[0]!.lengthM)
    }
    expect(text()).toContain('drill')
    await press(`Take out hole ${before.length + 2}`)
    await press(`Take out hole ${before.length + 1}`)
    expect(holes()).toEqual(before)
  })
  test('change their bulkhead with all that it needs of the glass', async () => {
    await press('Hole')
    const last = holes().length
    const select = [...document.querySelectorAll('select')]
      .filter((select) =>
        [...select.options].some(({ value }) => value === holes().at(-1)!.bulkhead.size),
      )
      .at(-1)!
    const other = [...select.options].find(({ value }) => value !== select.value)!.value
    select.value = other
    select.dispatchEvent(new Event('change', { bubbles: true }))
    await flushPromises()
    expect(holes()[last - 1]!.bulkhead.size).toBe(other)
    expect(holes()[last - 1]!.bulkhead.holeM).toBeGreaterThan(holes()[last - 1]!.bulkhead.boreM)
  })
})

describe('the chambers of a sump', () => {
  const names = () => store.design!.sump.chambers.map(({ name }) => name)
  beforeEach(async () => {
    ;({ wrapper } = await shown(ChamberRows))
  })

  test('change places, and the walls go with them', async () => {
    const before = names()
    const walls = store.design!.sump.walls.length
    await press(`Move ${before[0]!} right`)
    expect(names().slice(0, 2)).toEqual([before[1], before[0]])
    expect(store.design!.sump.walls).toHaveLength(walls)
    await press(`Move ${before[0]!} left`)
    expect(names()).toEqual(before)
  })
  test('stay where the list ends', () => {
    const all = names()
    expect((button(`Move ${all[0]!} left`) as HTMLButtonElement).disabled).toBe(true)
    expect((button(`Move ${all.at(-1)!} right`) as HTMLButtonElement).disabled).toBe(true)
  })
})

describe('what is fed', () => {
  test('counts a day’s dry food, and goes with its food', async () => {
    ;({ wrapper } = await shown(LoadFields))
    const foods = () => store.design!.treatment.feeds
    const before = foods().length
    const load = store.solved!.treatment.load.most.dryFeedKgPerDay
    expect(before).toBeGreaterThan(0)
    await press(`Take out ${foods()[0]!.name}`)
    expect(foods()).toHaveLength(before - 1)
    expect(store.solved!.treatment.load.most.dryFeedKgPerDay).toBeLessThan(load)
    await store.undo()
    expect(store.solved!.treatment.load.most.dryFeedKgPerDay).toBe(load)
  })
})

describe('what a sterilizer is for', () => {
  const targets = () => store.design!.treatment.targets
  beforeEach(async () => {
    ;({ wrapper } = await shown(TargetRows, {
      lit: store.solved!.treatment.sterilizers[0] ?? null,
    }))
  })
  test('has rows of the keeper’s own, and forgets the chosen one with its row', async () => {
    const before = targets().length
    const add = [...document.querySelectorAll<HTMLElement>('button')].at(-1)!
    add.click()
    await flushPromises()
    expect(targets()).toHaveLength(before + 1)
    expect(hasButton('Take out Another one')).toBe(true)
    await enter('Organism', 'Film on the glass')
    expect(targets().at(-1)!.organism).toBe('Film on the glass')
    store.set(['treatment', 'targetId'], targets().at(-1)!.id)
    await flushPromises()
    await press('Take out Film on the glass')
    expect([targets().length, store.design!.treatment.targetId]).toEqual([before, null])
  })
})

test('a field that is looked for and is not there is named', async () => {
  ;({ wrapper } = await shown(HoleList))
  expect(() => field('Nothing of the kind')).toThrow('Nothing of the kind')
})
