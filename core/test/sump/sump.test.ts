import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { csvTable, jsonTable, L_PER_H } from '../tables.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { bubbleOfSpeedM, downwardSpeed } from '../../src/sump/bubble.ts'
import { boreAreaM2 } from '../../src/pipe/flow.ts'
import {
  fillLineOf,
  openWays,
  overM3,
  type RestCase,
  restOf,
  type RestSump,
} from '../../src/rest/index.ts'
import { insideM, panelWidthM } from '../../src/sump/panel.ts'
import { sectionSpeed, throughflowS } from '../../src/sump/throughflow.ts'
import { levelAbove, wallFlow, type WallShape } from '../../src/sump/wall.ts'
import {
  evaporationM3PerS,
  reservoirLastsS,
  salinityAfterTopOff,
  timeToFallS,
} from '../../src/sump/water-use.ts'

type Case = Record<string, never> & { id: string; kind: string; comment: string }
const CASES = jsonTable<Case[]>('sump.json')
const WANTED = csvTable('sump.csv')
const LITRE = 0.001
const DAY_S = 86_400

function meets({ id }: Case, quantity: string, got: number, tolerance = 1e-6): void {
  const row = WANTED.find((known) => known.case === id && known.quantity === quantity)
  if (!row) throw new Error(`the table has no ${quantity} of ${id}`)
  const wanted = Number(row.value)
  if (wanted === 0) expect(Math.abs(got)).toBeLessThan(1e-9)
  else expectClose(`${id} ${quantity}`, got, wanted, tolerance)
}

function says({ id }: Case, quantity: string): boolean {
  return WANTED.find((known) => known.case === id && known.quantity === quantity)!.value === 'yes'
}

interface Given {
  displays: {
    surface_m2: number
    running_level_m: number
    overflow_rim_m: number
    outlet: string
    working_check_valve: boolean
    break_hole_level_m?: number
    outlet_mouth_level_m?: number
  }[]
  boxes: { surface_m2: number; running_level_m: number; drain_inlet_level_m: number }[]
  return_pipes: { bore_m: number; length_that_drains_m: number }[]
  drain_pipes: { bore_m: number; length_that_drains_m: number }[]
  equipment_m3: number
  chambers: { area_m2: number; running_level_m: number; held_by_over_wall_crest_m: number }[]
  sump_rim_m: number
  margin_m: number
}

/** Displays give over their rims and through their mouths, all else falls into the return chamber. */
function stopping(given: Given): { given: RestCase; sump: RestSump } {
  const { displays, boxes, chambers } = given
  const firstBox = displays.length
  const firstChamber = firstBox + boxes.length
  const last = firstChamber + chambers.length - 1
  const drain = (from: number, inletM: number) => ({ from, to: last, inletM, fallsM3: 0 })
  const pipes = [...given.return_pipes, ...given.drain_pipes].map(
    ({ bore_m, length_that_drains_m }) => boreAreaM2(bore_m) * length_that_drains_m,
  )
  const open = displays.flatMap((display, space) =>
    display.outlet === 'air' || display.working_check_valve ? [] : [{ display, space }],
  )
  return {
    given: {
      spaces: [...displays, ...boxes]
        .map(({ surface_m2, running_level_m }) => ({
          areaM2: surface_m2,
          levelM: running_level_m,
        }))
        .concat(
          chambers.map(({ area_m2, running_level_m }) => ({
            areaM2: area_m2,
            levelM: running_level_m,
          })),
        ),
      walls: chambers.slice(0, -1).map(({ held_by_over_wall_crest_m }, i) => ({
        between: [firstChamber + i, last] as const,
        crestM: held_by_over_wall_crest_m,
      })),
      drains: [
        ...displays.map((display, i) => drain(i, display.overflow_rim_m)),
        ...boxes.map((box, i) => drain(firstBox + i, box.drain_inlet_level_m)),
      ],
      mouths: [
        { space: last, levelM: 0, breakHoleM: null },
        ...open.map(({ display, space }) => ({
          space,
          levelM: display.outlet_mouth_level_m ?? display.break_hole_level_m!,
          breakHoleM: display.break_hole_level_m ?? null,
        })),
      ],
      ways: openWays(
        open.length + 1,
        0,
        open.map((_, i) => ({ from: 0, to: i + 1, passes: 'both' as const })),
      ),
      wayFallsM3: open.map(() => 0),
      gifts: [...pipes, given.equipment_m3].map((fallsM3) => ({ to: last, fallsM3 })),
    },
    sump: {
      chambers: chambers.map((_, i) => firstChamber + i),
      returnChamber: last,
      floorM: 0,
      rimM: given.sump_rim_m,
      marginM: given.margin_m,
    },
  }
}

