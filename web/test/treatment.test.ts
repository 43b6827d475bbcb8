import { describe, expect, test } from '@jest/globals'
import { applyEdits, QUOTED_TARGETS, type BasinDesign, setTo, type Solved } from '@yew-basin/core'
import { floorScale, toFloorPlan } from '../src/room/room-scale.ts'
import { doseChart, flowRange, type Lit } from '../src/treatment/dose-chart.ts'
import { newSpec } from '../src/parts/part-words.ts'
import { aDesign } from './a-design.ts'

const L_PER_H = 1 / 3.6e6
const [TARGET] = QUOTED_TARGETS
/** 45 mJ/cm² at 1 500 L/h. */
const DOSE_FLOW = 450 * 1500 * L_PER_H

function lit(flowLPerH: number): Lit {
  const flowM3PerS = flowLPerH * L_PER_H
  const sterilizer: Solved<'sterilizer'> = {
    deviceId: 'lamp',
    flowM3PerS,
    flowBandM3PerS: 0,
    doseJPerM2: flowM3PerS > 0 ? DOSE_FLOW / flowM3PerS : null,
    doseBandJPerM2: null,
    doseFlow: DOSE_FLOW,
    ageing: 1,
    lampLeftS: 1,
    targets: [
      {
        targetId: TARGET!.id,
        reaches: 'reached',
        killPerPass: 0.99,
        removalBandPerS: 0,
        halfLifeBandS: 0,
        removalPerS: 2e-4,
        mixedRemovalPerS: 2.2e-4,
        halfLifeS: 3000,
        flowForItM3PerS: DOSE_FLOW / TARGET!.mostJPerM2,
        outruns: true,
      },
    ],
    path: 'sump-to-sump' as const,
    overflowM3PerS: 5e-4,
    fromChamberId: null,
    toChamberId: null,
    skips: [],
  }
  return {
    lit: sterilizer,
    water: { displayM3: 0.4, sumpM3: 0.1 },
    targets: QUOTED_TARGETS,
    target: TARGET!,
  }
}

interface Series {
  readonly name: string
  readonly data: readonly (readonly [number, number])[]
}
const seriesOf = (sterilizer: Lit, family: 'metric' | 'us') =>
  doseChart(sterilizer, family, () => '#000').series as readonly Series[]
const named = (all: readonly Series[], name: string) => all.filter((line) => line.name === name)

describe('the chart of a lamp', () => {
  test('marks the branch’s own flow on dose and removal, in the unit in use', () => {
    const [dose, removal] = named(seriesOf(lit(900), 'metric'), 'this branch')
    expect(dose!.data[0]![0]).toBeCloseTo(900, 6)
    expect(dose!.data[0]![1]).toBeCloseTo(75, 6)
    expect(removal!.data[0]![1]).toBeCloseTo(0.72, 6)
    const [us] = named(seriesOf(lit(900), 'us'), 'this branch')
    expect(us!.data[0]![0]).toBeCloseTo(900 / 3.785411784, 4)
  })
  test('ends each target’s zone at the flow that gives its dose', () => {
    const [zone] = named(seriesOf(lit(900), 'metric'), TARGET!.organism)
    expect(zone!.data[1]![0]).toBeCloseTo(2250, 6)
    expect(zone!.data[1]![1]).toBeCloseTo(30, 9)
  })
  test('without flow marks none, and still shows where the target is met', () => {
    expect(named(seriesOf(lit(0), 'metric'), 'this branch')).toEqual([])
    const { fromM3PerS, toM3PerS } = flowRange(lit(0))
    const met = DOSE_FLOW / TARGET!.mostJPerM2
    expect(fromM3PerS).toBeLessThan(met)
    expect(toM3PerS).toBeGreaterThan(met)
  })
})

/** A sump of 1 m by 0.4 m with a wall in its middle, in a cabinet. */
const ROOMED: BasinDesign = applyEdits(aDesign('up 400 mm'), [
  setTo(['sump', 'box'], {
    make: 'bought',
    xM: 0.1,
    yM: 0.1,
    floorHeightM: 0,
    lengthM: 1,
    widthM: 0.4,
    heightM: 0.4,
    panelM: 0.01,
  }),
  setTo(['sump', 'cabinet'], { xM: 0, yM: 0, lengthM: 1.2, widthM: 0.6, topM: 0.8, doors: [] }),
])

describe('the floor on the sheet', () => {
  const scale = floorScale(ROOMED, 700, 400)
  test('holds the cabinet whole, the front at the bottom', () => {
    const cabinet = toFloorPlan(scale, { fromXM: -0.1, toXM: 1.1, fromYM: -0.1, toYM: 0.5 })
    expect(cabinet.x).toBeGreaterThanOrEqual(0)
    expect(cabinet.x + cabinet.width).toBeLessThanOrEqual(700)
    expect(cabinet.y + cabinet.height).toBeLessThanOrEqual(400)
    expect(scale.y(0)).toBeGreaterThan(scale.y(0.4))
  })
  test('is as long as it is wide, to one scale', () => {
    expect(scale.x(1) - scale.x(0)).toBeCloseTo(scale.y(0) - scale.y(1), 9)
  })
})

test('a new part of each kind of equipment is one that its kind asks for', () => {
  expect(newSpec('skimmer')).toMatchObject({ kind: 'skimmer', sterilizer: null })
  expect(newSpec('sterilizer')).toMatchObject({ kind: 'sterilizer', skimmer: null })
  expect(newSpec('flow-meter')).toMatchObject({ kind: 'flow-meter', skimmer: null })
})
