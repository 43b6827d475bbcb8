import { describe, expect, test } from '@jest/globals'
import { waterAt } from '../../src/fluid/water.ts'
import { dutyBand } from '../../src/network/band.ts'
import { solveDuty, type DutyProblem } from '../../src/network/duty.ts'
import { makeLine } from '../../src/network/line.ts'
import { flowAtHead, speedForFlow } from '../../src/network/speed.ts'
import { leastSpeedToLift, pumpCurve } from '../../src/pump/curve.ts'
import { hydraulicPowerW, pumpPower, wirePowerW } from '../../src/pump/power.ts'
import { reynolds, speedMPerS } from '../../src/pipe/flow.ts'
import { fittingOf, type CheckFitting } from '../check-fitting.ts'
import { checkPumps } from '../check-pump.ts'
import { expectClose } from '../close.ts'
import { cell, csvTable, jsonTable, L_PER_H, number, type Row } from '../tables.ts'

interface CheckPipe {
  bore_m: number
  length_m: number
  roughness_m: number
  f_multiplier?: number
}
interface CheckCase {
  id: string
  comment: string
  pump: string
  speed: number
  static_lift_m: number
  S_ppt: number
  T_C: number
  pipes: CheckPipe[]
  fittings: CheckFitting[]
}

const pumps = checkPumps()
const { cases } = jsonTable<{ cases: CheckCase[] }>('duty.json')
const rows = new Map<string, Row>(csvTable('duty.csv').map((row) => [row.case!, row]))

function problemOf(given: CheckCase): DutyProblem {
  const part = pumps[given.pump]!
  const fittings = given.fittings.flatMap((fitting) =>
    Array.from({ length: fitting.count ?? 1 }, () => ({
      boreM: fitting.bore_m,
      loss: fittingOf(fitting)!,
      exit: fitting.type === 'exit',
    })),
  )
  const pipes = given.pipes.map((pipe) => ({
    boreM: pipe.bore_m,
    lengthM: pipe.length_m,
    roughnessM: pipe.roughness_m,
    factor: pipe.f_multiplier ?? 1,
  }))
  return {
    curve: pumpCurve(part),
    outletBoreM: part.outletBoreM,
    speed: given.speed,
    line: makeLine(pipes, fittings),
    liftM: given.static_lift_m,
    water: waterAt({ salinityPpt: given.S_ppt, temperatureC: given.T_C }),
    shut: false,
    canFlowBack: false,
  }
}

function dutyOf(problem: DutyProblem) {
  const outcome = solveDuty(problem)
  if (!outcome.ok) throw new Error(outcome.reason)
  return outcome.value
}

describe('duty points against the check table', () => {
  test.each(cases.map((given) => [`${given.id} ${given.comment}`, given] as const))(
    '%s',
    (name, given) => {
      const row = rows.get(given.id)!
      const problem = problemOf(given)
      const duty = dutyOf(problem)
      const close = (what: string, got: number, column: string, tolerance = 1e-5) =>
        expectClose(`${name} ${what}`, got, number(row, column), tolerance)

      expect(duty.status).toBe(row.status === 'flows' ? 'flows' : 'no-lift')
      close('flow', duty.flowM3PerS / L_PER_H, 'flow_L_h')
      close('head', duty.headM, 'head_m')
      close('pipe loss', duty.frictionM, 'pipe_loss_m')
      close('fitting loss', duty.fittingsM, 'fitting_loss_m')
      close('band', dutyBand(problem).flowM3PerS / L_PER_H, 'flow_band_L_h')
      close('least speed', leastSpeedToLift(problem.curve, problem.liftM), 'least_speed_to_lift')
      const bore = given.pipes[0]!.bore_m
      const v = speedMPerS(duty.flowM3PerS, bore)
      close('Re', reynolds(v, bore, problem.water.kinematicM2PerS), 'Re_first_pipe')
      const wire = wirePowerW(pumpPower(pumps[given.pump]!), duty.flowM3PerS, given.speed)
      close('wire power', wire, 'wire_power_W')
      const { densityKgPerM3 } = problem.water
      const hydraulic = hydraulicPowerW(densityKgPerM3, duty.flowM3PerS, duty.headM)
      close('hydraulic power', hydraulic, 'hydraulic_power_W')
      close('wire to water', hydraulic / wire, 'wire_to_water')
      expect(cell(row, 'flow_L_h')).not.toBeNull()
    },
  )
})

describe('a duty point', () => {
  const base = problemOf(cases[0]!)

  test('balances: head is lift and losses', () => {
    const duty = dutyOf(base)
    expect(base.liftM + duty.frictionM + duty.fittingsM).toBeCloseTo(duty.headM, 9)
  })
  test('is still behind a shut valve', () => {
    expect(dutyOf({ ...base, shut: true })).toMatchObject({ status: 'shut', flowM3PerS: 0 })
  })
  test('runs back through the pump where nothing stops it', () => {
    const problem = { ...base, speed: 0.3, canFlowBack: true }
    const duty = dutyOf(problem)
    expect(duty.status).toBe('flows-back')
    expect(duty.flowM3PerS).toBeLessThan(0)
    expect(duty.headM + duty.frictionM + duty.fittingsM).toBeCloseTo(problem.liftM, 9)
  })
  test('falling water runs the pump past its free flow', () => {
    const duty = dutyOf({ ...base, liftM: -2 })
    expect(duty.status).toBe('flows')
    expect(duty.headM).toBeLessThan(0.7)
  })
  test('a line with no loss and a pump that cannot be outrun gives no crossing', () => {
    const curve = { ...base.curve, headAtFullSpeedM: () => 3 }
    expect(solveDuty({ ...base, curve, line: [] })).toMatchObject({
      ok: false,
      reason: 'no-crossing',
    })
  })
  test('the speed for a flow gives that flow', () => {
    const speed = speedForFlow(base, 1500 * L_PER_H)!
    expect(dutyOf({ ...base, speed }).flowM3PerS / L_PER_H).toBeCloseTo(1500, 3)
    expect(speedForFlow(base, 1e5 * L_PER_H)).toBeNull()
  })
  test('flow at a head reads the curve the other way', () => {
    const duty = dutyOf(base)
    expectClose('flow', flowAtHead(base.curve, 1, duty.headM), duty.flowM3PerS, 1e-9)
    expect(flowAtHead(base.curve, 0.5, 3)).toBe(0)
  })
})