const WIDE_M = 0.3
const OVER: WallShape = {
  kind: 'over',
  topM: 0.25,
  slotM: 0,
  teeth: null,
  pipeBoreM: 0.03,
  pipeHeightM: 0.1,
}

const JUDGES: Record<string, (sumpCase: Case) => void> = {
  drain_back: (sumpCase) => {
    const given = sumpCase as unknown as Given
    const { given: stops, sump } = stopping(given)
    const { levelsM } = restOf(stops)
    const gives = (space: number) =>
      (stops.spaces[space]!.areaM2 * (stops.spaces[space]!.levelM - levelsM[space]!)) / LITRE
    const displays = given.displays.reduce((sum, _, i) => sum + gives(i), 0)
    const boxes = given.boxes.reduce((sum, _, i) => sum + gives(given.displays.length + i), 0)
    const wantedOf = (quantity: string) =>
      Number(WANTED.find((row) => row.case === sumpCase.id && row.quantity === quantity)!.value)
    expect(displays).toBeCloseTo(
      wantedOf('display_above_rim') + wantedOf('display_siphoned_below_rim'),
      6,
    )
    meets(sumpCase, 'boxes', boxes)
    const fallen = stops.gifts.reduce((sum, { fallsM3 }) => sum + fallsM3, 0) / LITRE
    meets(sumpCase, 'drain_back', displays + boxes + fallen)
    const stillM = levelsM[sump.returnChamber]!
    meets(sumpCase, 'still_sump_level', stillM)
    expect(stillM > sump.rimM).toBe(says(sumpCase, 'spills'))
    expect(stillM <= sump.rimM - sump.marginM).toBe(says(sumpCase, 'fits_with_margin'))
    const line = fillLineOf(stops, sump)
    meets(sumpCase, 'litres_missing', line.missingM3 / LITRE)
    const over = overM3(stops, sump, sump.rimM - sump.marginM) / LITRE
    meets(sumpCase, 'litres_over_at_this_level', over)
    const wanted = WANTED.find(
      (row) => row.case === sumpCase.id && row.quantity === 'fill_line_in_return_chamber',
    )!.value
    if (wanted === 'none') expect(line.levelM).toBeNull()
    else meets(sumpCase, 'fill_line_in_return_chamber', line.levelM!)
  },
  over_wall: (sumpCase) => {
    const wall = { ...OVER, topM: sumpCase.crest_height_m! }
    const flow = sumpCase.flow_L_h! * L_PER_H
    meets(
      sumpCase,
      'head_over_wall',
      levelAbove(wall, sumpCase.width_m!, flow, 0) - wall.topM,
      1e-5,
    )
  },
  under_wall: (sumpCase) => {
    const wall = {
      ...OVER,
      kind: 'under' as const,
      topM: 9,
      slotM: sumpCase.slot_height_m!,
    }
    meets(
      sumpCase,
      'level_difference',
      levelAbove(wall, sumpCase.width_m!, sumpCase.flow_L_h! * L_PER_H, 0.2) - 0.2,
      1e-5,
    )
  },
  bubble_trap: (sumpCase) => {
    const water = waterAt({ salinityPpt: sumpCase.S_ppt!, temperatureC: sumpCase.T_C! })
    const speed = downwardSpeed(sumpCase.flow_L_h! * L_PER_H, sumpCase.width_m!, sumpCase.gap_m!)
    meets(sumpCase, 'downward_speed', speed)
    meets(sumpCase, 'largest_bubble_carried_down', bubbleOfSpeedM(speed, water) / 0.001, 1e-5)
  },
  run_dry: (sumpCase) => {
    const loss = evaporationM3PerS(sumpCase.evaporation_mm_day!, sumpCase.open_surface_m2!)
    meets(sumpCase, 'evaporation', (loss * DAY_S) / LITRE)
    const chamber = {
      areaM2: sumpCase.return_chamber_area_m2!,
      fromM: sumpCase.running_level_m!,
      toM: sumpCase.least_level_m!,
    }
    meets(sumpCase, 'days_to_air_without_top_off', timeToFallS(chamber, loss) / DAY_S)
    meets(sumpCase, 'top_off_days', reservoirLastsS(sumpCase.top_off_reservoir_m3!, loss) / DAY_S)
  },
  chamber: (sumpCase) => {
    const flow = sumpCase.flow_L_h! * L_PER_H
    const volume = sumpCase.length_m! * sumpCase.width_m! * sumpCase.depth_m!
    meets(sumpCase, 'throughflow_time', throughflowS(volume, flow))
    meets(
      sumpCase,
      'speed_over_section',
      sectionSpeed(flow, sumpCase.width_m!, sumpCase.depth_m!) / 0.01,
    )
  },
  cut_list: (sumpCase) => {
    const inside = insideM(sumpCase.outside_width_m!, sumpCase.panel_thickness_m!)
    meets(sumpCase, 'panel_width', panelWidthM(inside, sumpCase.gap_m!) / 0.001)
  },
}

