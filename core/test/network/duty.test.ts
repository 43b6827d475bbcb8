import { describe, expect, test } from '@jest/globals'
import { type CheckFitting, fittingOf } from '../check-fitting.ts'
import { checkPumps } from '../check-pump.ts'
import { expectClose } from '../close.ts'
import { cell, csvTable, jsonTable, L_PER_H, number, type Row } from '../tables.ts'
import { halfWidth, solveBanded } from '../../src/figures/return/bands.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { flowAtHead } from '../../src/network/flow-at-head.ts'
import { AS_COMPUTED, lineLoss, makeLine } from '../../src/network/line.ts'
import { makeNetwork } from '../../src/network/network.ts'
import type { NetworkLink, NetworkProblem } from '../../src/network/problem.ts'
import { solveWithLosses } from '../../src/network/solved-flows.ts'
import { brent } from '../../src/numeric/brent.ts'
import { reynolds, speedMPerS } from '../../src/pipe/flow.ts'
import { leastSpeedToLift, pumpCurve, pumpHeadM } from '../../src/pump/curve.ts'
import { hydraulicPowerW, pumpPower, wirePowerW } from '../../src/pump/power.ts'

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

/** One pump and one line as the network the product solves. */
function problemOf(given: CheckCase): NetworkProblem {
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
    nodes: [
      { id: 'sump', headM: 0 },
      { id: 'end', headM: given.static_lift_m },
    ],
    links: [
      {
        id: 'line',
        from: 0,
        to: 1,
        line: makeLine(pipes, fittings),
        tables: [],
        pump: {
          curve: pumpCurve(part),
          outletBoreM: part.outletBoreM,
          speed: given.speed,
          stopped: false,
        },
        oneWay: true,
        shut: false,
      },
    ],
    water: waterAt({ salinityPpt: given.S_ppt, temperatureC: given.T_C }),
  }
}

/** Flow, head and losses as the product finds them, with the flow's band. */
function dutyOf(problem: NetworkProblem) {
  const network = makeNetwork(problem)
  const banded = solveBanded(network, solveWithLosses(network))
  const { flowsM3PerS, frictionM, fittingsM } = banded.solution.flows
  const { curve, speed } = problem.links[0]!.pump!
  const flowM3PerS = flowsM3PerS[0]!
  return {
    flowM3PerS,
    headM: pumpHeadM(curve, flowM3PerS, speed),
    frictionM: frictionM[0]!,
    fittingsM: fittingsM[0]!,
    bandM3PerS: halfWidth(banded, (running) => running.flowsM3PerS[0]!),
  }
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

      expect(duty.flowM3PerS > 0).toBe(row.status === 'flows')
      close('flow', duty.flowM3PerS / L_PER_H, 'flow_L_h')
      close('head', duty.headM, 'head_m')
      close('pipe loss', duty.frictionM, 'pipe_loss_m')
      close('fitting loss', duty.fittingsM, 'fitting_loss_m')
      close('band', duty.bandM3PerS / L_PER_H, 'flow_band_L_h')
      close(
        'least speed',
        leastSpeedToLift(problem.links[0]!.pump!.curve, given.static_lift_m),
        'least_speed_to_lift',
      )
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
  const [link] = base.links
  const withLink = (change: Partial<NetworkLink>, liftM?: number): NetworkProblem => ({
    ...base,
    nodes: liftM === undefined ? base.nodes : [base.nodes[0]!, { id: 'end', headM: liftM }],
    links: [{ ...link!, ...change }],
  })
  const liftM = cases[0]!.static_lift_m

  test('is where Brent finds the curve and the losses to meet', () => {
    const { curve, speed } = link!.pump!
    const spare = (flow: number) => {
      const { frictionM, fittingsM } = lineLoss(link!.line, flow, base.water, AS_COMPUTED)
      return pumpHeadM(curve, flow, speed) - liftM - frictionM - fittingsM
    }
    const found = brent(spare, 0, curve.freeFlowM3PerS, { tolerance: 1e-14 })
    if (!found.ok) throw new Error(found.reason)
    expectClose('flow', dutyOf(base).flowM3PerS, found.value, 1e-9)
  })
  test('balances: head is lift and losses', () => {
    const duty = dutyOf(base)
    expect(liftM + duty.frictionM + duty.fittingsM).toBeCloseTo(duty.headM, 8)
  })
  test('is still behind a shut valve', () => {
    expect(dutyOf(withLink({ shut: true })).flowM3PerS).toBe(0)
  })
  test('runs back through the pump where nothing stops it', () => {
    const weak = { ...link!.pump!, speed: 0.3 }
    expect(dutyOf(withLink({ pump: weak, oneWay: false })).flowM3PerS).toBeLessThan(0)
    expect(dutyOf(withLink({ pump: weak })).flowM3PerS).toBe(0)
  })
  test('falling water runs the pump past its free flow', () => {
    const duty = dutyOf(withLink({}, -2))
    expect(duty.flowM3PerS).toBeGreaterThan(dutyOf(base).flowM3PerS)
    expect(duty.headM).toBeLessThan(0.7)
  })
  test('flow at a head reads the curve the other way', () => {
    const duty = dutyOf(base)
    const { curve } = link!.pump!
    expectClose('flow', flowAtHead(curve, 1, duty.headM), duty.flowM3PerS, 1e-9)
    expect(flowAtHead(curve, 0.5, 3)).toBe(0)
  })
})
