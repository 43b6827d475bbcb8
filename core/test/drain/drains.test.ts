import { describe, expect, test } from '@jest/globals'
import { fittingOf } from '../check-fitting.ts'
import { expectClose } from '../close.ts'
import { L_PER_H } from '../tables.ts'
import { CHECK_DRAINS, type CheckDrain, checkFall, checkWater, has, wanted } from './check-drain.ts'
import { type OpenPipe, openPipeFlow, openPipeRiseM, ruledBy } from '../../src/drain/emergency.ts'
import {
  emergencyAnswer,
  emergencyFaults,
  type EmergencyPipe,
} from '../../src/drain/emergency-verdict.ts'
import {
  primingOf,
  restartOf,
  type StartingSiphon,
  unprimedFlow,
} from '../../src/drain/siphon-start.ts'
import { fallBand } from '../../src/drain/fall-band.ts'
import { fallFlow, fallHeadM, FallSearch } from '../../src/drain/fall.ts'
import { primeVerdict, tubeFroude } from '../../src/drain/hung.ts'
import { type Matching, matchValve } from '../../src/drain/match.ts'
import {
  FILLED,
  filledShareOf,
  halfFullFlow,
  LEAST_SLOPE,
  noiseBand,
  ventedFlow,
} from '../../src/drain/vented.ts'
import { kAt } from '../../src/fitting/loss.ts'
import { reynolds, speedMPerS } from '../../src/pipe/flow.ts'
import { bellDepthM, inletBoreM, vortexDepthM } from '../../src/pump/submergence.ts'
import { rimToOrificeM } from '../../src/weir/inlet.ts'
import { OPEN_PIPE_SPREAD } from '../../src/weir/spread.ts'

const SOLVED = 1e-5

function meets(given: CheckDrain, quantity: string, got: number, tolerance = SOLVED): void {
  const unit = /^(capacity|flow_|band_)/.test(quantity) ? L_PER_H : 1
  expectClose(`${given.id} ${quantity}`, got / unit, Number(wanted(given.id, quantity)), tolerance)
}

