import { describe, expect, test } from '@jest/globals'
import { check, curveFaults, DesignDocument, PART_KINDS } from '@yew-basin/contract'
import { applyEdits, building, fixesOfFinding, solveBasin, swaps } from '@yew-basin/core'
import { DEMO_BASINS } from '../src/demo/basins.ts'
import { STARTER_DESIGN, STARTER_IN_INCHES } from '../src/demo/starter.ts'
import { SAMPLE_CIRCULATION, sampleCirculation } from '../src/demo/circulation.ts'
import { SAMPLE_DEVICES, sampleDevice } from '../src/demo/devices/devices.ts'
import { SAMPLE_PARTS } from '../src/demo/parts.ts'
import { SAMPLE_PUMPS, samplePump } from '../src/demo/pumps.ts'

const DESIGNS = [
  ...DEMO_BASINS.map(({ name, design }) => [name, design] as const),
  ['what a new basin starts from', STARTER_DESIGN] as const,
  ['what it starts from in inches', STARTER_IN_INCHES] as const,
]

describe('the sample library', () => {
  test('has each part once, of every kind, with a name of its own', () => {
    const ids = SAMPLE_PARTS.map(({ kind, id }) => `${kind} ${id}`)
    expect(new Set(ids).size).toBe(ids.length)
    const names = SAMPLE_PARTS.map(({ kind, name }) => `${kind} ${name}`)
    expect(new Set(names).size).toBe(names.length)
    expect(new Set(SAMPLE_PARTS.map(({ kind }) => kind))).toEqual(new Set(PART_KINDS))
  })
  test.each(SAMPLE_PUMPS.map((pump) => [pump.name, pump] as const))(
    '%s: its curve falls from its shut-off to nothing, and its power can be what it says',
    (_, pump) => {
      expect(curveFaults(pump)).toEqual([])
      const flows = pump.curve.map(({ flowM3PerS }) => flowM3PerS)
      const heads = pump.curve.map(({ headM }) => headM)
      expect(flows).toEqual([...flows].sort((a, b) => a - b))
      expect(heads).toEqual([...heads].sort((a, b) => b - a))
      expect(pump.leastSpeed).toBeGreaterThan(0)
      expect(pump.control === 'fixed-speed' ? pump.leastSpeed : 1).toBe(1)
      // No pump puts more into the water than it draws: ρ g Q H, at any point, under its plate.
      for (const { flowM3PerS, headM } of pump.curve) {
        expect(1025 * 9.81 * flowM3PerS * headM).toBeLessThan(0.7 * pump.ratedPowerW)
      }
    },
  )
  test('larger pumps lift more water, in the order they stand', () => {
    const most = SAMPLE_PUMPS.map(
      ({ curve, maxFlowM3PerS }) => maxFlowM3PerS ?? curve.at(-1)!.flowM3PerS,
    )
    expect(most.every((flow) => flow > 0)).toBe(true)
    expect(most.at(-1)! / most[0]!).toBeGreaterThan(5)
  })
  test.each(SAMPLE_DEVICES.map((part) => [part.name, part] as const))(
    '%s has sizes, power and what its kind needs',
    (_, part) => {
      for (const sizeM of [part.lengthM, part.widthM, part.heightM]) {
        expect(sizeM).toBeGreaterThan(0.01)
        expect(sizeM).toBeLessThan(2)
      }
      expect(part.sectionM2).toBeLessThanOrEqual(part.lengthM * part.widthM + 1e-9)
      expect(part.skimmer !== null).toBe(part.kind === 'skimmer')
      expect(part.sterilizer !== null).toBe(part.kind === 'sterilizer')
      if (part.skimmer) {
        const { light, medium, heavy } = part.skimmer.ratedM3
        expect([light >= medium, medium >= heavy]).toEqual([true, true])
      }
      if (part.window) expect(part.window.leastM3PerS).toBeLessThan(part.window.mostM3PerS)
    },
  )
  test.each(SAMPLE_CIRCULATION.map((part) => [part.name, part] as const))(
    '%s has a flow, a power and a least speed it can turn at',
    (_, part) => {
      expect(part.flowM3PerS).toBeGreaterThan(0)
      expect(part.powerW).toBeGreaterThan(0)
      expect(part.leastSpeed).toBeLessThanOrEqual(1)
    },
  )
  test('names what it does not have', () => {
    expect(() => samplePump('none')).toThrow('no pump none')
    expect(() => sampleDevice('none')).toThrow('none')
    expect(() => sampleCirculation('none')).toThrow('none')
  })
})

describe.each(DESIGNS)('%s', (name, design) => {
  test('is a design the contract takes as it is', () => {
    const checked = check(DesignDocument, JSON.parse(JSON.stringify(design)))
    expect(checked.ok ? [] : checked.faults).toEqual([])
  })
  test('has every id once, of each thing', () => {
    const { tanks, drains, sump, returnSide, pumps } = design
    const lists = [
      tanks,
      drains,
      sump.chambers,
      sump.walls,
      sump.devices,
      returnSide.pumps,
      returnSide.lines,
      pumps,
      returnSide.lines.flatMap(({ run }) => run.pieces),
      drains.flatMap(({ run }) => run.pieces),
    ]
    for (const list of lists) {
      const ids = (list as readonly { id: string }[]).map(({ id }) => id)
      expect([name, new Set(ids).size]).toEqual([name, ids.length])
    }
  })
  test('carries its pumps as the library has them', () => {
    for (const pump of design.pumps) {
      expect(JSON.parse(JSON.stringify(pump))).toEqual(
        JSON.parse(JSON.stringify(samplePump(pump.id))),
      )
    }
  })
  test('runs: water reaches every tank, and the search for it settled', () => {
    const { tanks, returnSide, loop } = solveBasin(design)
    for (const { flowM3PerS } of tanks) expect(flowM3PerS).toBeGreaterThan(0)
    expect(returnSide.unsettledLineId).toBeNull()
    expect(loop.residualM).toBe(0)
  })
  test('takes any pump of the library in the place of its own', () => {
    const { pumps } = design.returnSide
    const given = swaps(design, SAMPLE_PUMPS, pumps[0]!.id)
    expect(given.map(({ pumpId }) => pumpId)).toEqual(SAMPLE_PUMPS.map(({ id }) => id))
    for (const { flowM3PerS, wirePowerW } of given) {
      expect(Number.isFinite(flowM3PerS)).toBe(true)
      expect(wirePowerW).toBeGreaterThanOrEqual(0)
    }
  })
})

test('what Lantern’s emergency is glued to has fixes, of which no two come to the same but for its pieces’ ids', () => {
  const { design } = DEMO_BASINS.find(({ name }) => name === 'Lantern')!
  const held = building.buildFindings(design).find(({ code }) => code === 'cannot-come-out')!
  const { fixes } = fixesOfFinding(design, held)
  const comesTo = fixes.map(({ edits }) =>
    JSON.stringify(applyEdits(design, edits).drains, (key, value: unknown) =>
      key === 'id' ? undefined : value,
    ),
  )
  expect(fixes.length).toBeGreaterThan(1)
  expect(new Set(comesTo).size).toBe(fixes.length)
})
