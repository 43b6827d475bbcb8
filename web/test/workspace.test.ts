import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { keyFigures, sentence, setTo, solveBasin, type BasinDesign } from '@yew-basin/core'
import { flushPromises } from '@vue/test-utils'
import { defineComponent, h } from 'vue'
import { useUnits } from '../src/shell/units.ts'
import ConflictDialog from '../src/workspace/ConflictDialog.vue'
import MarginStrip from '../src/workspace/MarginStrip.vue'
import PreviewBar from '../src/workspace/PreviewBar.vue'
import SaveMark from '../src/workspace/SaveMark.vue'
import { useUndoKeys } from '../src/workspace/use-undo-keys.ts'
import { useDesign } from '../src/workspace/design-store.ts'
import { STATIONS } from '../src/workspace/stations.ts'
import WaterPath from '../src/workspace/WaterPath.vue'
import { aBrowser, AServer } from './a-server.ts'
import { hasButton, press, shown, text } from './a-view.ts'
import { aPage, endWorkers, until } from './a-worker.ts'
import { aFullDesign } from './open-basin.ts'

let server: AServer
let id: string
let store: ReturnType<typeof useDesign>

beforeAll(aPage)
afterAll(endWorkers)
// What waits to be saved is saved on this server, not on the next test’s.
afterEach(() => store.leave())
beforeEach(async () => {
  endWorkers()
  aBrowser()
  server = new AServer(aFullDesign())
  id = server.has('Lower reef')
  store = useDesign()
  await store.open(id)
})

const lengthened = (design: BasinDesign, byM: number): BasinDesign => ({
  ...design,
  tanks: design.tanks.map((tank, i) => (i === 0 ? { ...tank, lengthM: tank.lengthM + byM } : tank)),
})
const tankLengthM = () => store.design!.tanks[0]!.lengthM
const kept = () => server.basins.get(id)!
const lengthen = (byM = 0.1) => store.set(['tanks', 0, 'lengthM'], tankLengthM() + byM)
const saved = () => until(() => store.saveState === 'saved', 'it is saved')

describe('an open basin', () => {
  test('is saved as it changes, and only then', async () => {
    const puts = () => server.asked.filter(({ method }) => method === 'PUT')
    await new Promise((resolve) => setTimeout(resolve, 700))
    expect(puts()).toHaveLength(0)
    lengthen()
    lengthen()
    expect(store.saveState).toBe('waiting')
    await saved()
    expect(puts()).toHaveLength(1)
    expect(kept().design.tanks[0]!.lengthM).toBe(tankLengthM())
  })

  test('undo reaches back past the moment it was opened', async () => {
    const before = tankLengthM()
    server.movesOn(id, lengthened(kept().design, 0.3))
    await store.open(id)
    expect(tankLengthM()).toBeCloseTo(before + 0.3, 12)
    await store.undo()
    expect(tankLengthM()).toBe(before)
    await store.redo()
    expect(tankLengthM()).toBeCloseTo(before + 0.3, 12)
  })

  test('keys undo and redo, and leave what is typed elsewhere alone', async () => {
    const Keys = defineComponent({
      setup() {
        useUndoKeys()
        return () => h('div')
      },
    })
    await shown(Keys)
    const before = tankLengthM()
    lengthen()
    const after = tankLengthM()
    const key = async (pressed: string, more: KeyboardEventInit = {}) => {
      window.dispatchEvent(
        new KeyboardEvent('keydown', { key: pressed, cancelable: true, ...more }),
      )
      await flushPromises()
    }
    await key('z')
    expect(tankLengthM()).toBe(after)
    await key('z', { ctrlKey: true })
    expect(tankLengthM()).toBe(before)
    await key('z', { ctrlKey: true, shiftKey: true })
    expect(tankLengthM()).toBe(after)
    await key('z', { metaKey: true })
    expect(tankLengthM()).toBe(before)
    await key('y', { ctrlKey: true })
    expect(tankLengthM()).toBe(after)
    await key('z', { ctrlKey: true, altKey: true })
    expect(tankLengthM()).toBe(after)
  })

  test('that is not there says so; one that can’t be read is another thing', async () => {
    await store.open('nowhere')
    expect(store.loadState).toBe('missing')
    server.down = true
    await store.open(id)
    expect([store.loadState, /does not answer/.test(store.loadFault)]).toEqual(['failed', true])
  })
})

