import type { CheckLine } from '../check-line.ts'
import { describe, expect, test } from '@jest/globals'
import { L_PER_H } from '../tables.ts'
import {
  type BarePipe,
  type CheckDrill,
  fallOf,
  flowOn,
  heightOf,
  laidOf,
  level,
  num,
  ofKind,
  pumpFlowOf,
  rimOf,
  time,
  vessel,
} from './check-drill.ts'
import { restartOf, type Restart } from '../../src/drain/siphon-start.ts'
import { tubeFroude } from '../../src/drain/hung.ts'
import { Drains } from '../../src/drill/law/drains.ts'
import { type Mode, atTheStart } from '../../src/drill/mode.ts'
import type { PlantDetector } from '../../src/drill/drill-event.ts'
import { Between, type Law } from '../../src/drill/rates.ts'
import { siphonBreaks, siphonFills } from '../../src/drill/siphon-detectors.ts'
import { boxDrains, BoxSearch, NONE_BLOCKED } from '../../src/loop/index.ts'
import { flowOver } from '../../src/weir/rim.ts'

type Row = Readonly<Record<string, unknown>>

/** Rows differ in what they tell; what one leaves out is not looked at. */
const levelIfSet = (what: string, got: number, wanted: unknown) => {
  if (typeof wanted === 'number') level(what, got, wanted)
}
const timeIfSet = (what: string, got: number | null, wanted: unknown) => {
  if (wanted === undefined) return
  if (typeof wanted !== 'number' || got === null) return expect([what, got]).toEqual([what, wanted])
  time(what, got, wanted)
}
const flow = (what: string, got: number, wanted: unknown) => {
  if (typeof wanted !== 'number') return
  const off = Math.abs(got / L_PER_H - wanted)
  if (!(off <= 1e-3 * Math.abs(wanted) + 0.5)) throw new Error(`${what}: ${off} off ${wanted}`)
}

const OPEN = fallOf({ pipes: [], fittings: [] })

/** The pipes of a restart's table row: its siphon, and what carries on beside it. */
function pipesOf(given: CheckDrill): BarePipe[] {
  const crestM = num(given, 'wall_crest_level_m')
  if (given.kind === 'restart') {
    const boreM = num(given, 'drain_bore_m')
    const lipM = num(given, 'drain_inlet_level_m')
    const endM = crestM - num(given, 'drain_end_under_water_m')
    const fall = fallOf(given.drain_line as CheckLine)
    return [{ role: 'siphon', lipM, boreM, leastM: boreM, uprightM: boreM, fall, endM }]
  }
  const siphon = given.siphon as Row
  const trickle = given.trickle as Row
  const emergency = given.emergency as Row
  const leastM = num(trickle, 'least_bore_m')
  const emergencyM = num(emergency, 'bore_m')
  return [
    {
      role: 'siphon',
      lipM: num(siphon, 'inlet_level_m'),
      boreM: num(siphon, 'inlet_bore_m'),
      leastM: num(siphon, 'least_bore_m'),
      uprightM: num(siphon, 'first_upright_bore_m'),
      fall: fallOf(siphon.line as CheckLine),
      endM: crestM - num(siphon, 'end_under_water_m'),
    },
    {
      role: 'trickle',
      lipM: num(trickle, 'inlet_level_m'),
      boreM: leastM,
      leastM,
      uprightM: leastM,
      fall: OPEN,
      endM: crestM,
    },
    {
      role: 'emergency',
      lipM: num(emergency, 'inlet_level_m'),
      boreM: emergencyM,
      leastM: emergencyM,
      uprightM: emergencyM,
      fall: fallOf(emergency.line as CheckLine),
      endM: crestM - num(emergency, 'end_under_water_m'),
    },
  ]
}

const [DISPLAY, BOX, INLET, RETURN] = [0, 1, 2, 3] as const

