import { describe, expect, test } from '@jest/globals'
import { BULKHEADS, boreOf, building, type PipeSeries } from '@yew-basin/core'
import { nextTick } from 'vue'
import DrainsBench from '../src/drains/DrainsBench.vue'
import SchoolPicker from '../src/drains/SchoolPicker.vue'
import { newSpec } from '../src/parts/part-words.ts'
import { rigidSeries, usualSizes } from '../src/run/usual-sizes.ts'
import { useUnits } from '../src/shell/units.ts'
import CutList from '../src/sump/CutList.vue'
import { press, shown, spaced, text } from './a-view.ts'
import { anOpenBasin } from './open-basin.ts'

const FAMILIES = ['metric', 'us'] as const

describe('sizes of the keeper’s own shop', () => {
  test.each(FAMILIES)('in %s units every one of them is sold', (family) => {
    const { pipe, hose, bulkhead } = usualSizes(family)
    for (const size of [pipe, hose]) expect(boreOf(size).boreM).toBeGreaterThan(0.015)
    expect(BULKHEADS.map(({ size }) => size)).toContain(bulkhead)
    expect(newSpec('pipe', family)).toEqual(pipe)
    expect(newSpec('hose', family)).toEqual(hose)
  })
  test.each<[PipeSeries | undefined, string, string]>([
    ['schedule-80', 'schedule-80', 'schedule-80'],
    ['pn-10', 'pn-10', 'pn-10'],
    ['smooth-hose', 'pn-16', 'schedule-40'],
    [undefined, 'pn-16', 'schedule-40'],
  ])('a design in %s goes on in %s, or in inches in %s', (lead, metric, us) => {
    expect([rigidSeries(lead, 'metric'), rigidSeries(lead, 'us')]).toEqual([metric, us])
  })
  test('drains that are laid for a design in hose are of pipe that is sold there', async () => {
    const store = await anOpenBasin()
    store.set(['returnSide', 'lines', 0, 'run', 'size'], usualSizes('us').hose)
    store.set(['drains'], [])
    useUnits().family = 'us'
    await shown(SchoolPicker)
    for (const school of [/^Lay: One vented/, /^Lay: Siphon/]) {
      await press(school)
      const sizes = store.design!.drains.map(({ run }) => run.size)
      expect(sizes.length).toBeGreaterThan(0)
      for (const { series, size } of sizes) {
        expect([series, series === 'schedule-40' || size.endsWith(' in')]).toEqual([series, true])
      }
    }
    useUnits().family = 'metric'
  })
})

test('walls to cut are in inches as a tape has them, the decimal beside', async () => {
  const store = await anOpenBasin()
  const units = useUnits()
  await shown(CutList)
  const panels = building.cutList(store.shown!.sump)
  expect(panels.length).toBeGreaterThan(0)
  units.family = 'us'
  await nextTick()
  for (const { widthM } of panels) {
    const words = spaced(units.cut(widthM, 64))
    expect(words).toMatch(/^[\d /]+ in \(\d+\.\d{3}\)$/)
    expect(text()).toContain(words)
  }
  units.family = 'metric'
})

test('a drain in the list is told to the place of its band', async () => {
  const store = await anOpenBasin()
  const units = useUnits()
  await shown(DrainsBench)
  for (const { flowM3PerS, flowBandM3PerS } of store.solved!.drains) {
    expect(text()).toContain(spaced(units.text('flow', flowM3PerS, flowBandM3PerS)))
  }
})
