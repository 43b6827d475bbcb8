import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { building } from '@yew-basin/core'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import type { Component } from 'vue'
import ApartView from '../src/building/ApartView.vue'
import BuyView from '../src/building/BuyView.vue'
import CutsView from '../src/building/CutsView.vue'
import HolesView from '../src/building/HolesView.vue'
import OrderView from '../src/building/OrderView.vue'
import { PARTS } from '../src/building/printed/parts.ts'
import PanelsView from '../src/building/PanelsView.vue'
import { useShopping } from '../src/building/shopping-store.ts'
import WaterView from '../src/building/WaterView.vue'
import { useDesign } from '../src/workspace/design-store.ts'
import { aBrowser, AServer } from './a-server.ts'
import { enter, field, press, shownAt, text } from './a-view.ts'
import { aPage, aPageWithSizes, endWorkers, until } from './a-worker.ts'
import { aFullDesign } from './open-basin.ts'

let server: AServer
let id: string
let wrapper: VueWrapper

beforeAll(aPage)
afterAll(endWorkers)
beforeEach(() => {
  aBrowser()
  server = new AServer(aFullDesign())
  id = server.has('Lantern')
})
afterEach(() => wrapper?.unmount())

async function open(view: Component, path: string, ready: string): Promise<void> {
  ;({ wrapper } = await shownAt(`/basins/${id}/${path}`, view, { id }))
  await until(() => text().includes(ready), ready, 9_000)
}
const boxes = () => [...document.querySelectorAll<HTMLInputElement>('li input[type=checkbox]')]
const known = () => [...(server.shopping.get(id)?.values() ?? [])]
/** The line of a thing, as it reads. */
const lineOf = (name: RegExp) =>
  [...document.querySelectorAll('li')].find((li) => name.test(li.textContent))!

describe('what to buy', () => {
  beforeEach(() => open(BuyView, 'buy', 'lines ticked'))

  test('stands by the parts of a shop, adapters first, and says whether every joint has its halves', () => {
    const groups = [...document.querySelectorAll('section h3')].map((h) => h.textContent.trim())
    expect(groups[0]).toContain('Adapters')
    expect(groups).toContain('Fittings')
    expect(text()).toMatch(/\d+ of \d+ joints have no two halves that one part joins/)
  })
  test('is ticked with a name and a time, and unticked', async () => {
    await enter('Who ticks here', 'Ash')
    boxes()[0]!.click()
    await flushPromises()
    expect(known()[0]!.tickedBy).toBe('Ash')
    expect(text()).toContain('got: Ash, ')
    boxes()[0]!.click()
    await flushPromises()
    expect(known()[0]!.tickedAt).toBeNull()
  })
  test('shrinks by what is had already, said in one line; what is no line stays and is named', async () => {
    const count = () =>
      Number(lineOf(/^\s*elbow 90°/).querySelector('.text-right strong')!.textContent)
    const before = count()
    await enter('What you have already', '2 elbow 90° 1, 4 sprockets')
    document.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(text()).toContain('“4 sprockets”: nothing of this list')
    expect(known().map(({ have }) => have)).toEqual([2])
    expect(count()).toBe(Math.max(0, before - 2))
    expect(field('What you have already').value).toBe('4 sprockets')
  })
  test('adds up what is priced, and says what is not', async () => {
    const price = [...document.querySelectorAll('label')].find((l) =>
      l.textContent.trim().startsWith('Price of'),
    )!
    await enter(price.textContent.trim(), '2.5')
    expect(text()).toMatch(/About [\d.]+ .*and \d+ without a price/)
  })
  test('lights up in the drawing what a line is for', async () => {
    const store = useDesign()
    await press(/^for Main/)
    expect(store.marked.size).toBeGreaterThan(0)
    await press(/^for Main/)
    expect(store.marked.size).toBe(0)
  })
  test('is kept here without a network, and comes home with it', async () => {
    server.down = true
    boxes()[1]!.click()
    await flushPromises()
    expect(text()).toContain('No network: 1 change kept on this device')
    expect(known()).toEqual([])
    // The page is opened anew, still away.
    const shopping = useShopping()
    const kept = JSON.parse(localStorage.getItem(`yew.shopping.${id}`)!)
    expect(kept.pending).toHaveLength(1)
    server.down = false
    window.dispatchEvent(new Event('online'))
    await flushPromises()
    expect(known()).toHaveLength(1)
    expect(shopping.waiting).toBe(0)
  })
  test('says what the server refuses', async () => {
    server.refuses = { code: 'invalid' }
    boxes()[1]!.click()
    await flushPromises()
    expect(text()).toContain('Not taken: refused: invalid')
  })
})

test('the cuts have marks and bars; another stock length is another plan, undone as any edit', async () => {
  await open(CutsView, 'cuts', 'Middle to middle')
  expect(document.querySelectorAll('tbody tr').length).toBeGreaterThan(5)
  const bar = () =>
    document.querySelector('svg[role=img][aria-label^=length]')!.getAttribute('aria-label')!
  expect(bar()).toMatch(/length 1: A1/)
  const store = useDesign()
  await enter('Inch pipe is sold in', '6 m')
  expect(store.design!.build!.inchStockM).toBe(6)
  await enter('A saw cut takes', 'wide')
  expect(store.design!.build!.sawCutM).toBe(0.003)
  await store.undo()
  expect(store.design!.build).toBeNull()
})