const VERDICTS: Record<string, (given: CheckDrain) => void> = {
  siphon: (given) => {
    const flow = fallFlow(checkFall(given), given.drop_m!)
    meets(given, 'capacity', flow)
    const band = fallBand(new FallSearch(checkFall(given)), flow)
    meets(given, 'capacity_band', band.band, 1e-4)
    meets(given, 'capacity_band_each', band.each, 1e-4)
    meets(given, 'capacity_band_kind', band.kind, 1e-4)
    meets(given, 'capacity_band_together', band.together, 1e-4)
    for (const kind of ['fittings', 'part-closed-valves', 'devices', 'friction'] as const) {
      const quantity = `squared_share_${kind.replaceAll('-', '_')}`
      meets(given, quantity, band.shareOfKind[kind], 1e-4)
    }
    if (!has(given.id, 'least_water_over_inlet_at_capacity')) return
    const boreM = given.line!.fittings[0]!.bore_m
    meets(given, 'least_water_over_inlet_at_capacity', bellDepthM(boreM, flow))
    meets(given, 'least_water_watch_at_capacity', vortexDepthM(boreM, flow))
  },
  match_flow: (given) => {
    const flow = given.flow_L_h! * L_PER_H
    const gate = given.valve!.type === 'gate_valve'
    const valve = given.valve!
    const open = { ...valve, open_fraction: 1 }
    meets(given, 'capacity_valve_open', fallFlow(checkFall(given, [open]), given.drop_m!))
    const re = reynolds(
      speedMPerS(flow, valve.bore_m),
      valve.bore_m,
      checkWater(given).kinematicM2PerS,
    )
    const openK = kAt(fittingOf(open)!, re)
    meets(given, 'valve_K_open', openK, 1e-6)
    const matching: Matching = {
      valve: gate ? 'gate-valve' : 'ball-valve',
      boreM: valve.bore_m,
      flowM3PerS: flow,
      flowBandM3PerS: 0,
      dropM: given.drop_m!,
      otherLossM: fallHeadM(checkFall(given), flow),
      otherSpreadM: 0,
      openK,
    }
    const matched = matchValve(matching)
    meets(given, 'valve_K_needed', matched.neededK)
    expect(matched.opening !== null).toBe(wanted(given.id, 'reachable') === 'yes')
    if (matched.opening === null) return
    const perLevel = matched.levelPerOpeningM!
    // A little more lost elsewhere moves the setting by what its band says of so much.
    const littleM = 1e-4 * given.drop_m!
    const moved = matchValve({ ...matching, otherLossM: matching.otherLossM + littleM })
    const valveM = given.drop_m! - matching.otherLossM
    const band = matchValve({ ...matching, otherSpreadM: littleM }).openingBand!
    const own = matched.openingBand!
    if (own < 1) {
      expectClose(`${given.id} its own K's band`, own, Math.abs((0.53 * valveM) / perLevel), 1e-9)
      expectClose(
        `${given.id} the others' band`,
        Math.sqrt(band ** 2 - own ** 2) / own,
        Math.abs(moved.opening! - matched.opening) / own,
        0.02,
      )
    }
    if (gate) {
      meets(given, 'open_fraction', matched.opening)
      meets(given, 'box_level_change_per_unit_setting', perLevel)
    } else {
      meets(given, 'degrees_closed', (1 - matched.opening) * 90)
      meets(given, 'box_level_change_per_unit_setting', -perLevel / 90)
    }
  },
  vented: (given) => {
    const boreM = Math.min(...Object.values(given.bores_m!))
    const flow = given.flow_L_h! * L_PER_H
    expectClose(given.id, boreM * 1000, Number(wanted(given.id, 'least_bore')))
    const quietM3PerS = ventedFlow(boreM, FILLED.quiet)
    meets(given, 'band_quiet', OPEN_PIPE_SPREAD * quietM3PerS)
    meets(given, 'flow_quiet', quietM3PerS, 1e-6)
    meets(given, 'flow_usual_limit', ventedFlow(boreM, FILLED.usual), 1e-6)
    meets(given, 'flow_most', ventedFlow(boreM, FILLED.most), 1e-6)
    expectClose(
      given.id,
      filledShareOf(boreM, flow),
      Number(wanted(given.id, 'filled_share_at_flow')),
      1e-6,
    )
    const words = { quiet: 'quiet', usual: 'usual_limit', most: 'most', over: 'over' }
    const verdict = wanted(given.id, 'verdict')
    expect(verdict).toContain(words[noiseBand(boreM, flow)].split('_')[0])
  },
  emergency: (given) => {
    const boreM = given.bore_m!
    const pipe: EmergencyPipe = {
      boreM,
      below: given.line
        ? { fall: checkFall(given), dropM: given.inlet_to_discharge_drop_m! }
        : null,
      endUnderM: given.end_under_water_m ?? 0,
      rises: given.stretch_rises ?? false,
      joined: false,
    }
    const answer = emergencyAnswer(pipe, given.flow_L_h! * L_PER_H, given.inlet_to_rim_m!)
    meets(given, 'weir_to_orifice_at', rimToOrificeM(boreM), 1e-6)
    meets(given, 'capacity_open_at_rim', answer.openAtRimM3PerS)
    meets(given, 'capacity_open_at_rim_band', OPEN_PIPE_SPREAD * answer.openAtRimM3PerS)
    meets(given, 'rise_open', answer.riseOpenM)
    meets(given, 'rise_needed', answer.riseNeededM)
    meets(given, 'rise_needed_15_percent_more', answer.riseWithReserveM)
    expect(answer.by).toBe(wanted(given.id, 'by'))
    const words = { rim: 'weir', mouth: 'orifice', pipe: 'full_pipe' }
    expect(words[ruledBy(pipe, answer.riseOpenM)]).toBe(wanted(given.id, 'open_ruled_by'))
    expect(answer.verdict).toBe(wanted(given.id, 'level_verdict'))
    const faults = emergencyFaults(pipe).map((fault) => fault.replaceAll('-', '_'))
    expect(faults.join(' and ') || 'none').toBe(wanted(given.id, 'stops_of_its_own'))
    if (!given.line) return
    const primed = Number(wanted(given.id, 'capacity_primed_at_rim'))
    if (primed === 0) expect(answer.primedAtRimM3PerS).toBe(0)
    else meets(given, 'capacity_primed_at_rim', answer.primedAtRimM3PerS)
    if (wanted(given.id, 'rise_primed') === 'none') expect(answer.risePrimedM).toBe(Infinity)
    else meets(given, 'rise_primed', answer.risePrimedM)
  },
  siphon_start: (given) => {
    const siphon: StartingSiphon = {
      inletBoreM: given.inlet_bore_m!,
      leastBoreM: given.least_bore_m!,
      uprightBoreM: given.first_upright_bore_m!,
      fall: checkFall(given),
      dropM: given.inlet_to_discharge_drop_m!,
    }
    const comes = given.flow_L_h! * L_PER_H
    const endUnderM = given.end_under_water_m!
    const now = unprimedFlow(siphon, given.level_over_inlet_m!, endUnderM)
    expect(now.ruledBy.replaceAll('-', '_')).toBe(wanted(given.id, 'unprimed_ruled_by'))
    const priming = primingOf(siphon, comes, endUnderM)
    const flows: [string, number][] = [
      ['unprimed_capacity', now.flowM3PerS],
      ['unprimed_at_one_bore', priming.unprimedM3PerS],
      ['flow_if_primed_at_one_bore', priming.flowThenM3PerS],
    ]
    for (const [quantity, flow] of flows) {
      expectClose(
        `${given.id} ${quantity}`,
        flow / L_PER_H,
        Number(wanted(given.id, quantity)),
        SOLVED,
      )
    }
    meets(given, 'froude_then', priming.froudeThen)
    expect(priming.primes.replaceAll('-', '_')).toBe(wanted(given.id, 'primes_at_one_bore'))
    const again = restartOf(siphon, comes, endUnderM)
    meets(given, 'froude_running', again.froude)
    expect(again.byFroude).toBe(wanted(given.id, 'restart_by_froude'))
    expect(again.byEnd).toBe(wanted(given.id, 'restart_by_end_depth'))
    expect(again.restart).toBe(wanted(given.id, 'restart'))
  },
  least_water_over_inlet: (given) => {
    const flow = given.flow_L_h! * L_PER_H
    meets(given, 'least_water', bellDepthM(given.bore_m!, flow), 1e-6)
    meets(given, 'least_water_reddy_pickford', vortexDepthM(given.bore_m!, flow), 1e-6)
  },
  pump_depth: (given) => {
    const flow = given.flow_L_h! * L_PER_H
    const boreM = inletBoreM({
      inletBoreM: given.inlet_bore_m ?? null,
      outletBoreM: given.outlet_bore_m!,
    })
    expectClose(given.id, boreM * 1000, Number(wanted(given.id, 'inlet_bore')))
    meets(given, 'watch_below', vortexDepthM(boreM, flow), 1e-6)
    meets(given, 'remark_below', bellDepthM(boreM, flow), 1e-6)
  },
  hung_siphon: (given) => {
    const each = fallFlow(checkFall(given), given.difference_m!)
    meets(given, 'flow_all_tubes', each * given.tubes!)
    meets(
      given,
      'flow_band',
      fallBand(new FallSearch(checkFall(given)), each).band * given.tubes!,
      1e-4,
    )
    const froude = tubeFroude(given.tube_bore_m!, each)
    meets(given, 'froude', froude)
    expect(primeVerdict(froude).replaceAll('-', '_')).toBe(wanted(given.id, 'verdict'))
  },
  near_level_run: (given) => {
    meets(given, 'flow_half_full', halfFullFlow(given.bore_m!, given.slope!), 1e-6)
    expect(given.slope! >= LEAST_SLOPE - 1e-9).toBe(wanted(given.id, 'steep_enough') === 'yes')
  },
}

