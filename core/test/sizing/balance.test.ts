import { aBasin, aLine, TEST_PUMP } from '../a-basin.ts'
import { expectClose } from '../close.ts'
import { L_PER_H } from '../tables.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, setTo } from '../../src/design/edit.ts'
import { targetsOf, wantedOfPump } from '../../src/figures/return/targets.ts'
import { balance } from '../../src/sizing/balance.ts'
import { describe, expect, test } from '@jest/globals'

/** A return with a takeoff and a second nozzle, each behind a gate. */
function aManifold() {
  const design = aBasin(
    'union, up 300 mm, tee, up 100 mm, tee, to 1, gate, up 600 mm, elbow, left 300 mm',
  )
  const [main] = design.returnSide.lines
  return applyEdits(design, [
    setTo(
      ['returnSide', 'lines'],
      [
        main!,
        aLine('takeoff', { at: 'tee', id: 'p3' }, 'to 1/2, gate 50%, left 300 mm', {
          at: 'chamber',
          id: 'sump',
        }),
        aLine('nozzle', { at: 'tee', id: 'p5' }, 'to 3/4, gate, left 400 mm, elbow, up 600 mm', {
          at: 'tank',
          id: 'tank',
        }),
      ],
    ),
  ])
}
const TARGETS = [
  { lineId: 'main', flowM3PerS: 1300 * L_PER_H },
  { lineId: 'takeoff', flowM3PerS: 500 * L_PER_H },
  { lineId: 'nozzle', flowM3PerS: 800 * L_PER_H },
]

describe('which openings give these flows', () => {
  const options = balance(aManifold(), TARGETS)
  const [valves, speed, both] = options

  test('three schools, side by side', () => {
    expect(options.map(({ school }) => school)).toEqual(['valves', 'speed', 'both'])
  })
  test('valves alone meet every target, as the whole design is then solved', () => {
    const after = solveBasin(applyEdits(aManifold(), valves!.edits)).returnSide.lines
    for (const { lineId, flowM3PerS } of TARGETS) {
      const line = after.find((solvedLine) => solvedLine.lineId === lineId)!
      expectClose(lineId, line.flowM3PerS, flowM3PerS, 2e-3)
    }
    expect(valves!.worstOff).toBeLessThan(2e-3)
    expect(valves!.wastedW).toBeGreaterThan(0)
  })
  test('speed alone turns no valve and cannot meet targets that do not suit the plumbing', () => {
    expect(speed!.valves.every(({ opening }) => opening === 1)).toBe(true)
    expect(speed!.worstOff).toBeGreaterThan(0.05)
    expect(speed!.wastedW).toBe(0)
  })
  test('both meet every target for less power than valves alone', () => {
    expect(both!.worstOff).toBeLessThan(5e-3)
    expect(both!.wirePowerW).toBeLessThan(valves!.wirePowerW)
    expect(both!.wastedW).toBeLessThan(valves!.wastedW)
    // A gate three fifths open holds back no more than the last percent of speed gives.
    expect(Math.max(...both!.valves.map(({ opening }) => opening))).toBeGreaterThan(0.55)
  })
  test('for a pump of one speed the others are marked as what a controller would do', () => {
    const pump = { ...TEST_PUMP, control: 'fixed-speed' as const }
    const design = applyEdits(aManifold(), [setTo(['pumps'], [pump])])
    const found = balance(design, TARGETS)
    expect(found.map(({ hypothetical }) => hypothetical)).toEqual([false, true, true])
    expect(found[2]!.wirePowerW).toBeLessThan(found[0]!.wirePowerW)
  })
  test('a target out of reach leaves its valve open and says how far it falls short', () => {
    const far = TARGETS.map((target) =>
      target.lineId === 'main' ? { ...target, flowM3PerS: 9000 * L_PER_H } : target,
    )
    const [option] = balance(aManifold(), far)
    expect(option!.valves.find(({ lineId }) => lineId === 'main')!.opening).toBe(1)
    expect(option!.lines.find(({ lineId }) => lineId === 'main')!.off).toBeLessThan(-0.3)
    expect(Math.abs(option!.lines.find(({ lineId }) => lineId === 'takeoff')!.off)).toBeLessThan(
      2e-3,
    )
  })
  test('a valve in a line without branches is set too', () => {
    const [option] = balance(aBasin(), [{ lineId: 'main', flowM3PerS: 1500 * L_PER_H }])
    expect(option!.worstOff).toBeLessThan(2e-3)
    expect(option!.finestStepM3PerS).toBeGreaterThan(0)
  })
})

test('what a tank wants is shared by its lines, less what a line wants for itself', () => {
  const design = applyEdits(aManifold(), [
    setTo(['returnSide', 'lines', 2, 'wantedFlowM3PerS'], 300 * L_PER_H),
  ])
  const targets = targetsOf(design, { tank: 1000 * L_PER_H })
  expect(targets.map(({ lineId }) => lineId)).toEqual(['main', 'nozzle'])
  expectClose('main', targets[0]!.flowM3PerS, 700 * L_PER_H)
})

test('a pump’s lines want what their ends want, and a pump without wishes wants nothing', () => {
  const design = applyEdits(aManifold(), [
    setTo(['returnSide', 'lines', 2, 'wantedFlowM3PerS'], 300 * L_PER_H),
  ])
  const placedId = design.returnSide.pumps[0]!.id
  const own = wantedOfPump(design, placedId, { tank: 1000 * L_PER_H })
  expectClose('all', own!, 1000 * L_PER_H)
  expect(wantedOfPump(design, 'another', { tank: 1000 * L_PER_H })).toBeNull()
})
