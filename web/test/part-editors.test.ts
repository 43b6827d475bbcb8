import { beforeEach, describe, expect, test } from '@jest/globals'
import { PART_KINDS, readPart } from '@yew-basin/contract'
import { LIMITS, type Limit } from '@yew-basin/contract/limits'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { nextTick, type Component } from 'vue'
import QuantityField from '../src/bench/QuantityField.vue'
import CirculationEditor from '../src/parts/CirculationEditor.vue'
import DeviceEditor from '../src/parts/DeviceEditor.vue'
import PumpEditor from '../src/parts/PumpEditor.vue'
import { boxFaults, newPump } from '../src/parts/new-pump.ts'
import { newSpec } from '../src/parts/part-words.ts'

type Spec = Readonly<Record<string, unknown>>

/** An editor that gives back what it is given, as its form does. */
function anEditor(editor: Component, spec: Spec) {
  const wrapper = mount(editor, {
    props: {
      modelValue: spec,
      'onUpdate:modelValue': (to: Spec) => wrapper.setProps({ modelValue: to }),
    },
  })
  const field = (label: string) =>
    wrapper.findAllComponents(QuantityField).find((field) => field.props('label') === label)!
  const spent = () => wrapper.props('modelValue') as Spec
  return { wrapper, field, spent }
}

test.each(PART_KINDS.filter((kind) => kind !== 'pump'))(
  'a new part of kind %s may be kept as it is',
  (kind) => {
    expect(readPart({ kind, name: 'Mine', spec: newSpec(kind) })).toMatchObject({ ok: true })
  },
)

test('a new pump wants the numbers on its box, and then may be kept', () => {
  const pump = newPump()
  expect(boxFaults(pump)).toEqual([
    'Most flow is not set yet.',
    'Most head is not set yet.',
    'Power is not set yet.',
  ])
  expect(readPart({ kind: 'pump', name: 'Mine', spec: pump }).ok).toBe(false)
  const typed = { ...pump, maxFlowM3PerS: 5e-4, shutOffHeadM: 3, ratedPowerW: 20 }
  expect(boxFaults(typed)).toEqual([])
  expect(readPart({ kind: 'pump', name: 'Mine', spec: typed })).toMatchObject({ ok: true })
  expect(boxFaults({ ...typed, name: ' ', shutOffHeadM: 0 })).toEqual([
    'Most head is not set yet.',
    'It has no name yet.',
  ])
})

test('a pump is given a size, and lets go of it', async () => {
  setActivePinia(createPinia())
  const { wrapper, field, spent } = anEditor(PumpEditor, { ...newPump() })
  const tick = wrapper.findAll('label').find((label) => label.text().startsWith('its size'))!
  await tick.find('input').setValue(true)
  expect(spent()['size']).toEqual({ lengthM: 0.12, widthM: 0.08, heightM: 0.1 })
  field('Its height').vm.$emit('update:modelValue', 0.15)
  await nextTick()
  expect(spent()['size']).toMatchObject({ lengthM: 0.12, heightM: 0.15 })
  await tick.find('input').setValue(false)
  expect(spent()['size']).toBeNull()
})

describe('an editor of a part', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
  })

  test.each([
    ['a skimmer', DeviceEditor, 'skimmer'],
    ['a sterilizer', DeviceEditor, 'sterilizer'],
    ['a chiller', DeviceEditor, 'chiller'],
    ['a circulation pump', CirculationEditor, 'circulation'],
  ] as const)('of %s shows what it set, figure by figure', async (_, editor, kind) => {
    const { wrapper } = anEditor(editor, newSpec(kind) as Spec)
    const labels = wrapper
      .findAllComponents(QuantityField)
      .map((field) => field.props('label') as string)
    expect(labels.length).toBeGreaterThan(4)
    for (const label of labels) {
      const field = () =>
        wrapper.findAllComponents(QuantityField).find((field) => field.props('label') === label)!
      const { limit, modelValue } = field().props() as { limit: Limit; modelValue: number }
      const wanted = modelValue === limit.max ? limit.min : (modelValue + limit.max) / 2
      field().vm.$emit('update:modelValue', wanted)
      await nextTick()
      expect([label, field().props('modelValue')]).toEqual([label, wanted])
    }
  })
  test('a wanted flow keeps its least below its most', async () => {
    const { wrapper, field } = anEditor(DeviceEditor, newSpec('chiller') as Spec)
    const wants = wrapper.findAll('input[type=checkbox]').at(1)!
    if (!field('Least flow')) await wants.setValue(true)
    const most = field('Most flow').props('modelValue') as number
    expect((field('Least flow').props('limit') as Limit).max).toBe(most)
    expect((field('Most flow').props('limit') as Limit).max).toBe(LIMITS.deviceFlow.max)
  })
  test('another form of stream has its own figures, and not the other’s', async () => {
    const { wrapper, field, spent } = anEditor(CirculationEditor, newSpec('circulation') as Spec)
    expect(field('Bore of its opening')).toBeDefined()
    await wrapper.get('select').setValue('cross-flow')
    expect(field('Bore of its opening')).toBeUndefined()
    expect(field('Slot, long side').props('modelValue')).toBeGreaterThan(0)
    expect(spent()).toMatchObject({ form: 'cross-flow', boreM: null })
    await wrapper.get('select').setValue('jet')
    expect(spent()).toMatchObject({ slotLengthM: null, slotWidthM: null })
  })
})
