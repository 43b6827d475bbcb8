import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { jsonTable } from '../tables.ts'
import { fillLineOf, openWays, overM3, type RestCase, restOf } from '../../src/rest/index.ts'

interface CheckOutage {
  readonly id: string
  readonly comment: string
  readonly spaces: readonly { id: string; area_m2: number; running_level_m: number }[]
  readonly walls: readonly { between: [string, string]; crest_m: number }[]
  readonly drains: readonly {
    from: string
    to: string
    inlet_m: number
    falls_m3: number
    blocked?: boolean
  }[]
  readonly mouths: readonly {
    id: string
    space: string
    level_m: number
    break_hole_level_m?: number
  }[]
  readonly tees: readonly string[]
  readonly ways: readonly { id: string; from: string; to: string; kind: string; falls_m3: number }[]
  readonly equipment: readonly { falls_m3: number; to: string }[]
  readonly sump: {
    readonly chambers: readonly string[]
    readonly return_chamber: string
    readonly rim_m: number
    readonly margin_m: number
  }
  readonly result: {
    readonly litres_down: Record<string, number>
    readonly pipes_that_fall: readonly string[]
    readonly litres_from_return_pipes: number
    readonly litres_from_drain_pipes: number
    readonly litres_from_equipment: number
    readonly rest_level_m: Record<string, number>
    readonly litres_over_at_this_level: number
    readonly fill_line_m: number | null
    readonly litres_missing: number
    readonly litres_into_sump: number
    readonly highest_rest_level_in_sump_m: number
  }
}

const LITRE = 1e-3
const PASSES = { pipe: 'both', pump_stopped: 'both', check: 'onward', shut: 'none' } as const
const CASES = jsonTable<CheckOutage[]>('outage.json')

function caseOf(given: CheckOutage): RestCase {
  const space = (id: string) => given.spaces.findIndex((known) => known.id === id)
  const nodes = [...given.mouths.map(({ id }) => id), ...given.tees]
  return {
    spaces: given.spaces.map(({ area_m2, running_level_m }) => ({
      areaM2: area_m2,
      levelM: running_level_m,
    })),
    walls: given.walls.map(({ between: [a, b], crest_m }) => ({
      between: [space(a), space(b)],
      crestM: crest_m,
    })),
    drains: given.drains
      .filter(({ blocked }) => !blocked)
      .map(({ from, to, inlet_m, falls_m3 }) => ({
        from: space(from),
        to: space(to),
        inletM: inlet_m,
        fallsM3: falls_m3,
      })),
    mouths: given.mouths.map(({ space: id, level_m, break_hole_level_m }) => ({
      space: space(id),
      levelM: level_m,
      breakHoleM: break_hole_level_m ?? null,
    })),
    ways: openWays(
      given.mouths.length,
      given.tees.length,
      given.ways.map(({ from, to, kind }) => ({
        from: nodes.indexOf(from),
        to: nodes.indexOf(to),
        passes: PASSES[kind as keyof typeof PASSES],
      })),
    ),
    wayFallsM3: given.ways.map(({ falls_m3 }) => falls_m3),
    gifts: given.equipment.map(({ falls_m3, to }) => ({ to: space(to), fallsM3: falls_m3 })),
  }
}

function expectSump(given: CheckOutage): void {
  const { sump, result } = given
  const own = caseOf(given)
  const place = (id: string) => given.spaces.findIndex((known) => known.id === id)
  const limits = {
    chambers: sump.chambers.map(place),
    returnChamber: place(sump.return_chamber),
    floorM: 0,
    rimM: sump.rim_m,
    marginM: sump.margin_m,
  }
  const over = overM3(own, limits, sump.rim_m - sump.margin_m) / LITRE
  expect(over).toBeCloseTo(result.litres_over_at_this_level, 6)
  const line = fillLineOf(own, limits)
  expect(line.missingM3 / LITRE).toBeCloseTo(result.litres_missing, 6)
  if (result.fill_line_m === null) expect(line.levelM).toBeNull()
  else expect(line.levelM).toBeCloseTo(result.fill_line_m, 7)
}

describe('rest levels against the check table', () => {
  test.each(CASES.map((given) => [`${given.id} ${given.comment}`, given] as const))(
    '%s',
    (name, given) => {
      const rest = restOf(caseOf(given))
      const { result } = given
      given.spaces.forEach(({ id, area_m2, running_level_m }, i) => {
        expectClose(`${name} ${id}`, rest.levelsM[i]!, result.rest_level_m[id]!, 1e-5)
        const down = result.litres_down[id]
        if (down === undefined) return
        const litres = ((running_level_m - rest.levelsM[i]!) * area_m2) / LITRE
        expect(Math.abs(litres - down)).toBeLessThan(1e-5 * Math.max(1, Math.abs(down)))
      })
      const fell = given.ways.filter((_, w) => rest.wayFellTo[w]! >= 0).map(({ id }) => id)
      expect(fell.sort()).toEqual([...result.pipes_that_fall].sort())
      expect(rest.fromWaysM3 / LITRE).toBeCloseTo(result.litres_from_return_pipes, 8)
      expect(rest.fromDrainsM3 / LITRE).toBeCloseTo(result.litres_from_drain_pipes, 8)
      expect(rest.fromGiftsM3 / LITRE).toBeCloseTo(result.litres_from_equipment, 8)
      expectSump(given)
    },
  )
})
