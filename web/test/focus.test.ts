import { beforeEach, describe, expect, test } from '@jest/globals'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { defineComponent, h, nextTick, ref } from 'vue'
import { createMemoryHistory, createRouter, RouterView } from 'vue-router'
import RunLine from '../src/run/RunLine.vue'
import { focusHeadings, useFocusAfterRemoval } from '../src/shell/focus.ts'
import UnitSwitch from '../src/shell/UnitSwitch.vue'
import { useUnits } from '../src/shell/units.ts'
import SpokenLine from '../src/workspace/SpokenLine.vue'
import { shown, text } from './a-view.ts'
import { anOpenBasin } from './open-basin.ts'

const soon = (ms = 90) => new Promise((resolve) => setTimeout(resolve, ms))
const focused = () => document.activeElement?.textContent?.trim()

beforeEach(() => {
  localStorage.clear()
  document.body.innerHTML = ''
  setActivePinia(createPinia())
})

describe('the focus', () => {
  const view = (words: string) => defineComponent({ render: () => h('main', h('h2', words)) })
  test('goes to the heading of a view that was changed to, not of the first one', async () => {
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [
        { path: '/a', name: 'a', component: view('First') },
        { path: '/b', name: 'b', component: view('Second') },
      ],
    })
    focusHeadings(router)
    await router.push('/a')
    mount(RouterView, { global: { plugins: [router] }, attachTo: document.body })
    await soon()
    expect(document.activeElement).toBe(document.body)
    await router.push('/b')
    await soon()
    expect(focused()).toBe('Second')
  })
  test('goes to the next thing when one is taken out of its list, and to the heading after the last', async () => {
    const things = ref(['one', 'two'])
    const list = defineComponent({
      setup() {
        useFocusAfterRemoval()
        const take = (thing: string) => () =>
          (things.value = things.value.filter((t) => t !== thing))
        const item = (thing: string) =>
          h('li', { key: thing }, [h('button', { onClick: take(thing) }, `take ${thing}`)])
        return () => h('section', [h('h3', 'Things'), h('ol', things.value.map(item))])
      },
    })
    mount(list, { attachTo: document.body })
    for (const next of ['take two', 'Things']) {
      const [button] = [...document.querySelectorAll('button')]
      button!.focus()
      button!.click()
      await soon()
      expect(focused()).toBe(next)
    }
  })
})

test('the units answer to arrows, as radios do', async () => {
  const { wrapper } = await shown(UnitSwitch)
  const checked = () => wrapper.get('[aria-checked=true]')
  expect(checked().attributes('tabindex')).toBe('0')
  await checked().trigger('keydown', { key: 'ArrowRight' })
  await flushPromises()
  expect(useUnits().family).toBe('us')
  expect(document.activeElement).toBe(checked().element)
})

test('after an edit one line is said, and none for what only came in', async () => {
  const store = await anOpenBasin()
  const { wrapper } = await shown(SpokenLine)
  const said = () => wrapper.get('[role=status]').text().replace(/\s/g, ' ')
  await soon(1000)
  expect(said()).toBe('')
  store.set(['tanks', 0, 'turnoverPerH'], 60)
  await soon(1100)
  expect(said()).toMatch(/L\/h at the tanks?, \d+ ?% short/)
})

describe('the run as one line', () => {
  const line = async () => {
    const store = await anOpenBasin()
    const path = ['returnSide', 'lines', 0, 'run'] as const
    const { wrapper } = await shown(RunLine, {
      run: store.design!.returnSide.lines[0]!.run,
      path,
      isMet: () => false,
    })
    return { wrapper, area: wrapper.get('textarea') }
  }
  test('points at the words that could not be read', async () => {
    const { wrapper, area } = await line()
    await area.setValue('up 300 mm, upp 20 cm')
    const fault = wrapper.get('[role=alert] button')
    await fault.trigger('click')
    const { selectionStart, selectionEnd, value } = area.element
    expect(value.slice(selectionStart, selectionEnd)).toBe('upp 20 cm')
  })
  test('lists its words as they are typed, and takes the one that is chosen', async () => {
    const { wrapper, area } = await line()
    area.element.value = 'up 300 mm, sw'
    area.element.setSelectionRange(13, 13)
    await area.trigger('input')
    const words = () => wrapper.findAll('[role=group] button').map((button) => button.text())
    expect(words()).toEqual(['sweep', 'swing check'])
    await wrapper.findAll('[role=group] button')[0]!.trigger('click')
    await nextTick()
    expect(area.element.value).toBe('up 300 mm, sweep ')
    expect(text()).not.toContain('starts no piece')
  })
})
