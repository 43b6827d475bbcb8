import { aWayDown } from './a-way-down.ts'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { PartAnswer } from '@yew-basin/contract'
import {
  applyEdits,
  fixesOfFinding,
  partOf,
  pumpCurve,
  readAtHead,
  say,
  setTo,
  solveBasin,
  swaps,
  type BasinDesign,
  workingOf,
  type PumpPart,
} from '@yew-basin/core'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import BalancePanel from '../src/balance/BalancePanel.vue'
import FindingList from '../src/bench/FindingList.vue'
import WorkingPanel from '../src/bench/WorkingPanel.vue'
import PumpPanel from '../src/pumps/PumpPanel.vue'
import PumpsView from '../src/pumps/PumpsView.vue'
import SparePump from '../src/pumps/SparePump.vue'
import RoomView from '../src/room/RoomView.vue'
import SectionText from '../src/section/SectionText.vue'
import { useNotices } from '../src/shell/notices.ts'
import { useUnits } from '../src/shell/units.ts'
import SizeView from '../src/size/SizeView.vue'
import LayoutCompare from '../src/sump/LayoutCompare.vue'
import { useDesign } from '../src/workspace/design-store.ts'
import { aBrowser, AServer } from './a-server.ts'
import { button, enter, field, hasButton, press, shown, shownAt, spaced, text } from './a-view.ts'
import { aPage, endWorkers, until } from './a-worker.ts'
import { aFullDesign } from './open-basin.ts'

let server: AServer
let id: string
let store: ReturnType<typeof useDesign>
let wrapper: VueWrapper | null = null

/** A pump like another, so many times as strong. */
const like = (part: PumpPart, name: string, times: number): PumpPart => ({
  ...part,
  id: name,
  name,
  curve: part.curve.map(({ flowM3PerS, headM }) => ({
    flowM3PerS: times * flowM3PerS,
    headM: times * headM,
  })),
  power: [],
  shutOffHeadM: part.shutOffHeadM === null ? null : times * part.shutOffHeadM,
  maxFlowM3PerS: part.maxFlowM3PerS === null ? null : times * part.maxFlowM3PerS,
})

beforeAll(aPage)
afterAll(endWorkers)
beforeEach(async () => {
  aBrowser()
  const design = aFullDesign()
  server = new AServer(design)
  const [pump] = design.pumps
  server.parts = [like(pump!, 'Weaker', 0.7), like(pump!, 'Stronger', 1.4)].map(
    (spec) =>
      ({ id: spec.id, kind: 'pump', name: spec.name, own: false, spec }) as unknown as PartAnswer,
  )
  id = server.has('Lower reef')
  store = useDesign()
  await store.open(id)
})
afterEach(async () => {
  wrapper?.unmount()
  wrapper = null
  await store.leave()
})

const flowOf = (design: BasinDesign) => solveBasin(design).returnSide.flowM3PerS

