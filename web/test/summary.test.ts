import { beforeEach, expect, test } from '@jest/globals'
import { useUnits } from '../src/shell/units.ts'
import { summaryOf } from '../src/summary/summary-content.ts'
import { summaryPage } from '../src/summary/summary-page.ts'
import { keyFigures } from '@yew-basin/core'
import type { useDesign } from '../src/workspace/design-store.ts'
import { anOpenBasin } from './open-basin.ts'

let store: ReturnType<typeof useDesign>
beforeEach(async () => {
  store = await anOpenBasin()
})

test('a basin comes to one page: its figures with their bands, what stops, what is assumed', async () => {
  const units = useUnits()
  const content = summaryOf(store, units, '2026-11-30')
  const figures = keyFigures(store.solved!)
  expect(content.figures.map(({ label }) => label)).toEqual(figures.map(({ label }) => label))
  for (const [i, { value }] of figures.entries())
    expect(content.figures[i]!.beside.includes('±')).toBe((value.bandSi ?? 0) > 0)
  expect(content.figures.filter(({ beside }) => beside.includes('±')).length).toBeGreaterThan(3)
  expect(content.findings.length + content.more).toBe(
    store.solved!.findings.filter(({ severity }) => severity !== 'fine').length,
  )
  expect(content.findings.map(({ severity }) => severity)).toEqual(
    content.findings.map(({ severity }) => severity).toSorted(),
  )
  const sizes = (['metric', 'us'] as const).map((family) => {
    const page = summaryPage(content, { drawing: '<svg/>', family })
    const words = JSON.stringify(page.content)
    for (const { label, value } of content.figures) {
      expect(words).toContain(label)
      expect(words).toContain(value)
    }
    expect(words).toContain(content.findings[0]!.words)
    expect(words).toContain('measure before trusting')
    expect(words).toContain('"svg":"<svg/>"')
    return page.pageSize
  })
  expect(sizes).toEqual(['A4', 'LETTER'])
})

test('a page says how much of it is assumed', () => {
  const content = summaryOf(store, useUnits(), '2026-11-30')
  const saysOf = (assumed: number) =>
    JSON.stringify(summaryPage({ ...content, assumed }, { drawing: null, family: 'metric' }))
  expect(saysOf(0)).toContain('All that this rests on is given.')
  expect(saysOf(1)).toContain('1 figure that this rests on is assumed')
  expect(saysOf(6)).toContain('6 figures that this rests on are assumed')
})
