import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { editing, insertAt, lineAtTee, writeNotation } from '@yew-basin/core'
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import LineList from '../src/run/LineList.vue'
import PieceRow from '../src/run/PieceRow.vue'
import RunPanel from '../src/run/RunPanel.vue'
import { NEW_PIECES, pieceOfPart } from '../src/run/piece-words.ts'
import type { useDesign } from '../src/workspace/design-store.ts'
import { useUnits } from '../src/shell/units.ts'
import { enter, field, hasButton, press, shown, spaced, text } from './a-view.ts'
import { aPage, endWorkers } from './a-worker.ts'
import { anOpenBasin } from './open-basin.ts'

let store: ReturnType<typeof useDesign>
let wrapper: VueWrapper

beforeAll(aPage)
afterAll(endWorkers)
beforeEach(async () => {
  endWorkers()
  store = await anOpenBasin()
  ;({ wrapper } = await shown(RunPanel))
})

const pieces = () => store.line!.run.pieces
const kinds = () => pieces().map(({ kind }) => kind)
const rows = () => [...document.querySelectorAll<HTMLElement>('[data-piece]')]
const line = () => document.querySelector<HTMLTextAreaElement>('textarea')!

async function types(words: string): Promise<void> {
  line().value = words
  line().dispatchEvent(new Event('input', { bubbles: true }))
  await flushPromises()
}

describe('the pieces of a run', () => {
  test('stand in the water’s order, with what each loses', () => {
    expect(rows().map((row) => row.dataset.piece)).toEqual(kinds())
    const losing = store.solvedLine!.pieces.filter(({ lossM }) => lossM !== undefined)
    expect(rows().filter((row) => row.textContent.includes('lost'))).toHaveLength(losing.length)
  })

  test('change places by their buttons, and only as far as the list goes', async () => {
    const before = kinds()
    expect(field('Move piece 1 up the list').disabled).toBe(true)
    expect(field(`Move piece ${before.length} down the list`).disabled).toBe(true)
    await press('Move piece 1 down the list')
    expect(kinds()).toEqual([before[1], before[0], ...before.slice(2)])
    await press('Move piece 2 up the list')
    expect(kinds()).toEqual(before)
  })

  test('are joined as usual until the keeper says how, and again when he says nothing', async () => {
    const at = pieces().findIndex(({ kind }) => kind === 'valve')
    const made = () => pieces()[at]!.made
    const choose = async (label: string, value: string) => {
      const select = field(label) as unknown as HTMLSelectElement
      select.value = value
      select.dispatchEvent(new Event('change', { bubbles: true }))
      await flushPromises()
    }
    expect(made()).toBeUndefined()
    const row = () => rows()[at]!.textContent
    expect(row()).toContain('Joints: as usual (assumed)')
    await choose(`Coming in, piece ${at + 1}`, 'threaded')
    expect(made()).toMatchObject({ before: 'threaded', after: null })
    const union = [...rows()[at]!.querySelectorAll('label')].find((label) =>
      label.textContent.includes('true union'),
    )!
    union.querySelector('input')!.click()
    await flushPromises()
    expect(row()).toContain('Joints: threaded, true union')
    union.querySelector('input')!.click()
    await flushPromises()
    await choose(`Coming in, piece ${at + 1}`, '')
    expect(made()).toBeUndefined()
    expect('made' in pieces()[at]!).toBe(false)
  })

  test('a tee’s third leg may be of another size', async () => {
    const at = pieces().findIndex(({ kind }) => kind === 'tee')
    const third = [...rows()[at]!.querySelectorAll('label')].find((label) =>
      label.textContent.includes('third leg'),
    )!
    third.querySelector('input')!.click()
    await flushPromises()
    expect(pieces()[at]!.made!.branch).toEqual(store.line!.run.size)
  })

  test('taken from the parts keep the part’s id, and their joints stay as usual', () => {
    const valve = {
      id: 'own-valve',
      kind: 'valve',
      name: 'Bracken 25',
      spec: { form: 'ball', kvM3PerH: 12 },
    } as unknown as Parameters<typeof pieceOfPart>[0]
    const piece = pieceOfPart(valve)!.make('p', { size: store.line!.run.size, boreM: 0.026 })
    expect(piece).toMatchObject({ kind: 'valve', kvM3PerH: 12, made: { partId: 'own-valve' } })
    expect([piece.made!.before, piece.made!.after]).toEqual([null, null])
  })

  test('are taken out one by one, each a step to undo', async () => {
    const before = pieces()
    const at = before.findIndex(({ kind, id }) => kind !== 'tee' && !lineAtTee(store.design!, id))
    await press(`Take out piece ${at + 1}`)
    expect(pieces()).toEqual(before.filter((_, i) => i !== at))
    await store.undo()
    expect(pieces()).toEqual(before)
  })

  test('of every kind can be added at the end, with an id of its own', async () => {
    for (const what of NEW_PIECES) {
      const { place, ...around } = editing.endOfRun(store.line!.run)
      const made = what.make(`new ${what.label}`, around)
      store.edit([insertAt(['returnSide', 'lines', store.lineIndex, 'run', 'pieces'], place, made)])
      expect(pieces()[place]!.id).toBe(`new ${what.label}`)
      await flushPromises()
      expect([what.label, rows()[place]!.dataset.piece]).toEqual([what.label, made.kind])
      await store.undo()
    }
  })

  test('with an opening can be turned, and the flow follows', async () => {
    const at = pieces().findIndex((piece) => piece.kind === 'valve' && piece.form !== 'diaphragm')
    if (at < 0) throw new Error('the full design has a valve in its first line')
    const before = store.solvedLine!.flowM3PerS
    await enter(`Opening of piece ${at + 1}`, '20')
    field(`Opening of piece ${at + 1}`).dispatchEvent(new Event('blur'))
    await flushPromises()
    const piece = pieces()[at]!
    expect(piece.kind === 'valve' && piece.opening).toBeCloseTo(0.2, 9)
    expect(store.solvedLine!.flowM3PerS).toBeLessThan(before)
  })

  test('are lit in the section while the hand is on them', async () => {
    const row = wrapper.findAllComponents(PieceRow)[1]!
    await row.trigger('mouseenter')
    expect(store.selectedPieceId).toBe(pieces()[1]!.id)
    await row.trigger('mouseleave')
    expect(store.selectedPieceId).toBeNull()
  })
})