describe('findings', () => {
  const cards = () => [...document.querySelectorAll<HTMLElement>('[data-finding]')]
  const wanted = () => store.solved!.findings.filter(({ station }) => station === 'return')

  test('of a station are listed worst first, the worst opened, the others a press away', async () => {
    ;({ wrapper } = await shown(FindingList, { station: 'return' }))
    if (hasButton(/more findings/)) await press(/more findings/)
    expect(cards().map((card) => card.dataset.finding)).toEqual(wanted().map(({ code }) => code))
    expect(cards()[0]!.querySelector('[aria-expanded]')!.getAttribute('aria-expanded')).toBe('true')
    expect(cards()[0]!.textContent).toContain(say(wanted()[0]!.reason, 'metric'))
    for (const card of cards().slice(1)) {
      expect(card.querySelector('[aria-expanded]')!.getAttribute('aria-expanded')).toBe('false')
    }
  })

  test('offer the fixes that core tried, and each does what it says it brings', async () => {
    // Half of what is wanted is given: a stop, with ways out of it.
    store.set(['tanks', 0, 'turnoverPerH'], 30)
    ;({ wrapper } = await shown(FindingList, { station: 'return' }))
    const short = wanted().findIndex(({ code }) => code === 'flow-short')
    expect(short).toBeGreaterThanOrEqual(0)
    if (short > 0) cards()[short]!.querySelector('button')!.click()
    await until(() => hasButton(/^Preview/), 'fixes were tried')
    const { fixes } = fixesOfFinding(store.design!, wanted()[short]!)
    const offered = [...document.querySelectorAll('[aria-label^="Preview: "]')].map((preview) =>
      preview.getAttribute('aria-label')!.replace('Preview: ', ''),
    )
    expect(offered).toEqual(fixes.map(({ label }) => say(label, 'metric')))
    const before = flowOf(store.design!)
    for (const { edits } of fixes) {
      expect(flowOf(applyEdits(store.design!, edits))).toBeGreaterThan(before)
    }
    await press(/^Preview/)
    expect(store.preview?.label).toEqual(fixes[0]!.label)
    // While one is looked at, none is offered.
    expect(hasButton(/^Preview/)).toBe(false)
  })

  test('fixes of what the design was are not offered for what it is', async () => {
    store.set(['tanks', 0, 'turnoverPerH'], 30)
    ;({ wrapper } = await shown(FindingList, { station: 'return' }))
    await until(() => hasButton(/^Preview/), 'fixes were tried')
    store.set(['returnSide', 'pumps', 0, 'speed'], 0.95)
    await flushPromises()
    expect(hasButton(/^Preview/)).toBe(false)
    await until(() => hasButton(/^Preview/), 'fixes of the design as it is were tried')
  })
})

describe('a working', () => {
  test('shows the formula, every term and what it rests on', async () => {
    for (const figure of ['flow', 'netVolume', 'head'] as const) {
      const working = workingOf(figure, { design: store.running!, solved: store.solved! })!
      ;({ wrapper } = await shown(WorkingPanel, { working }))
      expect([figure, text().includes(spaced(working.formula))]).toEqual([figure, true])
      const rows = [...document.querySelectorAll('tbody')][0]!.querySelectorAll('tr')
      expect(rows).toHaveLength(working.terms.length)
      for (const [i, { symbol }] of working.terms.entries()) {
        expect(rows[i]!.textContent).toContain(symbol)
      }
      wrapper.unmount()
    }
  })
})

