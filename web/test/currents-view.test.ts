import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { PartAnswer } from '@yew-basin/contract'
import {
  type Field,
  type FlowDomain,
  judgeField,
  type PackedField,
  packField,
  planField,
  unpackField,
  ROCK_LAYOUTS,
  START_NAMES,
  startLayout,
  type CirculationPart,
} from '@yew-basin/core'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import CurrentsView from '../src/currents/CurrentsView.vue'
import { useCurrents } from '../src/currents/currents-store.ts'
import { useParts } from '../src/parts/parts-store.ts'
import { useNotices } from '../src/shell/notices.ts'
import { useDesign } from '../src/workspace/design-store.ts'
import { aBrowser, AServer } from './a-server.ts'
import { button, enter, field, press, shownAt, text } from './a-view.ts'
import { aPage, endWorkers, until } from './a-worker.ts'
import { aFullDesign } from './open-basin.ts'

const PART: CirculationPart = {
  id: 'mover',
  name: 'Mover',
  form: 'nozzle',
  control: 'controllable',
  flowM3PerS: 0.001,
  boreM: 0.03,
  slot: null,
  powerW: 12,
  leastSpeed: 0.3,
  bodyM: 0.06,
} as unknown as CirculationPart

let server: AServer
let id: string
let store: ReturnType<typeof useDesign>
let currents: ReturnType<typeof useCurrents>
let wrapper: VueWrapper

beforeAll(aPage)
afterAll(endWorkers)
beforeEach(async () => {
  aBrowser()
  server = new AServer(aFullDesign())
  const scene = server.starter.tanks[0]!.scene
  const part = scene.pumps[0]?.part ?? PART
  server.parts = ['first', 'second', 'third', 'usual'].map(
    (at) =>
      ({
        id: at,
        kind: 'circulation',
        name: `Mover, ${at}`,
        own: false,
        spec: part,
      }) as unknown as PartAnswer,
  )
  id = server.has('Lower reef')
  store = useDesign()
  currents = useCurrents()
  const parts = useParts()
  ;({ wrapper } = await shownAt(`/basins/${id}/currents`, CurrentsView, { id }))
  await until(() => store.loadState === 'ready' && parts.ready, 'the basin is open')
  await flushPromises()
})
afterEach(async () => {
  currents.stop()
  wrapper.unmount()
  await store.leave()
})

const scene = () => store.design!.tanks[store.tankIndex]!.scene
const change = async (input: HTMLInputElement | HTMLSelectElement, to: string) => {
  input.value = to
  input.dispatchEvent(new Event('change', { bubbles: true }))
  await flushPromises()
}
const selectWith = (option: string) =>
  [...document.querySelectorAll('select')].find((select) =>
    [...select.options].some(({ value }) => value === option),
  )!

/** A verdict on still water: what it says does not matter. */
function judgedOf(domain: FlowDomain) {
  const plan = planField(domain, 'coarse')!
  const still = new Float32Array(plan.grid.fill.length)
  const field = {
    grid: plan.grid,
    speed: still,
    peak: still,
    rockIds: domain.rocks.map(({ id }) => id),
  }
  return judgeField(field as unknown as Field, domain)
}

/** Takes a coarse field, whole. */
async function simulated(): Promise<void> {
  await change(selectWith('coarse'), 'coarse')
  await until(() => currents.estimate !== null, 'it is known how long it takes')
  await flushPromises()
  await press('Simulate the field')
  await until(() => currents.field !== null && currents.at === null, 'the field is there', 60_000)
  await flushPromises()
}

/** A field as the first test that wants one simulated it: it is the same design in all of them. */
let bytes: Uint8Array | null = null
async function withField(): Promise<void> {
  if (!bytes) {
    await simulated()
    await until(() => server.fields.size > 0, 'it is kept')
    bytes = [...server.fields.values()][0]!
    return
  }
  server.fields.set(`${id}-d ${store.tank!.id}`, bytes)
  await currents.load(`${id}-d`, store.tank!.id)
  await flushPromises()
}

