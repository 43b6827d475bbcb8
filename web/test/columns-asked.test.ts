import { describe, expect, test } from '@jest/globals'
import { mount } from '@vue/test-utils'
import { createPinia } from 'pinia'
import ColumnsAsked from '../src/parts/ColumnsAsked.vue'
import { type CurveRow, readCurveCsv } from '../src/parts/curve-csv.ts'

const TEXT = '3.2;0;30\n2.5;1000;38\n1;2000;42\n'

function asked() {
  const read = readCurveCsv(TEXT)
  if (read.ok || !('asks' in read)) throw new Error('it did not ask')
  return mount(ColumnsAsked, {
    props: { text: TEXT, ...read.asks },
    global: { plugins: [createPinia()], stubs: { PlainChart: true } },
  })
}
const button = (view: ReturnType<typeof asked>, words: string) =>
  view.findAll('button').find((found) => found.text() === words)

describe('a file that does not say which column is which', () => {
  test('shows its first lines under a guess, and gives the curve when that is right', async () => {
    const view = asked()
    expect(view.text()).toContain('2.5')
    expect(view.findAll('select').map(({ element }) => element.value)).toEqual([
      'head m',
      'flow L/h',
      '',
    ])
    await button(view, 'Take this curve')!.trigger('click')
    const [[rows]] = view.emitted('taken') as [[readonly CurveRow[]]]
    expect(rows.map(({ headM }) => headM)).toEqual([3.2, 2.5, 1])
  })
  test('takes another unit, and power where it is told', async () => {
    const view = asked()
    const [head, , power] = view.findAll('select')
    await head!.setValue('head ft')
    await power!.setValue('power W')
    await button(view, 'Take this curve')!.trigger('click')
    const [[rows]] = view.emitted('taken') as [[readonly CurveRow[]]]
    expect(rows[1]!.headM).toBeCloseTo(2.5 * 0.3048, 9)
    expect(rows[1]!.powerW).toBe(38)
  })
  test('says what is wrong with a choice, and offers nothing then', async () => {
    const view = asked()
    await view.findAll('select')[0]!.setValue('')
    expect(view.find('[role=alert]').text()).toContain('No column is its head.')
    expect(button(view, 'Take this curve')).toBeUndefined()
    await button(view, 'Leave it')!.trigger('click')
    expect(view.emitted('left')).toHaveLength(1)
  })
})
