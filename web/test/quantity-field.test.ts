import { beforeEach, describe, expect, test } from '@jest/globals'
import { LIMITS } from '@yew-basin/contract/limits'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { nextTick } from 'vue'
import QuantityField from '../src/bench/QuantityField.vue'
import { useUnits } from '../src/shell/units.ts'

function aField(si: number) {
  const field = mount(QuantityField, {
    props: { label: 'Length', limit: LIMITS.tankLength, modelValue: si },
  })
  const input = field.get('input')
  const given = () => (field.emitted('update:modelValue') ?? []).flat() as number[]
  return { field, input, given, value: () => input.element.value }
}

describe('a quantity field', () => {
  beforeEach(() => {
    localStorage.clear()
    setActivePinia(createPinia())
  })

  test('shows the value in the unit in use, and follows the switch', async () => {
    const { value } = aField(1.4)
    expect(value()).toBe('1400')
    useUnits().family = 'us'
    await nextTick()
    expect(value()).toBe('55.118')
  })
  test('takes either family as it is typed', async () => {
    const { input, given } = aField(1.4)
    await input.setValue('48 in')
    expect(given()).toEqual([48 * 0.0254])
  })
  test('is empty where nothing is set yet, and steps from the least there may be', async () => {
    const { input, given, value } = aField(NaN)
    expect(value()).toBe('')
    await input.trigger('keydown', { key: 'ArrowUp' })
    expect(given()).toEqual([0.101])
  })
  test('says what is possible and keeps what was typed', async () => {
    const { field, input, given, value } = aField(1.4)
    await input.setValue('99 m')
    await input.trigger('blur')
    expect(given()).toEqual([])
    expect(value()).toBe('99 m')
    expect(field.text().replace(/\u202f/g, ' ')).toContain('Possible: 100–10 000 mm.')
    expect(input.attributes('aria-invalid')).toBe('true')
  })
  test.each([
    ['furlong', /Type a number/],
    ['3 furlongs', /“furlongs” is no unit/],
    ['', /Type a number/],
  ])('“%s” gets a message', async (text, message) => {
    const { field, input, given } = aField(1.4)
    await input.setValue(text)
    expect(given()).toEqual([])
    expect(field.text()).toMatch(message)
  })
  test('arrow keys step and stay inside the limit', async () => {
    const { field, input, given } = aField(1.4)
    await input.trigger('keydown', { key: 'ArrowUp' })
    expect(given().at(-1)).toBeCloseTo(1.401, 9)
    await field.setProps({ modelValue: 10 })
    await input.trigger('keydown', { key: 'ArrowUp', shiftKey: true })
    expect(given().at(-1)).toBe(10)
  })
  test('an undo from outside rewrites it, its own change does not', async () => {
    const { field, input, value } = aField(1.4)
    await input.setValue('1.5 m')
    await field.setProps({ modelValue: 1.5 })
    expect(value()).toBe('1.5 m')
    await input.trigger('blur')
    expect(value()).toBe('1500')
    await field.setProps({ modelValue: 1.4 })
    expect(value()).toBe('1400')
  })
  test('asks where a dot may be of thousands and both readings are possible, and takes the one that is meant', async () => {
    const field = mount(QuantityField, {
      props: { label: 'Flow', limit: LIMITS.wantedFlow, modelValue: 0.5 / 3600 },
    })
    const input = field.get('input')
    await input.setValue('3.000 L/h')
    expect(field.emitted('update:modelValue')).toBeUndefined()
    expect(field.get('[role=alert]').text()).toMatch(/two ways/)
    await input.trigger('blur')
    expect(input.element.value).toBe('3.000 L/h')
    const [small, large] = field.findAll('button')
    expect([small!.text(), large!.text()].map((text) => text.replace(/\s/g, ' '))).toEqual([
      '3.0 L/h',
      '3 000 L/h',
    ])
    await large!.trigger('click')
    expect(field.emitted('update:modelValue')!.flat()).toEqual([expect.closeTo(3 / 3600, 9)])
    expect(field.find('[role=alert]').exists()).toBe(false)
  })
  test('asks nothing where one reading alone is possible, or the units settle it', async () => {
    const metric = aField(1.4)
    await metric.input.setValue('1.200')
    expect(metric.given()).toEqual([expect.closeTo(1.2, 9)])
    useUnits().family = 'us'
    const us = aField(1.4)
    await us.input.setValue('48.125')
    expect(us.given()).toEqual([expect.closeTo(48.125 * 0.0254, 9)])
  })
  test('Escape gives back what stood there', async () => {
    const { field, input, given, value } = aField(1.4)
    await input.trigger('focus')
    await input.setValue('48 in')
    await field.setProps({ modelValue: 48 * 0.0254 })
    await input.trigger('keydown', { key: 'Escape' })
    expect(given().at(-1)).toBe(1.4)
    await field.setProps({ modelValue: 1.4 })
    await input.setValue('99 m')
    await input.trigger('keydown', { key: 'Escape' })
    expect(value()).toBe('1400')
    expect(input.attributes('aria-invalid')).toBe('false')
  })
})