describe('what moves the water', () => {
  test('can be begun in every way there is, each with its reason and one step to undo', async () => {
    for (const name of START_NAMES) {
      const before = JSON.stringify(store.design)
      await change(selectWith('two-facing'), name)
      await press('Place them so')
      expect([name, scene().pumps.length > 0]).toEqual([name, true])
      const ids = scene().pumps.map((pump) => pump.id)
      expect(new Set(ids).size).toBe(ids.length)
      await store.undo()
      expect([name, JSON.stringify(store.design)]).toEqual([name, before])
    }
  })

  test('is added one by one, chosen, changed and taken out', async () => {
    const many = scene().pumps.length
    await press('Add one')
    expect(scene().pumps).toHaveLength(many + 1)
    const added = scene().pumps.at(-1)!
    expect(currents.chosen).toEqual({ kind: 'pump', id: added.id })
    await enter('Name', 'Behind the rock')
    expect(scene().pumps.at(-1)!.name).toBe('Behind the rock')
    const reach = () => currents.quick.find(({ streamId }) => streamId === added.id)!
    const before = reach()
    currents.setPump(added.id, { speed: Math.max(added.part.leastSpeed, added.speed / 2) })
    if (added.part.control === 'controllable') {
      expect(reach().jet.exitSpeedMPerS).toBeLessThan(before.jet.exitSpeedMPerS)
    }
    currents.setPumps(scene().pumps.filter((pump) => pump.id !== added.id))
    expect(scene().pumps).toHaveLength(many)
  })

  test('is said not to work where its opening is over the water', async () => {
    await press('Add one')
    const pump = scene().pumps.at(-1)!
    currents.setPump(pump.id, { upM: currents.domain!.depthM })
    await flushPromises()
    expect(text()).toMatch(/draws air/)
  })

  test('a change of a pump that is gone changes nothing', () => {
    const before = store.design
    currents.setPump('nobody', { upM: 0.1 })
    currents.setRock('nobody', { xM: 0.1 })
    expect(store.design).toBe(before)
  })
})

describe('what stands in it', () => {
  test('is laid in every way there is', async () => {
    for (const name of ROCK_LAYOUTS) {
      const before = scene().rocks
      await change(selectWith('two-islands'), name)
      button(/^Lay/).click()
      await flushPromises()
      expect([name, scene().rocks.length > 0]).toEqual([name, true])
      for (const rock of scene().rocks) {
        expect(rock.xM).toBeGreaterThanOrEqual(-1e-9)
        expect(rock.xM + rock.lengthM).toBeLessThanOrEqual(currents.domain!.lengthM + 1e-9)
      }
      await store.undo()
      expect(scene().rocks).toEqual(before)
    }
  })

  test('grows by a box or a boulder, chosen at once, and goes again', async () => {
    for (const [form, words] of [
      ['box', 'Box'],
      ['boulder', 'Boulder'],
    ] as const) {
      const many = scene().rocks.length
      await press(words)
      expect(scene().rocks).toHaveLength(many + 1)
      expect(scene().rocks.at(-1)!.form).toBe(form)
      expect(currents.chosen).toEqual({ kind: 'rock', id: scene().rocks.at(-1)!.id })
      await press(/^Take out/)
      expect(scene().rocks).toHaveLength(many)
      expect(currents.chosen).toBeNull()
    }
  })
})

describe('how many', () => {
  test('are needed is said by those that were tried, and any of them is taken', async () => {
    const { domain } = currents
    const verdict = judgedOf(domain!)
    const tried = (['one-forward', 'two-offset', 'four-offset'] as const).map((name) => {
      let n = 0
      const start = startLayout(
        name,
        domain!,
        scene().pumps[0]?.part ?? PART,
        () => `new-${(n += 1)}`,
      )
      return { start, verdict, share: 0.6, powerW: 10 * start.pumps.length }
    })
    currents.counted = { tried, enough: tried[1]! }
    await flushPromises()
    expect(document.querySelector('[data-testid=how-many]')!.textContent).toMatch(/2\s+are enough/)
    await press('Begin with: Four on the ends, offset')
    expect(scene().pumps).toHaveLength(4)
    const part = useParts().kept.circulation[0]!
    currents.countedOf = { domain: domain!, part: { ...part, id: 'usual' } }
    await flushPromises()
    expect(text()).not.toContain('Before your last change')
    currents.countedOf = { domain: { ...domain!, sandDepthM: 0.1 }, part }
    await flushPromises()
    expect(text()).toContain('Before your last change')
    currents.counted = { tried, enough: tried[2]! }
    await flushPromises()
    expect(text()).not.toContain('gain little')
    currents.counted = { tried, enough: null }
    await flushPromises()
    expect(text()).toContain('None of these will do')
  })
})

