import { USUAL_ALLOWANCES } from '../design/index.ts'
import type { SteadyState } from '../loop/index.ts'
import { sentence } from '../quantity/index.ts'
import { atOnce, DAY_S, drill, HOUR_S, MOST_DAYS } from './drill-of.ts'
import type { Drill } from './fault.ts'

/** A comb with hair, algae and a sock's overflow on it lets a tenth through (hydraulics reference, §9). */
const MATTED_SHARE = 0.9
/** Of a tank's rock, so much is lifted out at once (choice). */
const ROCK_SHARE = 0.25

/** What goes wrong slowly, in the sump and on the return side: leaks, hoses, cups, combs, speeds. */
export function slowDrills(steady: SteadyState): Drill[] {
  return [
    ...leaks(steady),
    ...hoses(steady),
    ...cups(steady),
    ...combs(steady),
    ...speeds(steady),
    ...rocks(steady),
    ...warmth(steady),
  ]
}

function leaks({ design }: SteadyState): Drill[] {
  const flowM3PerS = design.allowances.leakM3PerS ?? USUAL_ALLOWANCES.leakM3PerS
  if (flowM3PerS <= 0) return []
  const days = { durationS: MOST_DAYS * DAY_S, evaporates: true }
  return [
    drill(
      'leak-line',
      sentence('A slow leak at the return line, {flow}', { flow: ['flow', flowM3PerS] }),
      atOnce({ kind: 'leak', at: 'line', flowM3PerS }),
      days,
    ),
    drill(
      'leak-sump',
      sentence('A slow leak at the sump, {flow}', { flow: ['flow', flowM3PerS] }),
      atOnce({ kind: 'leak', at: 'sump', flowM3PerS }),
      days,
    ),
  ]
}

/** A takeoff that ends in the sump hangs on a hose. */
function hoses({ design }: SteadyState): Drill[] {
  return design.returnSide.lines.flatMap(({ id, name, end }) =>
    end.at === 'chamber'
      ? [
          drill(
            `hose ${id}`,
            sentence('The hose of {line} comes off', { line: name }),
            atOnce({ kind: 'hose-off', lineId: id }),
          ),
        ]
      : [],
  )
}

function cups({ design }: SteadyState): Drill[] {
  const collectorM3 = design.allowances.cupCollectorM3
  if (collectorM3 === null) return []
  return design.sump.devices.flatMap(({ id, part, chamberId }) =>
    part.kind === 'skimmer' && chamberId !== null
      ? [
          drill(
            `cup ${id}`,
            sentence('{skimmer} floods its cup', { skimmer: part.name }),
            atOnce({ kind: 'cup-floods', chamberId, collectorM3 }),
            { durationS: DAY_S },
          ),
        ]
      : [],
  )
}

function combs({ design }: SteadyState): Drill[] {
  const { walls, chambers } = design.sump
  return walls.flatMap(({ id, kind, teeth }, i) =>
    kind === 'comb' && teeth
      ? [
          drill(
            `comb ${id}`,
            sentence('The comb behind {chamber} mats by nine tenths', {
              chamber: chambers[i]!.name,
            }),
            atOnce({ kind: 'comb-matted', wallId: id, share: MATTED_SHARE }),
          ),
        ]
      : [],
  )
}

function speeds({ design }: SteadyState): Drill[] {
  return design.returnSide.pumps.flatMap(({ id, pumpId, speed, stopped }) => {
    const part = design.pumps.find((pump) => pump.id === pumpId)!
    if (part.control === 'fixed-speed' || speed >= 1 || stopped) return []
    return [
      drill(
        `full-speed ${id}`,
        sentence('The controller lets {pump} run at full speed', { pump: part.name }),
        atOnce({ kind: 'controller-full', placedId: id }),
      ),
    ]
  })
}

function rocks({ design }: SteadyState): Drill[] {
  return design.tanks.flatMap(({ id, name, displacement }) => {
    const { rockMassKg, rockDensityKgPerM3 } = displacement
    const volumeM3 = (ROCK_SHARE * rockMassKg) / rockDensityKgPerM3
    if (!(volumeM3 > 0)) return []
    return [
      drill(
        `rock ${id}`,
        sentence('A quarter of the rock is lifted out of {tank}', { tank: name }),
        atOnce({ kind: 'rock-out', tankId: id, volumeM3 }),
        { durationS: 6 * HOUR_S },
      ),
    ]
  })
}

/** Warmth: told by the heat's own figures, since no water moves. */
function warmth({ design }: SteadyState): Drill[] {
  const hasHeater = design.sump.devices.some(({ part }) => part.kind === 'heater')
  if (!design.heat || !hasHeater) return []
  const now = { durationS: 1 }
  return [
    drill('heater-on', sentence('A heater stuck on'), atOnce({ kind: 'heater-on' }), now),
    drill('heater-off', sentence('A heater fails'), atOnce({ kind: 'heater-off' }), now),
  ]
}
