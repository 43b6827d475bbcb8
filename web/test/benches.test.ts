import { beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { LIMITS, type Limit } from '@yew-basin/contract/limits'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { defineComponent, h, type Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import QuantityField from '../src/bench/QuantityField.vue'
import TankBench from '../src/bench/TankBench.vue'
import DrainsBench from '../src/drains/DrainsBench.vue'
import OverflowBench from '../src/overflow/OverflowBench.vue'
import CabinetFields from '../src/room/CabinetFields.vue'
import SumpBench from '../src/sump/SumpBench.vue'
import SkimmerBench from '../src/treatment/SkimmerBench.vue'
import SterilizerBench from '../src/treatment/SterilizerBench.vue'
import { useUnits } from '../src/shell/units.ts'
import { spaced } from './a-view.ts'
import { anOpenBasin } from './open-basin.ts'

const BENCHES: readonly (readonly [string, Component])[] = [
  ['tank', TankBench],
  ['overflow', OverflowBench],
  ['drains', DrainsBench],
  ['sump', SumpBench],
  ['cabinet', CabinetFields],
  ['skimmer', SkimmerBench],
  ['sterilizer', SterilizerBench],
]

const Nothing = defineComponent({ render: () => h('div') })
const router = createRouter({
  history: createMemoryHistory(),
  routes: [{ path: '/:all(.*)*', component: Nothing }],
})

async function shown(bench: Component): Promise<VueWrapper> {
  const wrapper = mount(bench, {
    global: { plugins: [router], stubs: { PlainChart: true } },
    attachTo: document.body,
  })
  await flushPromises()
  // Of drains one at a time is open: the first.
  const closed = wrapper.find('[aria-label=Pipes] button[aria-expanded=false]')
  if (closed.exists()) await closed.trigger('click')
  return wrapper
}

/** Another value that the field takes. */
function another(limit: Limit, now: number): number {
  const { min, max } = limit
  // So many of something are whole numbers.
  if (limit === LIMITS.count) return now + 1 <= max ? now + 1 : now - 1
  const step = Math.min((max - min) / 50, Math.max(Math.abs(now) / 20, (max - min) / 1e4))
  return now + step <= max ? now + step : now - step
}

beforeAll(() => {
  // What jsdom has not, and no bench needs to be right.
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  } as unknown as typeof ResizeObserver
})

const fieldsOf = (wrapper: VueWrapper) => wrapper.findAllComponents(QuantityField)

describe.each(BENCHES)('the bench of the %s', (_, bench) => {
  beforeEach(() => {
    jest.useFakeTimers()
    document.body.innerHTML = ''
  })

  test('has fields, and each shows what it has just set, in the design and back', async () => {
    const store = await anOpenBasin()
    const wrapper = await shown(bench)
    const count = fieldsOf(wrapper).length
    expect(count).toBeGreaterThan(0)
    for (let i = 0; i < count; i++) {
      const field = fieldsOf(wrapper)[i]!
      const { label, limit, modelValue } = field.props() as {
        label: string
        limit: Limit
        modelValue: number
      }
      const before = store.design
      const wanted = another(limit, modelValue)
      field.vm.$emit('update:modelValue', wanted)
      await flushPromises()
      const after = fieldsOf(wrapper).find((other) => other.props('label') === label)
      expect([label, store.design === before]).toEqual([label, false])
      const off = Math.abs((after!.props('modelValue') as number) - wanted)
      if (off > 1e-9) throw new Error(`${label} shows ${after!.props('modelValue')}, not ${wanted}`)
      await store.undo()
      await flushPromises()
      expect([label, JSON.stringify(store.design) === JSON.stringify(before)]).toEqual([
        label,
        true,
      ])
    }
    wrapper.unmount()
  })

  test('can be worked by name: no field is without one, and no two have the same', async () => {
    await anOpenBasin()
    const wrapper = await shown(bench)
    const names = wrapper
      .findAllComponents(QuantityField)
      .map((field) => field.props('label') as string)
    expect(names.every((name) => name.length > 0)).toBe(true)
    expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([])
    wrapper.unmount()
  })
})

test('a drain says what it would carry full, how far that is known, and what depths are asked of its inlet', async () => {
  document.body.innerHTML = ''
  const store = await anOpenBasin()
  const wrapper = await shown(DrainsBench)
  const units = useUnits()
  const [drain] = store.solved!.drains
  const facts = spaced(wrapper.text())
  const { primedM3PerS: si, primedBandM3PerS, leastOverInletM, bellOverInletM } = drain!
  expect(primedBandM3PerS).toBeGreaterThan(0)
  expect(facts).toContain(
    spaced(
      `${units.text('flow', si, primedBandM3PerS)} ± ${units.band({ quantity: 'flow', si }, primedBandM3PerS)}`,
    ),
  )
  for (const depthM of [leastOverInletM!, bellOverInletM!]) {
    expect(facts).toContain(spaced(units.text('length', depthM)))
  }
  wrapper.unmount()
})