describe('the save’s mark', () => {
  const mark = () => document.querySelector('[data-testid=save-state]')!.textContent

  test('says what happens to the work, and offers to try again without a network', async () => {
    await shown(SaveMark)
    expect(mark()).toMatch(/^Saved \d/)
    server.down = true
    lengthen()
    await flushPromises()
    expect(mark()).toBe('Unsaved')
    await until(() => store.saveState === 'offline', 'it is offline')
    await flushPromises()
    expect(mark()).toBe('Offline, kept here')
    server.down = false
    await press('Try now')
    await saved()
    await flushPromises()
    expect(mark()).toMatch(/^Saved/)
    expect(kept().design.tanks[0]!.lengthM).toBe(tankLengthM())
  })

  test('names the field that the server refused, and offers the work as a file', async () => {
    await shown(SaveMark)
    server.refuses = {
      code: 'invalid',
      faults: [{ path: 'tanks.0.lengthM', message: 'is too much' }],
    }
    lengthen()
    await until(() => store.saveState === 'refused', 'it is refused')
    await flushPromises()
    expect(mark()).toContain('tanks.0.lengthM is too much')
    expect(hasButton('Download it')).toBe(true)
    // The next change is saved again.
    lengthen()
    await saved()
  })

  test('says that the basin is gone, and still gives the work', async () => {
    await shown(SaveMark)
    kept().deleted = true
    lengthen()
    await until(() => store.saveState === 'gone', 'it is gone')
    await flushPromises()
    expect(mark()).toBe('Basin is gone')
    expect(hasButton('Download it')).toBe(true)
  })
})

describe('another tab that saved first', () => {
  /** Both sides have a change that the other has not. */
  async function collide(): Promise<{ mine: number; theirs: number }> {
    const before = tankLengthM()
    server.movesOn(id, lengthened(kept().design, 0.3))
    lengthen(0.1)
    await until(() => store.saveState === 'conflict', 'the save comes too late')
    await flushPromises()
    return { mine: before + 0.1, theirs: before + 0.3 }
  }

  test('is asked about with both flows and where they differ, and nothing is saved meanwhile', async () => {
    await shown(ConflictDialog, {}, `/basins/${id}/tank`)
    expect(text()).not.toContain('Saved elsewhere first')
    await collide()
    expect(text()).toContain('Saved elsewhere first')
    expect(text()).toContain('Tank, length')
    expect([...document.querySelectorAll('dd')].map((dd) => /\d/.test(dd.textContent))).toEqual([
      true,
      true,
    ])
    lengthen()
    await new Promise((resolve) => setTimeout(resolve, 700))
    expect(kept().revision).toBe(2)
  })

  test('mine is kept over theirs, which stays among the revisions', async () => {
    await shown(ConflictDialog, {}, `/basins/${id}/tank`)
    const { mine, theirs } = await collide()
    await press('Keep mine')
    await saved()
    expect(kept().design.tanks[0]!.lengthM).toBeCloseTo(mine, 12)
    expect(kept().before.at(-1)!.design.tanks[0]!.lengthM).toBeCloseTo(theirs, 12)
    await flushPromises()
    expect(text()).not.toContain('Saved elsewhere first')
  })

  test('theirs is taken, and mine is one undo away', async () => {
    await shown(ConflictDialog, {}, `/basins/${id}/tank`)
    const { mine, theirs } = await collide()
    await press('Take the other')
    expect(tankLengthM()).toBeCloseTo(theirs, 12)
    await saved()
    await store.undo()
    expect(tankLengthM()).toBeCloseTo(mine, 12)
  })

  test('both are kept: mine as a basin of its own, opened', async () => {
    const { router } = await shown(ConflictDialog, {}, `/basins/${id}/tank`)
    const { mine, theirs } = await collide()
    await press('Keep both, mine as a copy')
    await until(() => router.currentRoute.value.params.id !== id, 'the copy is opened')
    const copy = server.basins.get(router.currentRoute.value.params.id as string)!
    expect(copy.name).toBe('Lower reef (mine)')
    expect(copy.design.tanks[0]!.lengthM).toBeCloseTo(mine, 12)
    expect(kept().design.tanks[0]!.lengthM).toBeCloseTo(theirs, 12)
    expect(router.currentRoute.value.params.station).toBe('tank')
  })

  test('a copy that could not be made leaves the question open', async () => {
    await shown(ConflictDialog, {}, `/basins/${id}/tank`)
    await collide()
    server.refuses = { code: 'server-fault' }
    await press('Keep both, mine as a copy')
    expect(store.saveState).toBe('conflict')
    expect(text()).toContain('Saved elsewhere first')
  })
})