test('what is measured on a fitting in the hand counts in every cut, and is given back', async () => {
  await open(CutsView, 'cuts', 'Measure yours')
  const store = useDesign()
  expect(text()).toContain('Assumed, as is usual.')
  await press('I measured it')
  const [own] = store.design!.build!.takeOffs
  await enter('Middle to bottom', '55 mm')
  expect(store.design!.build!.takeOffs).toEqual([{ ...own!, zM: 0.055 }])
  await press(/^Back to the usual size/)
  expect(store.design!.build!.takeOffs).toEqual([])
})

test('the order has its days and reasons, is ticked step by step, and follows the keeper’s school', async () => {
  await open(OrderView, 'order', 'steps done')
  const store = useDesign()
  const headings = () => [...document.querySelectorAll('section h3')].map((h) => h.textContent)
  expect(headings()[0]).toBe('Day 1')
  await enter('Building begins on', '2026-12-05')
  expect(headings()[0]).toBe('Day 1, Sat 5 December')
  expect(headings().at(-1)).toMatch(/^Day [2-9], /)
  expect(text()).toMatch(/after \d+: Its lengths are sawn first/)
  const box = document.querySelector<HTMLInputElement>('input[aria-label="Step 1 done"]')!
  box.click()
  await flushPromises()
  expect(text()).toMatch(/1 of \d+ steps done/)
  expect(known().map(({ key }) => key.split(' ')[0])).toEqual(['step'])
  // What is ticked too soon is said, with what it comes after and why.
  const glued = document.querySelector<HTMLInputElement>('li[data-step=glue] input')!
  glued.click()
  await flushPromises()
  expect(document.querySelector('li[data-step=glue]')!.textContent).toMatch(
    /Done before step \d+, which is open: \S.*/,
  )
  glued.click()
  const tank = store.design!.tanks.find(({ overflow }) => (overflow?.holes.length ?? 0) > 0)!
  const school = field(`Bulkheads of ${tank.name} go in`) as unknown as HTMLSelectElement
  school.value = 'after'
  school.dispatchEvent(new Event('change', { bubbles: true }))
  await until(() => text().includes('can crack the floor as the tank is set down'), 'school', 9_000)
  expect(store.design!.build!.bulkheadsAfter).toEqual([tank.id])
})

test('the order is played step by step in the isometric, and what is chosen there is marked in the list', async () => {
  const withoutSizes = aPageWithSizes()
  await open(OrderView, 'order', 'steps done')
  await until(() => document.querySelector('[data-isometric]') !== null, 'isometric', 9_000)
  const bars = (state: string) => document.querySelectorAll(`[data-state=${state}]`).length
  const all = bars('later') + bars('now') + bars('done')
  expect(bars('later')).toBeGreaterThan(0)
  const glue = [...document.querySelectorAll('li[data-step=glue]')].at(-1)!
  glue.querySelector<HTMLButtonElement>('button')!.click()
  await flushPromises()
  expect(glue.getAttribute('aria-current')).toBe('step')
  expect(bars('now')).toBeGreaterThan(0)
  expect(bars('later') + bars('now') + bars('done')).toBe(all)
  await press('The next step')
  expect(document.querySelectorAll('li[aria-current=step]')).toHaveLength(1)
  expect(glue.getAttribute('aria-current')).toBeNull()
  // Turned, the same lengths are seen from another side.
  const seen = () => document.querySelector('[data-isometric]')!.getAttribute('aria-label')
  const before = seen()
  await press('Turn by a quarter')
  await until(() => seen() !== before, 'turned', 9_000)
  const bar = document.querySelector<SVGGElement>('[data-isometric] .part')!
  bar.dispatchEvent(new MouseEvent('click', { bubbles: true }))
  expect(useDesign().marked.size).toBeGreaterThan(0)
  withoutSizes()
})

test('runs and sub-assemblies are drawn with every length that is sawn', async () => {
  await open(CutsView, 'cuts', 'In true order')
  await until(() => document.querySelector('[data-isometric]') !== null, 'isometric', 9_000)
  const marks = () =>
    [...document.querySelectorAll('[data-isometric] text')].flatMap(
      ({ textContent }) => /^\s*([A-Z]+\d+)\s/.exec(textContent)?.[1] ?? [],
    )
  expect(marks().filter((mark) => mark.startsWith('A')).length).toBeGreaterThan(3)
  const choice = field('Drawn is') as unknown as HTMLSelectElement
  const piece = [...choice.options].find(({ text: words }) => words.startsWith('Sub-assembly S2'))!
  choice.value = piece.value
  choice.dispatchEvent(new Event('change', { bubbles: true }))
  await until(
    () => document.querySelector('[data-isometric]')!.getAttribute('aria-label')!.includes('S2'),
    'sub-assembly',
    9_000,
  )
  expect(marks().length).toBeGreaterThan(0)
})