describe('pumps', () => {
  test('of the library are listed with what each would give here, by core', async () => {
    ;({ wrapper } = await shown(PumpPanel))
    await until(() => text().includes('Stronger') && text().includes('Weaker'), 'parts are there')
    const parts = server.parts.map(({ spec }) => spec as unknown as PumpPart)
    const given = swaps(store.design!, parts, store.placedPump!.id)
    const units = useUnits()
    await until(
      () =>
        given.every(({ flowM3PerS, flowBandM3PerS }) =>
          text().includes(spaced(units.text('flow', flowM3PerS, flowBandM3PerS))),
        ),
      'each was tried',
    )
    expect(given[1]!.flowM3PerS).toBeGreaterThan(given[0]!.flowM3PerS)
  })

  test('that no list has is typed from its box, kept, and runs here', async () => {
    ;({ wrapper } = await shown(PumpPanel))
    const before = store.design
    await press('Not listed? Type its box')
    expect(document.activeElement).toBe(field('Most flow'))
    await press('Use it here')
    expect(text()).toContain('Most head is not set yet.')
    expect(store.design).toBe(before)
    await enter('Most flow', '3000 L/h')
    await enter('Most head', '3 m')
    await enter('Power', '40 W')
    await enter('What you call it', 'Attic pump')
    await press('Use it here')
    await flushPromises()
    expect(server.parts.some(({ name }) => name === 'Attic pump')).toBe(true)
    const part = partOf(store.design!, store.placedPump!.pumpId)
    expect(part).toMatchObject({ name: 'Attic pump', curve: [], shutOffHeadM: 3, ratedPowerW: 40 })
    expect(part.maxFlowM3PerS).toBeCloseTo(3000 / 3.6e6, 12)
    expect(store.solved!.returnSide.pumps[0]!.twoNumberCurve).toBe(true)
    expect(hasButton('Use it here')).toBe(false)
  })

  test('runs here too where the server cannot be reached, and says that it is not kept', async () => {
    ;({ wrapper } = await shown(PumpPanel))
    await press('Not listed? Type its box')
    await enter('Most flow', '800 gph')
    await enter('Most head', '10 ft')
    await enter('Power', '40')
    server.refuses = { code: 'server-fault' }
    await press('Use it here')
    await flushPromises()
    expect(partOf(store.design!, store.placedPump!.pumpId).name).toBe('My pump')
    expect(useNotices().notices.at(-1)!.text).toContain('not among your parts')
  })

  test('are read at a head, and by the share the last one gave, beside the true duty', async () => {
    ;({ wrapper } = await shown(PumpPanel))
    const units = useUnits()
    const pump = partOf(store.shown!, store.placedPump!.pumpId)
    await enter('At a head of', '0.8 m')
    const read = readAtHead(pumpCurve(pump), store.placedPump!.speed, 0.8)
    expect(spaced(wrapper.find('[data-testid=read-at-head]').text())).toContain(
      spaced(units.text('flow', read.flowM3PerS, read.bandM3PerS)),
    )
    store.set(['returnSide', 'ownShare'], 0.59)
    await flushPromises()
    const { ownShareFlowM3PerS, ownShareOffBy } = store.solvedLine!.pump
    expect(ownShareFlowM3PerS).toBeCloseTo(0.59 * pumpCurve(pump).freeFlowM3PerS, 12)
    expect(spaced(wrapper.find('[data-testid=own-share]').text())).toContain(
      spaced(
        `${units.text('flow', ownShareFlowM3PerS!)}, ${units.text('share', Math.abs(ownShareOffBy!))}`,
      ),
    )
  })

  test('another is chosen in one step, and the flow follows', async () => {
    ;({ wrapper } = await shown(PumpPanel))
    await until(() => text().includes('Stronger'), 'parts are there')
    const before = store.design
    const flow = flowOf(before!)
    const row = [...document.querySelectorAll<HTMLElement>('li, tr')].find(
      (row) => row.textContent.includes('Stronger') && row.querySelector('button'),
    )!
    row.querySelector('button')!.click()
    await flushPromises()
    expect(flowOf(store.design!)).toBeGreaterThan(flow)
    await store.undo()
    expect(store.design).toEqual(before)
  })

  test('are compared over the same plumbing, those that are picked', async () => {
    ;({ wrapper } = await shownAt(`/basins/${id}/pumps`, PumpsView, { id }))
    await until(() => text().includes('Stronger'), 'parts are there')
    const boxes = [...document.querySelectorAll<HTMLInputElement>('input[type=checkbox]')]
    expect(boxes.length).toBeGreaterThanOrEqual(3)
    const picked = () => document.querySelectorAll('tbody tr, ol > li').length
    const before = picked()
    boxes.find(({ checked }) => !checked)!.click()
    await flushPromises()
    await until(() => picked() > before, 'another is compared')
  })

  test('a spare is kept with the design, with what it would give', async () => {
    const parts = server.parts.map(({ spec }) => spec as unknown as PumpPart)
    ;({ wrapper } = await shown(SparePump, { pumps: parts }))
    const select = document.querySelector('select')!
    select.value = 'Weaker'
    select.dispatchEvent(new Event('change'))
    await flushPromises()
    expect(store.design!.returnSide.sparePumpId).toBe('Weaker')
    expect(store.design!.pumps.some((part) => part.id === 'Weaker')).toBe(true)
    const [gives] = swaps(store.design!, [parts[0]!], store.placedPump!.id)
    const { intoTanksM3PerS, intoTanksBandM3PerS } = gives!
    const said = spaced(useUnits().text('flow', intoTanksM3PerS, intoTanksBandM3PerS))
    await until(() => text().includes(said), 'it was tried')
    select.value = ''
    select.dispatchEvent(new Event('change'))
    await flushPromises()
    expect([store.design!.returnSide.sparePumpId, store.design!.pumps.length]).toEqual([null, 1])
  })
})

