import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { PartAnswer } from '@yew-basin/contract'
import { type DevicePart, editing, type PumpPart } from '@yew-basin/core'
import type { VueWrapper } from '@vue/test-utils'
import { newSpec } from '../src/parts/part-words.ts'
import { useParts } from '../src/parts/parts-store.ts'
import { pumpsFor } from '../src/parts/pumps-for.ts'
import PumpPanel from '../src/pumps/PumpPanel.vue'
import { useBeside } from '../src/treatment/beside.ts'
import SkimmerBench from '../src/treatment/SkimmerBench.vue'
import SterilizerBench from '../src/treatment/SterilizerBench.vue'
import ChangedParts from '../src/workspace/ChangedParts.vue'
import { useDesign } from '../src/workspace/design-store.ts'
import { aBrowser, AServer } from './a-server.ts'
import { hasButton, press, shown, text } from './a-view.ts'
import { aPage, endWorkers, until } from './a-worker.ts'
import { aFullDesign } from './open-basin.ts'

let server: AServer
let store: ReturnType<typeof useDesign>
let wrapper: VueWrapper | null = null

const kept = (kind: string, spec: PumpPart | DevicePart) =>
  ({ id: spec.id, kind, name: spec.name, own: true, spec }) as unknown as PartAnswer
/** The design's pump as it is kept among the parts: with half as much power again. */
const changedPump = (pump: PumpPart) =>
  kept('pump', { ...pump, ratedPowerW: pump.ratedPowerW * 1.5 })

beforeAll(aPage)
afterAll(endWorkers)
beforeEach(async () => {
  aBrowser()
  const design = aFullDesign()
  server = new AServer(design)
  server.parts = [changedPump(design.pumps[0]!)]
  const id = server.has('Lower reef')
  store = useDesign()
  await store.open(id)
})
afterEach(async () => {
  wrapper?.unmount()
  wrapper = null
  await store.leave()
})

describe('a part that was changed since the design took it', () => {
  test('is said, taken over by one press, and that is undone by one', async () => {
    const before = store.design!.pumps[0]!.ratedPowerW
    ;({ wrapper } = await shown(ChangedParts))
    await until(() => text().includes('(one figure)'), 'it is said')
    await press('Take it over')
    expect(store.design!.pumps[0]!.ratedPowerW).toBeCloseTo(1.5 * before, 9)
    expect(hasButton('Take it over')).toBe(false)
    await store.undo()
    expect(store.design!.pumps[0]!.ratedPowerW).toBe(before)
  })
  test('is left alone by a press, until it is changed again', async () => {
    ;({ wrapper } = await shown(ChangedParts))
    await until(() => hasButton('Take it over'), 'it is said')
    const before = store.design
    await press('Leave the design as it is')
    expect(hasButton('Take it over')).toBe(false)
    expect(store.design).toBe(before)
    const pump = before!.pumps[0]!
    useParts().put(kept('pump', { ...pump, ratedPowerW: pump.ratedPowerW * 2 }))
    await until(() => hasButton('Take it over'), 'it is said again')
  })
  test('stands once among the pumps to choose from, as the design has it', async () => {
    ;({ wrapper } = await shown(PumpPanel))
    await until(() => useParts().ready, 'parts are there')
    const all = pumpsFor(store.design!, useParts().pumps)
    expect(all.filter(({ id }) => id === store.design!.pumps[0]!.id)).toEqual([
      store.design!.pumps[0],
    ])
    expect(text()).toContain('(in use)')
  })
  test('and a pump entered here stands first', () => {
    const entered = { ...store.design!.pumps[0]!, id: 'entered', partId: null }
    const other = { ...entered, id: 'other', partId: 'other' }
    expect(pumpsFor({ pumps: [entered] }, [other]).map(({ id }) => id)).toEqual([
      'entered',
      'other',
    ])
  })
})

test('a device drawn into a line stands at its stop, by a part of the library', async () => {
  const reactor: DevicePart = {
    ...(newSpec('reactor') as DevicePart),
    id: 'slow',
    name: 'Slow one',
  }
  server.parts = [kept('reactor', reactor)]
  await useParts().load()
  const { pieces } = store.design!.returnSide.lines[0]!.run
  const piece = editing.newPiece('device', 'drawn', {
    size: store.design!.returnSide.lines[0]!.run.size,
    boreM: 0.02,
  })
  const before = store.design!.sump.devices.length
  store.set(['returnSide', 'lines', 0, 'run', 'pieces'], [...pieces, piece])
  expect(store.design!.sump.devices).toHaveLength(before + 1)
  expect(store.design!.sump.devices.at(-1)).toMatchObject({
    pieceId: 'drawn',
    part: { id: 'slow' },
  })
  await store.undo()
  expect(store.design!.sump.devices).toHaveLength(before)
})

describe('devices side by side', () => {
  const columns = () =>
    [...document.querySelectorAll('[data-testid=side-by-side] th[scope=col]')].map((cell) =>
      cell.textContent.trim(),
    )
  const tick = (name: string) =>
    document.querySelector<HTMLInputElement>(`[aria-label="${name} side by side"]`)!.click()

  test.each([
    ['skimmer', SkimmerBench, 'Over its cup'],
    ['sterilizer', SterilizerBench, 'Lamp lasts'],
  ] as const)('two of a kind: %s', async (kind, bench, row) => {
    const own = store.design!.sump.devices.find(({ part }) => part.kind === kind)!
    server.parts = [kept(kind, { ...own.part, id: 'other', name: 'Other one', priceClass: 5 })]
    await useParts().load()
    ;({ wrapper } = await shown(bench))
    const other = '[aria-label="Other one side by side"]'
    await until(() => document.querySelector(other) !== null, 'it was tried')
    expect(columns()).toEqual([])
    tick(own.part.name)
    tick('Other one')
    await until(() => columns().length === 2, 'both stand there')
    expect(columns()).toContain('Other one')
    expect(text()).toContain(row)
    expect(text()).toContain('5 of 5')
  })
  test('never more than can be read', () => {
    const { tick: tickOne, ticked, isOpen } = useBeside()
    for (const id of ['a', 'b', 'c', 'd']) tickOne(id)
    expect(ticked.value).toEqual(['b', 'c', 'd'])
    tickOne('b')
    tickOne('c')
    expect(isOpen.value).toBe(false)
  })
})
