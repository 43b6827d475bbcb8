import { describe, expect, test } from '@jest/globals'
import { type CheckLine, checkLine } from '../check-line.ts'
import { checkPumps } from '../check-pump.ts'
import { expectClose } from '../close.ts'
import { cell, csvTable, jsonTable, L_PER_H, number, type Row } from '../tables.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { flowAtHead, readAtHead } from '../../src/network/flow-at-head.ts'
import { Bands } from '../../src/network/bands.ts'
import { linkLoss, searchOf } from '../../src/network/laws.ts'
import { makeNetwork } from '../../src/network/network.ts'
import type { NetworkLink, NetworkProblem } from '../../src/network/problem.ts'
import { solveWithLosses } from '../../src/network/solved-flows.ts'
import { brent } from '../../src/numeric/brent.ts'
import { reynolds, speedMPerS } from '../../src/pipe/flow.ts'
import { leastSpeedToLift, pumpCurve, pumpHeadM } from '../../src/pump/curve.ts'
import { bellDepthM, vortexDepthM } from '../../src/pump/submergence.ts'
import { hydraulicPowerW, pumpPower, wirePowerW } from '../../src/pump/power.ts'

interface CheckCase extends CheckLine {
  id: string
  comment: string
  pump: string
  speed: number
  static_lift_m: number
  S_ppt: number
  T_C: number
}

const pumps = checkPumps()
const { cases } = jsonTable<{ cases: CheckCase[] }>('duty.json')
const rows = new Map<string, Row>(csvTable('duty.csv').map((row) => [row.case!, row]))

/** One pump and one line as the network the product solves. */
function problemOf(given: CheckCase): NetworkProblem {
  const part = pumps[given.pump]!
  return {
    nodes: [
      { id: 'sump', headM: 0, tee: null },
      { id: 'end', headM: given.static_lift_m, tee: null },
    ],
    links: [
      {
        id: 'line',
        from: 0,
        to: 1,
        line: checkLine(given),
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
    tree: null,
  }
}

/** Flow, head and losses as the product finds them, with the flow's band. */
function dutyOf(problem: NetworkProblem) {
  const network = makeNetwork(problem)
  const { flowsM3PerS, frictionM, fittingsM } = solveWithLosses(network).flows
  const { curve, speed } = problem.links[0]!.pump!
  const flowM3PerS = flowsM3PerS[0]!
  return {
    flowM3PerS,
    headM: pumpHeadM(curve, flowM3PerS, speed),
    frictionM: frictionM[0]!,
    fittingsM: fittingsM[0]!,
    band: new Bands(network).ofFlow(0),
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
      const { band } = duty
      for (const [what, got, column] of [
        ['band', band.band, 'flow_band_L_h'],
        ['each', band.each, 'band_each_L_h'],
        ['kind', band.kind, 'band_kind_L_h'],
        ['together', band.together, 'band_together_L_h'],
        ['pumps', band.pumps, 'band_pumps_L_h'],
      ] as const) {
        close(what, got / L_PER_H, column, 1e-4)
      }
      for (const kind of ['fittings', 'part-closed-valves', 'devices', 'friction'] as const) {
        close(kind, band.shareOfKind[kind], `squared_share_${kind.replaceAll('-', '_')}`, 1e-4)
      }
      close('pump share', band.shareOfPump[0]?.share ?? 0, 'squared_share_pump', 1e-4)
      const inletM = 1.4 * pumps[given.pump]!.outletBoreM
      close('watch depth', vortexDepthM(inletM, duty.flowM3PerS), 'least_depth_watch_m')
      close('remark depth', bellDepthM(inletM, duty.flowM3PerS), 'least_depth_remark_m')
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
    nodes:
      liftM === undefined ? base.nodes : [base.nodes[0]!, { id: 'end', headM: liftM, tee: null }],
    links: [{ ...link!, ...change }],
  })
  const liftM = cases[0]!.static_lift_m

  test('is where Brent finds the curve and the losses to meet', () => {
    const { curve, speed } = link!.pump!
    const search = searchOf(link!, base.water)
    const lossAt = (flow: number) => {
      const into = { frictionM: 0, fittingsM: 0, frictionSlope: 0 }
      linkLoss(search, flow, into)
      return into
    }
    const spare = (flow: number) => {
      const { frictionM, fittingsM } = lossAt(flow)
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
    const read = readAtHead(curve, 1, duty.headM)
    expectClose('read', read.flowM3PerS, duty.flowM3PerS, 1e-9)
    const slope = Math.abs(curve.slopeAtFullSpeed(read.flowM3PerS))
    expectClose(
      'its band',
      read.bandM3PerS,
      Math.hypot((0.06 * duty.headM) / slope, 0.08 * read.flowM3PerS),
    )
    expect(readAtHead(curve, 0.5, 3)).toEqual({ flowM3PerS: 0, bandM3PerS: 0 })
  })
})
