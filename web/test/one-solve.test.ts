import { steadyStatesSearched } from '@yew-basin/core/lab'
import { afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { disposePinia, getActivePinia } from 'pinia'
import { defineComponent, h, type Component } from 'vue'
import { createMemoryHistory, createRouter, RouterView } from 'vue-router'
import CurrentsView from '../src/currents/CurrentsView.vue'
import DrillsView from '../src/drills/DrillsView.vue'
import PumpsView from '../src/pumps/PumpsView.vue'
import RoomView from '../src/room/RoomView.vue'
import SizeView from '../src/size/SizeView.vue'
import { STATIONS } from '../src/workspace/stations.ts'
import WorkspaceView from '../src/workspace/WorkspaceView.vue'
import { anOpenBasin } from './open-basin.ts'

const VIEWS: readonly (readonly [string, Component, string])[] = [
  ...STATIONS.map((name) => [name, WorkspaceView, name] as const),
  ['pumps', PumpsView, 'pumps'],
  ['drills', DrillsView, 'drills'],
  ['room', RoomView, 'room'],
  ['size', SizeView, 'size'],
  ['currents', CurrentsView, 'currents'],
]

const Nothing = defineComponent({ render: () => h('div') })

beforeAll(() => {
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  } as unknown as typeof ResizeObserver
  Object.defineProperty(document, 'fonts', { value: { load: async () => [] } })
  HTMLCanvasElement.prototype.getContext = () => null
  // Nobody answers: what a worker is asked is none of the page's work.
  globalThis.Worker = class extends EventTarget {
    postMessage() {}
    terminate() {}
  } as unknown as typeof Worker
})

/** Parts that come when they are wanted have come, and what waits a moment has been done. */
async function settled(): Promise<void> {
  for (let i = 0; i < 5; i++) {
    await new Promise((resolve) => setTimeout(resolve, 20))
    await flushPromises()
  }
}

/** Opens all that can be opened, and what comes out of it, as far as it goes. */
async function openAll(wrapper: VueWrapper): Promise<number> {
  let opened = 0
  for (let round = 0; round < 3; round++) {
    for (const closed of wrapper.findAll('button[aria-expanded=false]')) {
      if (closed.attributes('aria-haspopup')) continue
      await closed.trigger('click')
      opened += 1
    }
  }
  await flushPromises()
  return opened
}

describe('a change of the design is solved once on the page’s thread', () => {
  beforeEach(() => {
    document.body.innerHTML = ''
  })
  // What a store still waits to do is not done in the next test.
  afterEach(() => disposePinia(getActivePinia()!))

  test.each(VIEWS)('at %s, with all that opens open', async (name, view, at) => {
    const store = await anOpenBasin()
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [
        { path: '/basins/:id/:at', component: view, props: { id: 'b', station: at } },
        { path: '/:all(.*)*', component: Nothing },
      ],
    })
    await router.push(`/basins/b/${at}`)
    const wrapper = mount(RouterView, {
      global: { plugins: [router], stubs: { PlainChart: true } },
      attachTo: document.body,
    })
    await settled()
    expect(wrapper.text().length).toBeGreaterThan(100)
    const opened = await openAll(wrapper)
    if (view === WorkspaceView) expect(opened).toBeGreaterThan(0)
    await settled()
    // As a keystroke does it: shown at once, kept when the field is left.
    for (const lengthM of [1.21, 1.22, 1.23]) {
      const before = steadyStatesSearched()
      store.set(['tanks', 0, 'lengthM'], lengthM)
      await settled()
      expect([name, steadyStatesSearched() - before]).toEqual([name, 1])
    }
    wrapper.unmount()
  })
})