describe('the strip of margins', () => {
  const cells = () =>
    [...document.querySelectorAll('[aria-label=Margins] a')].map((cell) => ({
      id: cell.getAttribute('data-testid')!.replace('margin-', ''),
      to: cell.getAttribute('href')!,
      says: cell.textContent.replace(/\s+/g, ' ').trim(),
    }))

  test('shows core’s key figures but the net volume, each leading to its station', async () => {
    await shown(MarginStrip)
    const wanted = keyFigures(solveBasin(store.design!)).filter(
      (figure) => figure.id !== 'netVolume',
    )
    expect(cells().map((cell) => cell.id)).toEqual(wanted.map((figure) => figure.id))
    for (const [i, { station, label }] of wanted.entries()) {
      expect(cells()[i]!.to).toBe(`/basins/${id}/${station}`)
      expect(cells()[i]!.says).toContain(label)
    }
  })

  test('says in words what its colour says, and follows a change and the units', async () => {
    await shown(MarginStrip)
    const flow = () => cells().find((cell) => cell.id === 'flow')!.says
    const before = flow()
    store.set(['returnSide', 'pumps', 0, 'stopped'], true)
    await flushPromises()
    expect(flow()).not.toBe(before)
    expect(flow()).toMatch(/stop|watch/)
    await store.undo()
    await flushPromises()
    expect(flow()).toBe(before)
    useUnits().family = 'us'
    await flushPromises()
    expect(flow()).toContain('gph')
    useUnits().family = 'metric'
  })

  test('has the worst drill once they are in, and not before', async () => {
    await shown(MarginStrip)
    expect(cells().some((cell) => cell.to.endsWith('/drills'))).toBe(false)
    await until(
      () => cells().some((cell) => cell.to.endsWith('/drills')),
      'the worst drill is shown',
      240_000,
    )
    lengthen()
    await flushPromises()
    expect(cells().some((cell) => cell.to.endsWith('/drills'))).toBe(false)
  }, 260_000)
})

describe('the water’s way', () => {
  test('lists every station in the water’s order, with a figure and the worst that was found', async () => {
    await shown(WaterPath, { station: 'sump' })
    const rows = [...document.querySelectorAll('nav li')]
    expect(rows).toHaveLength(STATIONS.length)
    expect(
      rows.map((row) => row.querySelector('a')!.getAttribute('href')!.split('/').at(-1)),
    ).toEqual([...STATIONS])
    expect(rows.every((row) => row.textContent.trim().length > 8)).toBe(true)
    expect(document.querySelectorAll('[aria-current=step]')).toHaveLength(1)
    expect(document.querySelector('[aria-current=step]')!.getAttribute('href')).toMatch(/sump$/)
  })

  test('says what is not set yet where there is nothing', async () => {
    store.edit([
      setTo(['sump', 'box'], null),
      setTo(['sump', 'devices'], []),
      setTo(['drains'], []),
      ...store.design!.tanks.map((_, i) => setTo(['tanks', i, 'overflow'], null)),
    ])
    await shown(WaterPath, { station: 'tank' })
    expect(text()).toContain('sizes not set yet')
    expect(text()).toContain('none set yet')
    expect(text().match(/not set yet/g)!.length).toBeGreaterThanOrEqual(3)
  })
})

describe('a fix that is looked at', () => {
  const fix = () => ({
    label: sentence('A longer tank'),
    brings: sentence('More water.'),
    edits: [setTo(['tanks', 0, 'lengthM'], tankLengthM() + 0.2)],
  })

  test('is on the screen and not in the design, until it is applied', async () => {
    await shown(PreviewBar)
    expect(text()).not.toContain('Preview')
    const before = store.design
    const flow = store.solved!.totals.netVolumeM3
    store.look(fix())
    await flushPromises()
    expect(text()).toContain('A longer tank. Nothing is changed yet.')
    expect([store.design === before, store.solved!.totals.netVolumeM3 > flow]).toEqual([true, true])
    await press('Back')
    expect([store.preview, store.solved!.totals.netVolumeM3]).toEqual([null, flow])
    store.look(fix())
    await flushPromises()
    await press('Apply')
    expect(store.preview).toBeNull()
    expect(store.solved!.totals.netVolumeM3).toBeGreaterThan(flow)
    await store.undo()
    expect(store.design).toEqual(before)
  })

  test('is put away by undo before anything is undone', async () => {
    lengthen()
    const changed = store.design
    store.look(fix())
    await store.undo()
    expect([store.preview, store.design === changed]).toEqual([null, true])
    await store.undo()
    expect(store.design === changed).toBe(false)
  })
})

test('work that never reached the server is back after a reload, and said to be', async () => {
  server.down = true
  lengthen()
  const mine = tankLengthM()
  await until(() => store.saveState === 'offline', 'it is offline')
  server.down = false
  await store.open(id)
  expect(tankLengthM()).toBe(mine)
  await saved()
  expect(kept().design.tanks[0]!.lengthM).toBe(mine)
})