describe('a field', () => {
  test('is simulated, judged by its zones, and kept with the design', async () => {
    await simulated()
    const { verdict } = currents
    expect(verdict).not.toBeNull()
    expect(verdict!.deadShare).toBeGreaterThanOrEqual(0)
    expect(verdict!.deadShare).toBeLessThanOrEqual(1)
    expect(document.querySelectorAll('[data-zone]')).toHaveLength(verdict!.zones.length)
    await until(() => server.fields.size > 0, 'it is kept')
    expect(currents.stale).toBe(false)
  }, 120_000)

  test('is said to be of what was, once the layout changes, and is current again when that is undone', async () => {
    await withField()
    await press('Box')
    expect(currents.stale).toBe(true)
    expect(text()).toContain('Before your last change')
    await store.undo()
    await flushPromises()
    expect(currents.stale).toBe(false)
    expect(text()).not.toContain('Before your last change')
  }, 120_000)

  test('that is kept is there when the view is opened again', async () => {
    await withField()
    await until(() => server.fields.size > 0, 'it is kept')
    const mean = currents.verdict!.meanMPerS
    await currents.load(`${id}-d`, store.tank!.id)
    expect(currents.field).not.toBeNull()
    expect(currents.verdict!.meanMPerS).toBeCloseTo(mean, 6)
  }, 120_000)

  test('is kept by a name, stands beside another one, and is dropped and put back', async () => {
    await withField()
    await enter('What you call this field', 'As it was')
    await press('Keep it')
    await until(() => currents.kept.names.includes('As it was'), 'it is kept')
    await press('Keep it')
    await until(() => currents.kept.names.length === 2, 'another one is kept, by its usual name')
    await currents.kept.list()
    expect(currents.kept.names).toHaveLength(2)
    await currents.kept.toggle('As it was')
    await flushPromises()
    const heads = [...document.querySelectorAll('[data-testid=side-by-side] th[scope=col]')]
    expect(heads.map((head) => head.textContent.trim())).toEqual(['Now', 'As it was'])
    await press('Drop As it was')
    await until(() => currents.kept.names.length === 1, 'it is dropped')
    expect(currents.kept.beside).toEqual([])
    await useNotices().notices.at(-1)!.action!.run()
    expect(currents.kept.names).toContain('As it was')
  }, 120_000)

  /** Kept as a standard one that is so far from the coarser, and fetched again. */
  async function fetchedAs(apart: PackedField['apart']): Promise<void> {
    const { field: coarse, of } = unpackField(bytes!)!
    const finer = packField({ field: { ...coarse, fineness: 'standard' }, of, apart })
    server.fields.set(`${id}-d ${store.tank!.id}`, finer)
    await currents.load(`${id}-d`, store.tank!.id)
    await flushPromises()
  }
  const apartBy = (share: number, wander: number): NonNullable<PackedField['apart']> => {
    const { ranges, rocks } = currents.domain!
    const wanted = {
      ranges: ranges.map(({ zone, leastMPerS, mostMPerS }) => ({ zone, leastMPerS, mostMPerS })),
      zones: rocks.map(({ zone }) => zone),
    }
    return { share, mean: 0.02, wander, isClose: share <= 0.05, wanted }
  }

  test('is said to be as far from a coarser one as it is, when it is fetched again too', async () => {
    await withField()
    expect(text()).not.toContain('coarser cubes')
    await fetchedAs(apartBy(0.09, 0.001))
    expect(text()).toContain('differs by up to 9 points')
    expect(text()).toContain('no finer than that')
    expect(text()).not.toContain('wanders')
    await fetchedAs(apartBy(0.04, 0.06))
    expect(text()).not.toContain('no finer than that')
    expect(text()).toContain('shares are known to about 6 points')
    await fetchedAs(null)
    expect(text()).not.toContain('coarser cubes')
  }, 120_000)

  test('says that how well its shares are known is of what was wanted before', async () => {
    await withField()
    await fetchedAs(apartBy(0.03, 0))
    expect(text()).not.toContain('was changed since')
    currents.setRanges(
      currents.scene!.ranges.map((range) => ({ ...range, mostMPerS: range.mostMPerS + 0.05 })),
    )
    await flushPromises()
    expect(text()).toContain('What is wanted was changed since')
    expect(text()).not.toContain('coarser cubes')
  }, 120_000)

  test('of a finer grid says what water it began with', async () => {
    await withField()
    expect(text()).not.toContain('It began with')
    expect(text()).toContain('A coarse field is a look')
    await fetchedAs(null)
    expect(text()).toContain('It began with the water of coarser ones')
    expect(text()).not.toContain('A coarse field is a look')
  }, 120_000)

  test('a dye spreads in it from look to look, and can be cleared away', async () => {
    await withField()
    await press(/^Pour/)
    await until(() => currents.frames.length > 3, 'the dye spreads', 60_000)
    const early = currents.frames[1]!.mixed
    await until(() => currents.at === null, 'the dye is done', 120_000)
    expect(currents.frames.at(-1)!.mixed).toBeGreaterThanOrEqual(early)
    expect(currents.dye!.drift).toBeLessThan(1e-3)
    await flushPromises()
    expect(document.querySelector('[data-testid=mixed]')).not.toBeNull()
    await press('Clear it away')
    expect([currents.frames.length, currents.dye]).toEqual([0, null])
  }, 240_000)

  test('that is stopped leaves nothing half-done', async () => {
    await change(selectWith('coarse'), 'coarse')
    await until(() => currents.estimate !== null, 'it is known how long it takes')
    await flushPromises()
    void currents.simulateField()
    await until(() => currents.at?.what === 'field', 'it has begun')
    currents.stop()
    expect([currents.at, currents.field, server.fields.size]).toEqual([null, null, 0])
    await flushPromises()
    expect(field('How fine')).toBeDefined()
  }, 60_000)

  test('that can’t be kept says so, and is there all the same', async () => {
    await change(selectWith('coarse'), 'coarse')
    await until(() => currents.estimate !== null, 'it is known how long it takes')
    const running = currents.simulateField()
    server.down = true
    await running
    expect(currents.field).not.toBeNull()
    expect(currents.fault).not.toBe('')
    server.down = false
  }, 120_000)
})
