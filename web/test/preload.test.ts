import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { defineComponent } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { preloadViews } from '../src/shell/preload.ts'

const Shown = defineComponent({ render: () => null })

function aRouter(fails: string | null = null) {
  const loaded: string[] = []
  const loader = (name: string) => async () => {
    loaded.push(name)
    if (name === fails) throw new Error('gone')
    return { default: Shown }
  }
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', component: Shown },
      { path: '/basins/:id', component: Shown },
      ...['room', 'pumps', 'drills'].map((name) => ({
        path: `/basins/:id/${name}`,
        component: loader(name),
      })),
    ],
  })
  preloadViews(router)
  return { router, loaded }
}

beforeEach(() => {
  jest.useFakeTimers()
})
afterEach(() => {
  jest.useRealTimers()
})
const later = () => jest.advanceTimersByTimeAsync(10_000)

test('the other views are fetched once a basin is open, each once, and not before', async () => {
  const { router, loaded } = aRouter()
  await router.push('/')
  await later()
  expect(loaded).toEqual([])
  await router.push('/basins/b')
  expect(loaded).toEqual([])
  await later()
  expect(loaded.toSorted()).toEqual(['drills', 'pumps', 'room'])
  await router.push('/')
  await router.push('/basins/c')
  await later()
  expect(loaded).toHaveLength(3)
})

test('one that can’t be fetched ends it: it is asked for again when it is gone to', async () => {
  const { router, loaded } = aRouter('pumps')
  await router.push('/basins/b')
  await later()
  expect(loaded.at(-1)).toBe('pumps')
  expect(loaded.length).toBeLessThan(3)
})
