import { aBasin, aLine, lead, TEST_PUMP } from '../a-basin.ts'
import { aSterilizer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { withChanges } from '../changes.ts'
import { transitionLoss } from '../../src/fitting/transition.ts'
import { applyEdits, type BasinDesign, setTo, solveBasin } from '../../src/index.ts'
import { velocityHeadM, speedMPerS } from '../../src/pipe/flow.ts'
import { describe, expect, test } from '@jest/globals'

const wide = (outletBoreM: number) =>
  aBasin('union, up 1 m, elbow, left 300 mm', { pumps: [{ ...TEST_PUMP, outletBoreM }] })

describe('an adapter where bores differ', () => {
  test('at a pump’s outlet costs a sudden change on the smaller bore, drawn or not', () => {
    const design = wide(0.02)
    const { joints, startFlowM3PerS, pieces } = lead(design)
    expect(joints).toHaveLength(1)
    const toBoreM = pieces[0]!.boreM
    const { k } = transitionLoss({ fromBoreM: 0.02, toBoreM, angleDeg: null })
    expect(joints[0]).toMatchObject({ at: 'pump-outlet', lineId: 'main' })
    expect(joints[0]!.k).toBeCloseTo(k, 9)
    expect(joints[0]!.lossM).toBeCloseTo(k * velocityHeadM(speedMPerS(startFlowM3PerS, 0.02)), 9)
  })
  test('is none where they are one, and takes flow where they are not', () => {
    const boreM = lead(wide(0.02)).pieces[0]!.boreM
    const even = wide(boreM)
    expect(lead(even).joints).toEqual([])
    expect(lead(wide(0.015)).flowM3PerS).toBeLessThan(lead(even).flowM3PerS)
  })
  test('at a device’s ports counts on its piece, on the way in and on the way out', () => {
    const line = 'union, up 300 mm, sterilizer k 5, union, up 700 mm, elbow, left 300 mm'
    const design = withDevices(aLoop({ line }), aSterilizer({ lineId: 'main' }))
    const at = (boreM: number) =>
      lead(withChanges(design, { 'sump.devices.0.part.sterilizer.portBoreM': boreM }))
    const bore = lead(design).pieces[0]!.boreM
    const piece = (solved: ReturnType<typeof lead>) =>
      solved.pieces.find(({ kind }) => kind === 'device')!
    expect(piece(at(0.018)).lossM).toBeGreaterThan(piece(at(bore)).lossM)
    expect(at(0.018).flowM3PerS).toBeLessThan(at(bore).flowM3PerS)
  })
})

/** A takeoff by a tee of the main line. */
function withTakeoff(form: string, valve: string): BasinDesign {
  const design = aBasin(`union, up 300 mm, tee${form}, up 900 mm, elbow, left 300 mm`)
  const takeoff = aLine('takeoff', { at: 'tee', id: 'p3' }, `to 3/4, ${valve}, left 300 mm`, {
    at: 'chamber',
    id: 'sump',
  })
  return applyEdits(design, [
    setTo(['returnSide', 'lines'], [design.returnSide.lines[0]!, takeoff]),
  ])
}

describe('a tee in a line', () => {
  const teeOf = (design: BasinDesign) => {
    const { lines } = solveBasin(design).returnSide
    return { lines, tee: lines[0]!.pieces.find(({ kind }) => kind === 'tee')!.tee! }
  }
  test('says how its flow divides, which leg is common, and its K', () => {
    const { lines, tee } = teeOf(withTakeoff('', 'gate 50%'))
    expect(tee).toMatchObject({ dividing: true, common: 'in', straightOn: true })
    expect(tee.otherShare).toBeCloseTo(lines[1]!.startFlowM3PerS / lines[0]!.startFlowM3PerS, 9)
    expect(tee.lossM).toBeCloseTo(tee.k * tee.velocityHeadM, 12)
  })
  test('turns its own line where the other goes straight on', () => {
    const straight = teeOf(withTakeoff('', 'gate 50%')).tee
    const turning = teeOf(withTakeoff(' straight', 'gate 50%')).tee
    expect(turning.straightOn).toBe(false)
    expect(turning.k).toBeGreaterThan(straight.k + 0.5)
    expect(teeOf(withTakeoff(' split', 'gate 50%')).tee).toMatchObject({ common: 'in' })
  })
  test('past a shut takeoff is as past a dry branch', () => {
    const { tee } = teeOf(withTakeoff('', 'gate 0%'))
    expect(tee.otherShare).toBe(0)
    expect(tee.k).toBeGreaterThan(0.03)
    expect(tee.k).toBeLessThan(0.04)
  })
  test('that is plugged costs as much as one whose takeoff is shut', () => {
    const plugged = lead(aBasin('union, up 300 mm, tee, up 900 mm, elbow, left 300 mm'))
    const { lines } = teeOf(withTakeoff('', 'gate 0%'))
    expect(plugged.flowM3PerS).toBeCloseTo(lines[0]!.flowM3PerS, 9)
    expect(plugged.pieces.find(({ kind }) => kind === 'tee')!.tee).toBeNull()
  })
  test('heads add up along every way: lift, friction and fittings are what the pump gives', () => {
    for (const form of ['', ' straight', ' split']) {
      for (const line of solveBasin(withTakeoff(form, 'gate 30%')).returnSide.lines) {
        const { liftM, frictionM, fittingsM, pump } = line
        expect(liftM + frictionM + fittingsM).toBeCloseTo(pump.headM, 6)
      }
    }
  })
})