test('the sheet is printed by the parts that are chosen; none is asked for', async () => {
  await open(ApartView, 'comes-apart', 'things')
  await press('Print')
  const parts = () => [...document.querySelectorAll<HTMLInputElement>('fieldset input')]
  await until(() => parts().length === PARTS.length, 'parts', 9_000)
  expect(parts().every(({ checked }) => checked)).toBe(true)
  for (const part of parts()) part.click()
  await flushPromises()
  await press('Save as PDF')
  expect(text()).toContain('Choose at least one part.')
  parts()[2]!.click()
  await flushPromises()
  expect(JSON.parse(localStorage.getItem('yew.printed')!)).toContain('list')
  expect(
    parts()
      .map(({ checked }) => checked)
      .filter(Boolean),
  ).toHaveLength(1)
  await press('Cancel')
  expect(document.querySelector('fieldset')).toBeNull()
})

test('what comes apart names what to shut and undo, lights it up, and says what is stuck and why', async () => {
  await open(ApartView, 'comes-apart', 'things')
  const thing = (id: string) => document.querySelector(`[data-thing="${id}"]`)!
  const pump = document.querySelector('[data-thing^="pump "]')!
  expect(pump.textContent).toMatch(/Shut first: .*valve.*union.*Runs out: /s)
  const store = useDesign()
  const [valve] = store
    .design!.returnSide.lines.flatMap(({ run }) => run.pieces)
    .filter(({ kind }) => kind === 'valve')
  await press(new RegExp(`^Show in the section: .*valve`))
  expect(store.marked.has(valve!.id)).toBe(true)
  await press(new RegExp(`^Show in the section: .*valve`))
  expect(store.marked.size).toBe(0)
  // What is clipped, and glued to the rest, stays where it is.
  const line = store.design!.returnSide.lines.findIndex(({ start }) => start.at === 'pump')
  const { pieces } = store.design!.returnSide.lines[line]!.run
  const clipped = pieces.map((piece) => ({
    ...piece,
    made: { ...building.MADE_AS_USUAL, isClipped: true },
  }))
  store.set(['returnSide', 'lines', line, 'run', 'pieces'], clipped)
  await until(() => text().includes('can’t come out without a saw'), 'stuck', 9_000)
  expect(thing(`valve ${valve!.id}`).textContent).toContain('joined for good to')
})

test('holes are told from two edges; a tempered panel has no template but the reason', async () => {
  await open(HolesView, 'holes', 'From the left')
  expect(document.querySelector('svg[role=img]')!.getAttribute('aria-label')).toMatch(/mm wide/)
  const store = useDesign()
  const { tanks } = store.design!
  const tank = tanks.findIndex(({ overflow }) => (overflow?.holes.length ?? 0) > 0)
  store.set(['tanks', tank, 'overflow', 'holes', 0, 'glass'], 'tempered')
  await until(() => text().includes('This panel is tempered'), 'tempered', 9_000)
})

test('panels are those of a sump that is built; a bought one says so', async () => {
  await open(PanelsView, 'panels', 'Panels')
  const store = useDesign()
  store.set(['sump', 'box', 'make'], 'bought')
  await flushPromises()
  expect(text()).toContain('This sump is bought')
  store.set(['sump', 'box', 'make'], 'self-built')
  await until(() => text().includes('Silicone: about'), 'silicone', 9_000)
  // Its overflow box too, drawn panel by panel.
  const box = document.querySelector('section[aria-label^="Overflow box of"]')!
  expect(box.querySelectorAll('polygon').length).toBe(box.querySelectorAll('li').length)
  expect(box.textContent).toMatch(/front.*thick \(assumed\)/s)
})

test('before water: what is not set is said, what is read of a level is shimmed', async () => {
  await open(WaterView, 'before-water', 'What is known of it')
  expect(text()).toMatch(/Tanks, empty\s*not set/)
  const store = useDesign()
  const { name } = store.design!.tanks[0]!
  await enter(`Panels of ${name}`, '12 mm')
  await until(() => text().includes('people lift it empty'), 'people', 9_000)
  await enter('Front left', '4 mm')
  await enter('Back right', '1 mm')
  expect(text()).toContain('Read all four')
  await enter('Front right', '0')
  await enter('Back left', '0')
  await until(() => text().includes('Under front left'), 'shims', 9_000)
  expect(text()).toMatch(/Under front left\s*nothing/)
  expect(text()).toContain('out of one plane')
  expect(text()).toMatch(/Salt mix to buy\s*[\d.]+/)
  // Each joint has a box of its own, kept as the list's are.
  const joint = document.querySelector<HTMLInputElement>('input[aria-label$=": dry"]')!
  expect(text()).toMatch(/Main line 0 of \d+ joints dry/)
  joint.click()
  await flushPromises()
  expect(text()).toMatch(/Main line 1 of \d+ joints dry/)
  expect(known()[0]!.key).toMatch(/^leak main:/)
})
