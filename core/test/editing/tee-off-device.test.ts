import { describe, expect, test } from '@jest/globals'
import { aSterilizer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, type BasinDesign, isInChamber } from '../../src/design/index.ts'
import { mayBeTeedOff, teeOffDevice } from '../../src/editing/branch/tee-off-device.ts'
import { layOut } from '../../src/layout/index.ts'

const WITH = withDevices(aLoop(), aSterilizer({ lineId: null }))
const ids = () => {
  let n = 0
  return () => `new-${(n += 1)}`
}
const teed = (design: BasinDesign) =>
  applyEdits(design, teeOffDevice(design, solveBasin(design), { deviceIndex: 0, newId: ids() }))

describe('a device that is teed off the return', () => {
  const design = teed(WITH)
  const line = design.returnSide.lines.at(-1)!

  test('has a line of its own: valve, union, itself, and pipe down into a chamber', () => {
    expect(design.sump.devices[0]!.lineId).toBe(line.id)
    expect(line.run.pieces.slice(0, 3).map(({ kind }) => kind)).toEqual([
      'valve',
      'union',
      'device',
    ])
    const { mouth } = layOut(design).lines.at(-1)!
    expect(isInChamber(design.sump, line.end.id!, mouth)).toBe(true)
  })
  test('gets a flow in its window, by the valve', () => {
    const solved = solveBasin(design)
    const { flowM3PerS } = solved.returnSide.lines.at(-1)!
    const { window } = WITH.sump.devices[0]!.part
    if (window) {
      expect(flowM3PerS).toBeGreaterThan(window.leastM3PerS)
      expect(flowM3PerS).toBeLessThan(window.mostM3PerS)
    } else {
      expect(flowM3PerS / line.wantedFlowM3PerS!).toBeCloseTo(1, 1)
    }
    expect(solved.treatment.sterilizers[0]!.doseJPerM2).toBeGreaterThan(0)
  })
  test('leaves the line it is taken from as long as it was, with its mouth where it was', () => {
    const [before, after] = [layOut(WITH).lines[0]!, layOut(design).lines[0]!]
    for (const axis of ['xM', 'yM', 'zM'] as const) {
      expect(after.mouth[axis]).toBeCloseTo(before.mouth[axis], 9)
    }
  })
  test('takes the stop away that it had, and brings none', () => {
    const stops = (of: BasinDesign) =>
      solveBasin(of)
        .findings.filter(({ severity }) => severity === 'stop')
        .map(({ code }) => code)
    expect(stops(WITH)).toContain('lamp-without-flow')
    expect(stops(design)).toEqual(stops(WITH).filter((code) => code !== 'lamp-without-flow'))
  })
  test('is offered once, and to nothing that stands in the water', () => {
    expect(mayBeTeedOff(WITH.sump.devices[0]!)).toBe(true)
    expect(mayBeTeedOff(design.sump.devices[0]!)).toBe(false)
  })
})
