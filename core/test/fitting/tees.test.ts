import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { expectClose } from '../close.ts'
import { csvTable, L_PER_H, number } from '../tables.ts'
import { teeAt, type TeeAt, teeRoom } from '../../src/fitting/tee.ts'
import { teeLaw, type TeeLeg } from '../../src/fitting/tee-law.ts'
import { waterAt } from '../../src/fluid/water.ts'

const NU = waterAt({ salinityPpt: 35, temperatureC: 25 }).kinematicM2PerS
const LEGS = ['run1', 'run2', 'branch'] as const
const LEG_PLACES: readonly TeeLeg[] = [0, 1, 2]
type Inflows = readonly [number, number, number]

function asked(runM: number, branchM: number, inflows: Inflows, kinematic = NU): TeeAt {
  const at = teeRoom()
  teeAt(teeLaw(runM, branchM), inflows, kinematic, at)
  return at
}

describe('tees against the check table', () => {
  test.each(csvTable('tees.csv').map((row) => [row.case!, row] as const))('%s', (name, row) => {
    const water = waterAt({ salinityPpt: number(row, 'S_ppt'), temperatureC: number(row, 'T_C') })
    const inflow = (leg: string) => number(row, `flow_in_${leg}_L_h`) * L_PER_H
    const at = asked(
      number(row, 'run_bore_mm') / 1000,
      number(row, 'branch_bore_mm') / 1000,
      [inflow('run1'), inflow('run2'), inflow('branch')],
      water.kinematicM2PerS,
    )
    // Where a leg is dry two carry the same, and either may be the common one.
    const common = LEGS.indexOf(row.common_leg as (typeof LEGS)[number])
    const sign = row.mode === 'dividing' ? -1 : 1
    for (const leg of LEG_PLACES) {
      if (leg === common) continue
      const wanted = number(row, `head_lost_${LEGS[leg]}_m`)
      const got = sign * (at.headM[leg]! - at.headM[common]!)
      if (wanted === 0) expect(Math.abs(got)).toBeLessThan(1e-12)
      else expectClose(`${name} ${LEGS[leg]}`, got, wanted)
    }
  })
})

const bore = fc.constantFrom(0.0158, 0.0209, 0.0266, 0.0351)
const flow = fc.double({ min: -2e-3, max: 2e-3, noNaN: true })

describe('a tee', () => {
  test('has no step where any leg’s flow passes nil', () => {
    fc.assert(
      fc.property(bore, bore, flow, fc.constantFrom(...LEG_PLACES), (run, branch, size, dry) => {
        if (Math.abs(size) < 1e-5) return
        const [one, two] = LEG_PLACES.filter((leg) => leg !== dry)
        const at = (seep: number) => {
          const inflows: [number, number, number] = [0, 0, 0]
          inflows[one!] = size
          inflows[two!] = -size - seep
          inflows[dry] = seep
          return asked(run, branch, inflows).headM
        }
        const [before, after] = [at(-1e-6 * size), at(1e-6 * size)]
        const scale =
          asked(run, branch, [size, -size, 0]).velocityHeadM * (1 + (branch / run) ** -4)
        for (const leg of LEG_PLACES) {
          const over = (heads: number[]) => heads[leg]! - heads[one!]!
          expect(Math.abs(over(before) - over(after))).toBeLessThan(1e-3 * scale + 1e-9)
        }
      }),
      { seed: 31, numRuns: 500 },
    )
  })

  test('tells how its heads move with the flows', () => {
    fc.assert(
      fc.property(bore, bore, flow, flow, (run, branch, first, second) => {
        const inflows: Inflows = [first, second, -first - second]
        const at = asked(run, branch, inflows)
        const size = Math.abs(inflows[at.common])
        const shares = inflows.map((inflow) => Math.abs(inflow) / size)
        // Slopes have a corner at 5 % and where another leg becomes the common one.
        const corner = (share: number) =>
          Math.abs(share - 0.05) < 1e-3 || (share > 0.999 && share < 1) || share < 1e-3
        if (size < 1e-5 || shares.some(corner) || shares.filter((s) => s === 1).length > 1) return
        const step = 1e-6 * size
        for (const moved of LEG_PLACES) {
          if (moved === at.common) continue
          const by = (far: number) => {
            const there: [number, number, number] = [...inflows]
            there[moved] += far
            there[at.common] -= far
            return asked(run, branch, there).headM
          }
          const [up, down] = [by(step), by(-step)]
          for (const leg of LEG_PLACES) {
            const measured = (up[leg]! - down[leg]!) / (2 * step)
            const own = moved === at.shareLeg ? at.perShare[leg]! : 0
            const told = own - at.perCommon[leg]!
            expect(Math.abs(measured - told)).toBeLessThan(1e-4 * Math.abs(told) + 1)
          }
        }
      }),
      { seed: 32, numRuns: 500 },
    )
  })
})