describe('the sump against the check table', () => {
  test.each(CASES.map((sumpCase) => [`${sumpCase.id} ${sumpCase.kind}`, sumpCase] as const))(
    '%s',
    (_, sumpCase) => {
      const judge = JUDGES[sumpCase.kind]
      if (!judge) throw new Error(`the table has a kind the tests do not know: ${sumpCase.kind}`)
      judge(sumpCase)
    },
  )
})

describe('a wall', () => {
  const flow = 2500 * L_PER_H
  const walls: WallShape[] = [
    OVER,
    { ...OVER, kind: 'under', topM: 0.4, slotM: 0.03 },
    {
      ...OVER,
      kind: 'comb',
      teeth: { slotWidthM: 0.008, pitchM: 0.016, heightM: 0.03, blockedShare: 0.1 },
    },
    { ...OVER, kind: 'pipe', topM: 0.4 },
  ]

  test.each(walls.map((wall) => [wall.kind, wall] as const))(
    '%s: the level above it sends its flow through',
    (_, wall) => {
      for (const downM of [0.05, 0.2, 0.26]) {
        const upM = levelAbove(wall, WIDE_M, flow, downM)
        expectClose(`from ${downM}`, wallFlow(wall, WIDE_M, upM, downM), flow, 1e-6)
      }
    },
  )

  test('more flow never lowers the level above it', () => {
    for (const wall of walls) {
      let last = 0
      for (let litres = 0; litres < 8000; litres += 250) {
        const upM = levelAbove(wall, WIDE_M, litres * L_PER_H, 0.1)
        expect(upM).toBeGreaterThanOrEqual(last)
        last = upM
      }
    }
  })

  test('an under-wall whose slot is too small runs over its top', () => {
    const low = { ...OVER, kind: 'under' as const, topM: 0.25, slotM: 0.001 }
    expect(levelAbove(low, WIDE_M, flow, 0.2)).toBeGreaterThan(0.25)
  })

  test('a solid wall lets nothing through', () => {
    const solid = { ...OVER, kind: 'solid' as const }
    expect(wallFlow(solid, WIDE_M, 1, 0)).toBe(0)
    expect(levelAbove(solid, WIDE_M, flow, 0)).toBe(Infinity)
  })
})

test('a reservoir that runs in all at once freshens the water by mass', () => {
  const before = { salinityPpt: 35, volumeM3: 0.5 }
  const after = salinityAfterTopOff(before, 1023, 20)
  expect(after).toBeCloseTo((35 * 511.5) / 531.5, 10)
})

test('no loss lasts for ever, and a level below its floor lasts no time', () => {
  expect(timeToFallS({ areaM2: 1, fromM: 1, toM: 0 }, 0)).toBe(Infinity)
  expect(timeToFallS({ areaM2: 1, fromM: 0, toM: 1 }, 1)).toBe(0)
  expect(reservoirLastsS(1, 0)).toBe(Infinity)
  expect(throughflowS(1, 0)).toBe(Infinity)
})
