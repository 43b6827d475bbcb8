import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import DrainFields from '../src/drains/DrainFields.vue'
import LineEndPanel from '../src/run/LineEndPanel.vue'
import DrainGrips from '../src/section/DrainGrips.vue'
import LineGrips from '../src/section/LineGrips.vue'
import type { Sheet } from '../src/section/scale.ts'
import { snapped } from '../src/section/snap.ts'
import { useNotices } from '../src/shell/notices.ts'
import type { useDesign } from '../src/workspace/design-store.ts'
import { enter, shown } from './a-view.ts'
import { anOpenBasin } from './open-basin.ts'

const PX_PER_M = 400
const sheet = (view: Sheet['view']): Sheet => ({
  view,
  scale: { pxPerM: PX_PER_M, x: (m) => m * PX_PER_M, y: (m) => -m * PX_PER_M },
})
let store: ReturnType<typeof useDesign>
let wrapper: VueWrapper

beforeEach(async () => {
  store = await anOpenBasin()
})
afterEach(() => wrapper?.unmount())

const grip = (name: RegExp) =>
  [...document.querySelectorAll<SVGElement>('[data-grip]')].find((each) =>
    name.test(each.dataset.grip!),
  )!
const key = async (of: SVGElement, name: string, shiftKey = false) => {
  of.dispatchEvent(new KeyboardEvent('keydown', { key: name, shiftKey, bubbles: true }))
  await flushPromises()
}
/** The pointer goes down, moves by so many pixels, and lets go. */
async function drag(of: SVGElement, byX: number, byY: number): Promise<void> {
  Object.assign(of, { setPointerCapture: () => undefined })
  const at = (type: string, x: number, y: number) =>
    Object.assign(new MouseEvent(type, { clientX: x, clientY: y, bubbles: true }), { pointerId: 1 })
  of.dispatchEvent(at('pointerdown', 100, 100))
  for (let i = 1; i <= 4; i++)
    of.dispatchEvent(at('pointermove', 100 + (byX * i) / 4, 100 + (byY * i) / 4))
  of.dispatchEvent(new Event('lostpointercapture'))
  await flushPromises()
}
const mouth = () => store.solvedLine!.mouth
const outlet = () => store.design!.returnSide.pumps[store.pumpIndex]!.outlet

describe('a mouth in the section', () => {
  beforeEach(async () => {
    ;({ wrapper } = await shown(LineGrips, { sheet: sheet('section') }))
  })
  test('goes by the arrow keys, a millimetre or ten, and back by undo', async () => {
    const before = mouth()
    await key(grip(/^Mouth/), 'ArrowUp', true)
    expect(mouth().zM - before.zM).toBeCloseTo(0.01, 9)
    await key(grip(/^Mouth/), 'ArrowDown')
    expect(mouth().zM - before.zM).toBeCloseTo(0.009, 9)
    expect(mouth().xM).toBeCloseTo(before.xM, 9)
  })
  test('is dragged as far as the pointer goes, to whole steps, and along that way alone', async () => {
    const before = mouth()
    await drag(grip(/^Mouth/), 1, -24)
    const wanted = Math.round((before.zM + 24 / PX_PER_M) / 0.005) * 0.005
    const surface = store.solved!.tanks[0]!.surfaceM
    expect([wanted, surface].some((at) => Math.abs(mouth().zM - at) < 1e-3)).toBe(true)
    expect(mouth().xM).toBeCloseTo(before.xM, 9)
  })
  test('is drawn to the water of its tank', async () => {
    const surface = store.solved!.tanks[0]!.surfaceM
    const byPx = (surface - mouth().zM) * PX_PER_M
    await drag(grip(/^Mouth/), 0, -(byPx + 5))
    expect(mouth().zM).toBeCloseTo(surface, 3)
  })
})

test('a pump goes by its handle in the plan, its line with it', async () => {
  ;({ wrapper } = await shown(LineGrips, { sheet: sheet('plan') }))
  const before = { outlet: outlet(), mouth: mouth() }
  await key(grip(/^Outlet/), 'ArrowRight', true)
  expect(outlet().xM - before.outlet.xM).toBeCloseTo(0.01, 9)
  expect(mouth().xM).toBeCloseTo(before.mouth.xM, 6)
})

test('the same number is typed; where no pipe can give it is said', async () => {
  ;({ wrapper } = await shown(LineEndPanel))
  const { zM } = mouth()
  await enter('Mouth, over the floor', `${Math.round(zM * 1000) + 20} mm`)
  expect(mouth().zM).toBeCloseTo(Math.round(zM * 1000) / 1000 + 0.02, 6)
  const before = store.design
  await enter('Mouth, over the floor', '-3.9 m')
  expect(store.design).toBe(before)
  expect(useNotices().notices.at(-1)!.text).toContain('No pipe of this line')
})

describe('an opened drain', () => {
  const end = () => store.solved!.drains[0]!.mouth
  const fields = () => ({
    drain: store.shown!.drains[0]!,
    solved: store.solved!.drains[0]!,
    index: 0,
  })
  beforeEach(() => {
    store.drainId = store.design!.drains[0]!.id
  })
  test('has its end and its inlet as handles', async () => {
    ;({ wrapper } = await shown(DrainGrips, { sheet: sheet('section') }))
    const before = end()
    await key(grip(/^End of/), 'ArrowUp', true)
    expect(end().zM - before.zM).toBeCloseTo(0.01, 9)
    const lip = store.design!.drains[0]!.inlet.place.zM
    await key(grip(/^Inlet of/), 'ArrowDown', true)
    expect(store.design!.drains[0]!.inlet.place.zM - lip).toBeCloseTo(-0.01, 9)
    expect(end().zM - before.zM).toBeCloseTo(0, 9)
  })
  test('takes the same as a number, and says where nothing can give', async () => {
    ;({ wrapper } = await shown(DrainFields, fields()))
    const mm = Math.round(end().zM * 1000) + 12
    await enter('Its end over the room’s floor', `${mm} mm`)
    expect(end().zM).toBeCloseTo(mm / 1000, 6)
    await enter('Its end over the room’s floor', '4.9 m')
    expect(useNotices().notices.at(-1)!.text).toContain('No pipe of this drain')
  })
})

test('places draw a drag that comes near, else it goes by whole steps of the keeper’s units', () => {
  const how = { snaps: [{ atM: 0.302, words: 'at the water' }], pxPerM: 1000 } as const
  expect(snapped(0.306, { ...how, family: 'metric' })).toEqual(how.snaps[0])
  expect(snapped(0.3226, { ...how, family: 'metric' })).toEqual({ atM: 0.325, words: '' })
  expect(snapped(0.26, { ...how, family: 'us' }).atM).toBeCloseTo(0.26, 3)
  expect(snapped(0.2555, { ...how, family: 'us' }).atM).toBeCloseTo(0.254, 3)
})