describe('balance', () => {
  test('turns a valve at once, and offers openings that come near what is wanted', async () => {
    ;({ wrapper } = await shown(BalancePanel))
    await until(() => hasButton(/^Preview: /), 'openings were found', 60_000)
    const before = store.design
    const previews = [...document.querySelectorAll('[aria-label^="Preview: "]')]
    expect(previews.length).toBeGreaterThan(0)
    await press(/^Preview: /)
    expect(store.design).toBe(before)
    expect(store.preview!.edits.length).toBeGreaterThan(0)
    store.preview = null
    await flushPromises()
    const slider = document.querySelector<HTMLInputElement>('input[type=range]')!
    slider.value = '30'
    slider.dispatchEvent(new Event('input'))
    await flushPromises()
    expect(store.design).not.toBe(before)
  }, 90_000)
})

describe('size it for me', () => {
  test('searches, ranks what reaches the flow, and says when what is wanted has changed since', async () => {
    const plain = server.has('Plain reef', aWayDown())
    await store.leave()
    ;({ wrapper } = await shownAt(`/basins/${plain}/size`, SizeView, { id: plain }))
    await until(() => !(button('Search') as HTMLButtonElement).disabled, 'parts are there')
    button('Search')
      .closest('form')!
      .dispatchEvent(new Event('submit', { cancelable: true }))
    await until(
      () => document.querySelector('[data-testid=looked]') !== null,
      'it was searched',
      60_000,
    )
    await flushPromises()
    expect(hasButton('Preview option 1')).toBe(true)
    store.set(['tanks', 0, 'turnoverPerH'], store.design!.tanks[0]!.turnoverPerH + 1)
    await flushPromises()
    expect(text()).toContain('was changed since')
    expect(hasButton('Preview option 1')).toBe(false)
  }, 120_000)
})

describe('two layouts of a sump', () => {
  test('stand side by side with what each chamber is left with, and one is taken', async () => {
    ;({ wrapper } = await shown(LayoutCompare))
    await until(() => document.querySelectorAll('table').length === 2, 'both were tried')
    const before = store.design
    const take = [...document.querySelectorAll<HTMLElement>('button')].filter(
      (node) => node.textContent.trim() === 'Take this one',
    )
    expect(take).toHaveLength(2)
    take[1]!.click()
    await flushPromises()
    expect(store.design).not.toBe(before)
    const chambers = document.querySelectorAll('table')[1]!.querySelectorAll('tbody tr')
    expect(store.design!.sump.chambers).toHaveLength(chambers.length)
    await store.undo()
    expect(store.design).toEqual(before)
  })
})

describe('the room', () => {
  test('says of every device how it stands', async () => {
    ;({ wrapper } = await shownAt(`/basins/${id}/room`, RoomView, { id }))
    await until(
      () => document.querySelector('[aria-label="Devices in the room"]') !== null,
      'drawn',
    )
    const rows = document.querySelectorAll('[aria-label="Devices in the room"] > li')
    expect(rows).toHaveLength(store.design!.sump.devices.length)
    for (const [i, device] of store.design!.sump.devices.entries()) {
      expect(rows[i]!.textContent).toContain(device.name)
    }
  })
  test('of a sump without sizes says where to give them', async () => {
    store.edit([setTo(['sump', 'box'], null)])
    await store.leave()
    ;({ wrapper } = await shownAt(`/basins/${id}/room`, RoomView, { id }))
    await until(() => text().includes('The sump has no sizes yet'), 'said')
    expect(document.querySelector('main a[href$="/sump"], a[href$="/sump"]')).not.toBeNull()
  })
})

test('the section is there in words, with the flow and the lift', async () => {
  const { solved } = store
  ;({ wrapper } = await shown(SectionText, { design: store.running, solved }))
  const { flowM3PerS, flowBandM3PerS } = solved!.returnSide.lines[0]!
  expect(text()).toContain(spaced(useUnits().text('flow', flowM3PerS, flowBandM3PerS)))
})