describe('a line that leaves at a tee', () => {
  const teeAt = () =>
    pieces().findIndex((piece) => piece.kind === 'tee' && lineAtTee(store.design!, piece.id))

  test('is named at its tee, and goes with it', async () => {
    const at = teeAt()
    expect(at).toBeGreaterThanOrEqual(0)
    const tee = pieces()[at]!
    const other = lineAtTee(store.design!, tee.id)!
    expect(rows()[at]!.textContent).toContain(other.name)
    await press(`Take out piece ${at + 1}`)
    expect(store.design!.returnSide.lines.some(({ id }) => id === other.id)).toBe(false)
    await store.undo()
    expect(store.design!.returnSide.lines.some(({ id }) => id === other.id)).toBe(true)
  })

  test('can’t be typed away', async () => {
    const before = pieces()
    const without = before.filter(({ kind }) => kind !== 'tee')
    await types(writeNotation(without, 'metric'))
    expect(text()).toContain('another line meets this tee')
    expect(pieces()).toBe(before)
    expect(line().getAttribute('aria-invalid')).toBe('true')
  })
})

describe('the run as one typed line', () => {
  test('says what stands there, in the units of the screen', async () => {
    expect(line().value).toBe(writeNotation(pieces(), 'metric'))
    useUnits().family = 'us'
    await flushPromises()
    expect(line().value).toBe(writeNotation(pieces(), 'us'))
    useUnits().family = 'metric'
  })

  test('is entered as it is typed, and stays as it was typed until it is left', async () => {
    const own = `${writeNotation(pieces(), 'metric')},  up 3 ft`
    await types(own)
    const last = pieces().at(-1)!
    expect(last.kind === 'pipe' && last.lengthM).toBeCloseTo(0.9144, 9)
    expect(line().value).toBe(own)
    line().dispatchEvent(new Event('blur'))
    await flushPromises()
    expect(line().value).toBe(writeNotation(pieces(), 'metric'))
  })

  test.each([
    ['up', 'Piece 1'],
    ['sideways 3 cm', 'Piece 1'],
    ['up 400 mm, gate 160%', 'Piece 2'],
    ['up 4000 km', 'Piece 1'],
  ])('%j changes nothing, and says which piece and what is possible', async (words, which) => {
    const before = store.design
    await types(words)
    expect(text()).toContain(which)
    expect(store.design).toBe(before)
    // Left with a fault it stays, to be put right.
    line().dispatchEvent(new Event('blur'))
    await flushPromises()
    expect(line().value).toBe(words)
  })
})

describe('the list of lines', () => {
  const names = () =>
    [...document.querySelectorAll('[aria-label=Lines] button')].map((row) => row.textContent.trim())

  test('has every line with what it carries, and chooses the one that is pressed', async () => {
    await shown(LineList)
    const { lines } = store.design!.returnSide
    expect(names()).toHaveLength(lines.length)
    for (const { name } of lines) expect(names().some((row) => row.includes(name))).toBe(true)
    const row = [...document.querySelectorAll<HTMLElement>('[aria-label=Lines] button')].at(-1)!
    row.click()
    await flushPromises()
    expect(row.getAttribute('aria-pressed')).toBe('true')
    expect(row.textContent).toContain(store.line!.name)
  })

  test('remarks on a line that hardly runs', async () => {
    const branch = store.design!.returnSide.lines.findIndex(({ start }) => start.at === 'tee')
    expect(branch).toBeGreaterThan(0)
    await shown(LineList)
    expect(text()).not.toContain('hardly runs')
    const { pieces } = store.design!.returnSide.lines[branch]!.run
    const valve = { id: 'nearly-shut', kind: 'valve', form: 'ball', opening: 0.1 } as const
    store.set(
      ['returnSide', 'lines', branch, 'run', 'pieces'],
      [{ ...valve, kvM3PerH: null }, ...pieces],
    )
    await flushPromises()
    expect(store.solved!.returnSide.lines[branch]!.hardlyRuns).toBe(true)
    expect(text()).toContain('hardly runs; could as well stand still')
  })

  test('prints no flow finer than it is known', async () => {
    await shown(LineList)
    const units = useUnits()
    for (const { flowM3PerS, flowBandM3PerS } of store.solved!.returnSide.lines) {
      expect(flowBandM3PerS).toBeGreaterThan(0)
      const printed = spaced(units.text('flow', flowM3PerS, flowBandM3PerS))
      expect(names().some((row) => spaced(row).includes(printed))).toBe(true)
    }
  })

  test('offers a pump more as long as there is a place for one', async () => {
    await shown(LineList)
    expect(hasButton(/Add a pump/)).toBe(true)
  })
})
