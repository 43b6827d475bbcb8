import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { csvTable, jsonTable, L_PER_H } from '../tables.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { bubbleOfSpeedM, downwardSpeed } from '../../src/sump/bubble.ts'
import {
  drainBack,
  fillLineM,
  freeVolumeM3,
  stillLevelM,
  type Stopping,
  type StoppingChamber,
} from '../../src/sump/drain-back.ts'
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

function stopping(given: Given): { stopping: Stopping; chambers: StoppingChamber[] } {
  const pipes = (list: Given['return_pipes']) =>
    list.map((pipe) => ({
      boreM: pipe.bore_m,
      lengthM: pipe.length_that_drains_m,
      filledShare: 1,
    }))
  return {
    stopping: {
      displays: given.displays.map((display) => ({
        surfaceM2: display.surface_m2,
        runningLevelM: display.running_level_m,
        crestM: display.overflow_rim_m,
        siphonBreakM:
          display.outlet === 'air' || display.working_check_valve
            ? null
            : (display.break_hole_level_m ?? display.outlet_mouth_level_m!),
      })),
      boxes: given.boxes.map((box) => ({
        surfaceM2: box.surface_m2,
        runningLevelM: box.running_level_m,
        drainInletM: box.drain_inlet_level_m,
      })),
      returnPipes: pipes(given.return_pipes),
      drainPipes: pipes(given.drain_pipes),
      equipmentM3: given.equipment_m3,
    },
    chambers: given.chambers.map((chamber) => ({
      areaM2: chamber.area_m2,
      runningLevelM: chamber.running_level_m,
      heldByM: chamber.held_by_over_wall_crest_m,
    })),
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
    const { stopping: stops, chambers } = stopping(given)
    const back = drainBack(stops)
    meets(sumpCase, 'display_above_rim', back.aboveRimM3 / LITRE)
    meets(sumpCase, 'display_siphoned_below_rim', back.siphonedM3 / LITRE)
    meets(sumpCase, 'boxes', back.boxesM3 / LITRE)
    meets(sumpCase, 'return_pipes', back.returnPipesM3 / LITRE)
    meets(sumpCase, 'drain_pipes', back.drainPipesM3 / LITRE)
    meets(sumpCase, 'equipment', back.equipmentM3 / LITRE)
    meets(sumpCase, 'drain_back', back.totalM3 / LITRE)
    meets(sumpCase, 'free_volume_to_rim', freeVolumeM3(chambers, given.sump_rim_m) / LITRE)
    const stillM = stillLevelM(chambers, back.totalM3)
    meets(sumpCase, 'still_sump_level', stillM)
    expect(stillM > given.sump_rim_m).toBe(says(sumpCase, 'spills'))
    expect(stillM <= given.sump_rim_m - given.margin_m).toBe(says(sumpCase, 'fits_with_margin'))
    const lineM = fillLineM(chambers, back.totalM3, given.sump_rim_m - given.margin_m)
    meets(sumpCase, 'fill_line_in_return_chamber', lineM)
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