/** A pump that starts again over empty pipes: its whole run, and what happened when. */
function restarted(given: CheckDrill, byFroude: Restart, siphons: 'start' | 'stay') {
  const pump = pumpFlowOf(given)
  const rim = rimOf(given.weir as Row)
  const wall = rimOf(given.chamber_wall as Row)
  const crestM = num(given, 'wall_crest_level_m')
  const outM = num(given, 'outlet_level_m')
  const pipes = pipesOf(given)
  const drains = pipes.map(laidOf)
  const search = new BoxSearch(boxDrains(drains))
  const siphon = pipes[0]!
  const vessels = [
    vessel('display', num(given, 'display_area_m2')),
    vessel('box', num(given, 'box_area_m2')),
    vessel('inlet', num(given, 'inlet_chamber_area_m2')),
    vessel('return', num(given, 'return_chamber_area_m2')),
  ]
  const drainsLaw = new Drains(BOX, search, {
    into: pipes.map(() => INLET),
    mouthM: pipes.map(({ endM }) => endM),
    blocked: NONE_BLOCKED,
  })
  const laws: Law[] = [
    new Between(RETURN, DISPLAY, (lowM) => pump(outM - lowM)),
    new Between(DISPLAY, BOX, (headM) => flowOver(rim, headM)),
    new Between(INLET, RETURN, (inM) => flowOver(wall, inM - crestM)),
    drainsLaw,
  ]
  const lips = pipes.slice(1).map(({ lipM }) => lipM)
  const marks = lips.map((lipM) => heightOf(BOX, lipM))
  const met = new Map<number, number>()
  const events: { kind: string; atS: number; froude: number; doubtful: boolean }[] = []
  let mode: Mode = atTheStart(
    {} as Mode['design'],
    new Map([['siphon', { runs: 'with-air', breaks: 0 }]]),
  )
  let levelsM = [0, siphon.lipM, crestM, num(given, 'return_chamber_level_m')]
  let lowestM = Infinity
  let highestBoxM = -Infinity
  let timeS = 0
  let airLockEndsS: number | null = null
  const seen = (atS: number, z: number[]) => {
    lowestM = Math.min(lowestM, z[RETURN]!)
    highestBoxM = Math.max(highestBoxM, z[BOX]!)
    for (const heightM of lips) if (z[BOX]! > heightM && !met.has(heightM)) met.set(heightM, atS)
    const free = z[BOX]! - siphon.lipM >= z[INLET]! - siphon.endM - 1e-9
    if (free && atS > 0) airLockEndsS ??= atS
  }
  while (timeS < num(given, 'run_s') - 1e-3) {
    const now = mode.siphons.get('siphon')!
    search.runs[0] = now.runs
    const here = { laid: drains[0]!, now, box: BOX, into: INLET, mouthM: siphon.endM, open: 1 }
    const lockEnds = {
      name: 'lock ends',
      value: (z: number[]) => z[BOX]! - siphon.lipM - (z[INLET]! - siphon.endM),
    }
    const asksLock = now.runs === 'with-air' && airLockEndsS === null
    const detectors =
      now.runs === 'with-air'
        ? siphonFills(here, byFroude, { air: 'stays-dry', siphons })
        : [siphonBreaks(here)]
    const ran = flowOn({
      vessels,
      laws,
      levelsM,
      fromS: timeS,
      toS: num(given, 'run_s'),
      detectors: asksLock ? [...detectors, lockEnds] : detectors,
      marks,
      seen,
    })
    levelsM = vessels.map(({ areaM2 }, i) => ran.volumes[i]! / areaM2)
    timeS = ran.timeS
    if (!ran.detector) break
    if (ran.detector === lockEnds) {
      airLockEndsS = timeS
      continue
    }
    const { event, becomes } = ran.detector as PlantDetector
    const doubtful = 'doubtful' in event && event.doubtful
    mode = becomes!(mode)
    search.runs[0] = 'full'
    search.endAgainst(() => levelsM[INLET]!)
    search.drainAt(levelsM[BOX]!)
    const froude = tubeFroude(siphon.uprightM, search.flow[0]!)
    events.push({ kind: event.kind, atS: timeS, froude, doubtful })
  }
  search.runs[0] = mode.siphons.get('siphon')!.runs
  search.endAgainst(() => levelsM[INLET]!)
  search.drainAt(levelsM[BOX]!)
  const locked =
    search.runs[0] === 'with-air' && levelsM[BOX]! - siphon.lipM < levelsM[INLET]! - siphon.endM
  return {
    levelsM,
    lowestM,
    highestBoxM,
    airLockEndsS,
    locked,
    events,
    starts: (i: number) => met.get(pipes[i]!.lipM) ?? null,
    flowM3PerS: pump(outM - levelsM[RETURN]!),
    drainFlows: search.flow.slice(),
    fills: events.filter(({ kind }) => kind === 'siphon-primes'),
    breaks: events.filter(({ kind }) => kind === 'siphon-drops'),
  }
}

type Restarted = ReturnType<typeof restarted>