describe('drains against the check table', () => {
  test.each(CHECK_DRAINS.map((given) => [`${given.id} ${given.kind}`, given] as const))(
    '%s',
    (_, given) => {
      const judge = VERDICTS[given.kind]
      if (!judge) throw new Error(`the table has a kind the tests do not know: ${given.kind}`)
      judge(given)
    },
  )
})

describe('an open pipe', () => {
  const pipe: OpenPipe = { boreM: 0.0266, below: null }

  test('takes nothing until the water reaches its rim', () => {
    expect(openPipeFlow(pipe, 0)).toBe(0)
    expect(openPipeFlow(pipe, -0.1)).toBe(0)
    expect(openPipeRiseM(pipe, 0)).toBe(0)
  })

  test('goes from its rim to its mouth at three eighths of its bore', () => {
    expect(ruledBy(pipe, 0.009)).toBe('rim')
    expect(ruledBy(pipe, 0.011)).toBe('mouth')
  })

  test('more rise never takes less', () => {
    let last = 0
    for (let riseM = 0; riseM < 0.3; riseM += 0.003) {
      const flow = openPipeFlow(pipe, riseM)
      expect(flow).toBeGreaterThanOrEqual(last)
      last = flow
    }
  })

  test('the rise of a flow takes that flow', () => {
    for (const litres of [100, 600, 3000]) {
      const flow = litres * L_PER_H
      expectClose(`${litres} L/h`, openPipeFlow(pipe, openPipeRiseM(pipe, flow)), flow, 1e-9)
    }
  })

  test('a shut one has no rise that would do', () => {
    const fall = { ...checkFall(CHECK_DRAINS[0]!), shut: true }
    expect(openPipeRiseM({ ...pipe, below: { fall, dropM: 1 } }, 1e-4)).toBe(Infinity)
  })
})

test('a shut pipe and a pipe without a drop carry nothing', () => {
  const given = CHECK_DRAINS[0]!
  const fall = checkFall(given)
  expect(fallFlow({ ...fall, shut: true }, 1)).toBe(0)
  expect(fallFlow(fall, 0)).toBe(0)
  expect(fallFlow(fall, -1)).toBe(0)
})

test('the answer is the same from any first guess', () => {
  const fall = checkFall(CHECK_DRAINS[0]!)
  const flow = fallFlow(fall, 0.75)
  for (const guess of [1e-9, 1e-5, 1e-3, 0.5]) {
    expectClose(`from ${guess}`, fallFlow(fall, 0.75, guess), flow, 1e-10)
  }
})
