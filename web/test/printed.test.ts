import { beforeEach, describe, expect, test } from '@jest/globals'
import { building } from '@yew-basin/core'
import { lengthLabels } from '../src/isometric/length-labels.ts'
import { type LabelOf, LINE_HIGH, placeLabels } from '../src/isometric/isometric-labels.ts'
import { markLabels } from '../src/isometric/mark-labels.ts'
import { playedAt } from '../src/building/played.ts'
import { isometricPages } from '../src/building/printed/isometric-pages.ts'
import { PARTS } from '../src/building/printed/parts.ts'
import { sheetPdf } from '../src/building/printed/sheet-pdf.ts'
import { useUnits } from '../src/shell/units.ts'
import { withPlainSpaces } from '../src/summary/summary-pdf.ts'
import type { useDesign } from '../src/workspace/design-store.ts'
import { aFullDesign, anOpenBasin } from './open-basin.ts'

let store: ReturnType<typeof useDesign>
let sheet: building.BuildSheet
beforeEach(async () => {
  store = await anOpenBasin(aFullDesign())
  sheet = building.sheetOf(store.design!, store.solved!)
})

/** Widths as the letters of the drawing are, about. */
const boxOf = ({ x, y, lines }: { x: number; y: number; lines: readonly string[] }) => {
  const half = Math.max(...lines.map(({ length }) => length)) * 3.2
  return {
    left: x - half,
    right: x + half,
    top: y - LINE_HIGH + 4,
    bottom: y + (lines.length - 1) * LINE_HIGH,
  }
}

describe('words in an isometric', () => {
  test('say every length that is sawn, and cover neither each other nor more than they must', () => {
    const units = useUnits()
    for (const { id } of sheet.routes) {
      const drawing = building.isometricOf(store.design!, { kind: 'run', routeId: id })
      const labels = lengthLabels(drawing, units)
      const own = sheet.cuts.filter(({ routeId }) => routeId === id)
      for (const { mark } of own)
        expect(labels.some(({ lines }) => lines[0]!.startsWith(`${mark} `))).toBe(true)
      const boxes = placeLabels(labels, drawing).map(boxOf)
      boxes.forEach((a, i) => {
        for (const b of boxes.slice(i + 1)) {
          const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left)
          const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
          expect(wide > 0 && high > 0).toBe(false)
        }
      })
    }
  })
  test('that must stand off have a line that leads back', () => {
    const spot = { x: 0, y: 0 }
    const label = (key: string): LabelOf => ({
      key,
      lines: ['a long word', 'another'],
      beside: [spot],
      across: { x: 0, y: 1 },
    })
    const many = Array.from({ length: 9 }, (_, i) => label(String(i)))
    const placed = placeLabels(many, { bars: [], signs: [] })
    expect(placed[0]!.leader).toBeNull()
    expect(placed.at(-1)!.leader!.to).toEqual(spot)
  })
  test('are marks alone where all of it is drawn', () => {
    const whole = building.isometricOf(store.design!, { kind: 'whole' })
    const words = markLabels(whole).flatMap(({ lines }) => lines)
    for (const { mark } of sheet.cuts) expect(words).toContain(mark)
  })
})

test('a step that is played shows what is done, what is in hand and what comes later', () => {
  const { order } = sheet
  const glue = order.steps.filter(({ kind }) => kind === 'glue')
  const [first, last] = [glue[0]!, glue.at(-1)!]
  const { stateOf, joints, without } = playedAt(order, first.number)
  expect(stateOf(first.partIds)).toBe('now')
  expect(stateOf(last.partIds)).toBe('later')
  expect(playedAt(order, last.number).stateOf(first.partIds)).toBe('done')
  expect([...joints]).toEqual(first.jointIds)
  const lift = order.steps.find(({ kind }) => kind === 'lift')!
  expect(without.has(lift.boxId!)).toBe(lift.number > first.number)
  expect(playedAt(order, order.steps.length).without.size).toBe(0)
})

const drawn = (width: number, height: number) => ({ svg: '<svg/>', width, height })

test('isometrics stand two on a page where both can be read there, and by themselves where not', () => {
  const rows = (sizes: readonly (readonly [number, number])[]) =>
    isometricPages(
      sizes.map(([width, height], i) => ({ title: `Run ${i}`, ...drawn(width, height) })),
      'metric',
    )
      .slice(2)
      .map(({ columns }) => (columns as object[]).length)
  expect(
    rows([
      [300, 600],
      [300, 500],
      [300, 400],
    ]),
  ).toEqual([2, 1])
  expect(
    rows([
      [900, 600],
      [300, 500],
      [320, 400],
    ]),
  ).toEqual([1, 2])
  const [, , row] = isometricPages([{ title: 'Tall', ...drawn(300, 2000) }], 'metric')
  expect(JSON.stringify(row)).toMatch(/"height":665/)
})

test('the printed sheet has every part that is asked for, each on pages of its own, drawings as vectors', async () => {
  const units = useUnits()
  const make = async () => drawn(400, 300)
  const drawings = { section: make, isometric: make, bars: make, panels: make }
  const lines = sheet.list.map((line) => ({ line, have: null, price: null, toBuy: line.count }))
  const isometrics = building.isometricsOf(store.design!)
  const by = { store, units, today: '2026-11-30', drawings }
  const print = (ids: readonly (typeof PARTS)[number]['id'][]) =>
    sheetPdf(ids, { sheet, isometrics, lines }, by)
  const page = await print(PARTS.map(({ id }) => id))
  const content = page.content as Record<string, unknown>[]
  const words = JSON.stringify(content)
  for (const heading of ['Isometrics', 'To buy', 'Cuts', 'Order', 'Comes apart', 'Before water'])
    expect(words).toContain(`"text":"${heading}","fontSize":18`)
  for (const { mark } of sheet.cuts) expect(words).toContain(`"${mark}"`)
  for (const { number } of sheet.order.steps) expect(words).toContain(`"text":"${number}"`)
  for (const { thing } of sheet.apart) expect(words).toContain(thing.name)
  expect(content[0]!.pageBreak).toBeUndefined()
  expect(words.match(/<svg/g)!.length).toBeGreaterThan(isometrics.length)
  const order = await print(['order'])
  expect((order.content as Record<string, unknown>[])[0]).toMatchObject({ text: 'Order' })
  expect(JSON.stringify(order)).not.toContain('<svg')
})

test('numbers keep their groups together in print, at the foot of each page too', () => {
  const page = withPlainSpaces({
    content: [{ text: '1\u202f504', bold: true }, null, 3],
    footer: (now: number, of: number) => ({ text: `${now}\u2009of ${of}` }),
  }) as { content: unknown; footer: (now: number, of: number) => unknown }
  expect(page.content).toEqual([{ text: '1\u00a0504', bold: true }, null, 3])
  expect(page.footer(2, 9)).toEqual({ text: '2\u00a0of 9' })
})