function holds(ran: Restarted, result: Row, given: CheckDrill): void {
  const [headM, boxM, inM, returnM] = ran.levelsM as [number, number, number, number]
  const [siphon] = pipesOf(given)
  timeIfSet('lock ends', ran.airLockEndsS, result.air_lock_ends_s)
  timeIfSet('fills', ran.fills[0]?.atS ?? null, result.siphon_primes_s)
  timeIfSet('fills for good', ran.fills.at(-1)?.atS ?? null, result.siphon_primes_for_good_s)
  timeIfSet('breaks', ran.breaks[0]?.atS ?? null, result.siphon_breaks_s)
  if (result.times_it_breaks !== undefined)
    expect(ran.breaks).toHaveLength(result.times_it_breaks as number)
  levelIfSet('lowest', ran.lowestM, result.lowest_return_chamber_level_m)
  levelIfSet('return', returnM, result.steady_return_chamber_level_m)
  levelIfSet('over inlet', boxM - siphon!.lipM, result.steady_box_level_over_inlet_m)
  levelIfSet('box', boxM, result.steady_box_level_m)
  levelIfSet('highest box', ran.highestBoxM, result.highest_box_level_m)
  levelIfSet('rim', headM, result.steady_weir_head_m)
  levelIfSet('wall', inM - num(given, 'wall_crest_level_m'), result.steady_wall_head_m)
  flow('all', ran.flowM3PerS, result.steady_flow_L_h)
  flow('siphon', ran.drainFlows[0]!, result.steady_siphon_L_h)
  flow('trickle', ran.drainFlows[1] ?? 0, result.steady_trickle_L_h)
  flow('emergency', ran.drainFlows[2] ?? 0, result.steady_emergency_L_h)
  const froude = result.froude_when_drowned_by_one_bore ?? result.froude_when_it_primes
  if (typeof froude === 'number' && ran.fills[0]) {
    expect(Math.abs(ran.fills[0].froude / froude - 1)).toBeLessThan(2e-3)
  }
  if (result.air_locked_in_the_end !== undefined)
    expect(ran.locked).toBe(result.air_locked_in_the_end)
  const air = given.pump_inlet_level_m ?? given.pump_least_level_m
  const said = result.below_pump_inlet ?? result.below_pump_least_level
  if (said !== undefined) expect(ran.lowestM < (air as number)).toBe(said)
  if (ran.drainFlows.length > 1) {
    timeIfSet('trickle starts', ran.starts(1), result.trickle_starts_s)
    timeIfSet('emergency starts', ran.starts(2), result.emergency_starts_s)
  }
}

/** Does the siphon start again, by its running flow and its end's depth? */
function restartHere(given: CheckDrill) {
  const siphon = given.siphon as Row
  return restartOf(
    { uprightBoreM: num(siphon, 'first_upright_bore_m') },
    num(given, 'running_flow_L_h') * L_PER_H,
    num(siphon, 'end_under_water_m'),
  )
}

describe('the pump comes back and a siphon must fill, again and again if need be', () => {
  test.each(ofKind('restart'))('%s', (_, given) => {
    holds(restarted(given, 'yes', 'start'), given.result, given)
  })
})

describe('a siphon that does not start again leaves it to trickle and emergency', () => {
  test.each(ofKind('unprimed_restart'))('%s', (_, given) => {
    const { result } = given
    const again = restartHere(given)
    expect(again.froude).toBeCloseTo(num(result, 'froude_running'), 5)
    expect([again.byFroude, again.byEnd, again.restart]).toEqual([
      result.restart_by_froude,
      result.restart_by_end_depth,
      result.restart,
    ])
    const ran = restarted(given, again.byFroude, 'start')
    expect(ran.fills).toEqual([])
    holds(ran, result, given)
  })
})

describe('a doubtful restart is run both ways, and the worse counts', () => {
  test.each(ofKind('doubtful_restart'))('%s', (_, given) => {
    const { result } = given
    const again = restartHere(given)
    expect(again.restart).toBe('doubtful')
    const starts = restarted(given, again.byFroude, 'start')
    const stays = restarted(given, again.byFroude, 'stay')
    holds(starts, result.primes as Row, given)
    holds(stays, result.stays_unprimed as Row, given)
    expect(starts.fills.some(({ doubtful }) => doubtful)).toBe(true)
    expect(stays.fills).toEqual([])
    const worse = stays.highestBoxM > starts.highestBoxM ? 'stays_unprimed' : 'primes'
    expect(worse).toBe(result.worse)
  })
})
