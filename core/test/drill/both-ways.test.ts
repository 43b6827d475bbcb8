import { aLoop } from '../a-loop.ts'
import { type Changes } from '../changes.ts'
import { L_PER_H } from '../tables.ts'
import { verdictOf } from '../../src/drill/verdict.ts'
import { allDrills, type Drill, drillVerdict, steadyState } from '../../src/index.ts'
import { sentence } from '../../src/quantity/index.ts'
import { simulateDrill } from '../../src/lab.ts'
import { describe, expect, test } from '@jest/globals'

/** The plain loop with a top-off, so that a pump which draws air is fed. */
function drilled(id: string, changes: Changes) {
  const steady = steadyState(aLoop({ changes }))
  const drill = allDrills(steady).find((known) => known.id === id)!
  return { steady, drill }
}
const topOff = (canM3: number, runLimitS: number | null = null): Changes => ({
  'sump.topOff': { flowM3PerS: 60 * L_PER_H, canM3, runLimitS },
})
const events = (log: readonly { readonly what: object }[]) =>
  log.flatMap(({ what }) => ('event' in what ? [(what.event as { kind: string }).kind] : []))

describe('case 2: a pump that draws air', () => {
  /** Every drain blocked: the return chamber goes up into the tank, and then the top-off feeds the pump. */
  function allBlocked() {
    const { steady } = drilled('power-cut', { ...topOff(0.1), 'sump.chambers.5.levelM': 0.12 })
    const drainIds = steady.design.drains.map(({ id }) => id)
    const fault = { kind: 'drains-blocked', drainIds, share: 1 } as const
    const drill: Drill = {
      id: 'all blocked',
      title: sentence('All drains blocked'),
      faults: [{ atS: 0, fault }],
      durationS: 4 * 3600,
      evaporates: false,
      isSingle: false,
      parts: [],
    }
    return { steady, drill }
  }

  test('staying dry nothing reaches the floor; gasping the top-off’s water does, and the worse counts', () => {
    const { steady, drill } = allBlocked()
    const dry = verdictOf(simulateDrill(steady, drill))
    const gasping = verdictOf(
      simulateDrill(steady, drill, { ways: { air: 'gasps', siphons: 'start' } }),
    )
    expect(events(dry.log)).toContain('pump-draws-air')
    expect(dry.outcome).toBe('watch')
    expect(gasping.outcome).toBe('wet')
    expect(drillVerdict(steady, drill).spilledM3).toBe(gasping.spilledM3)
    for (const { unaccounted } of [dry, gasping]) expect(unaccounted).toBeLessThan(1e-9)
  })
  test('gasping, its chamber stays at the inlet and the pump passes what the top-off brings', () => {
    const { steady, drill } = allBlocked()
    const { log, volumes, plant, extremes } = simulateDrill(steady, drill, {
      ways: { air: 'gasps', siphons: 'start' },
    })
    const air = log.find(({ what }) => 'event' in what && what.event.kind === 'pump-draws-air')!
    const chamber = plant.vessels[plant.returnChamber]!
    const endM =
      chamber.floorM + (volumes[plant.returnChamber]! + chamber.submergedM3) / chamber.areaM2
    const { lowestM, lowestAtS } = extremes[plant.returnChamber]!
    expect(lowestAtS).toBeGreaterThanOrEqual(air.atS - 1)
    expect(endM - lowestM).toBeLessThan(0.03)
  })
  test('is never called dry, whether its inlet’s height is given or not', () => {
    const { steady, drill } = drilled('top-off-shut', {
      ...topOff(0.02),
      'returnSide.pumps.0.inletHeightM': null,
    })
    const verdict = drillVerdict(steady, drill)
    expect(events(verdict.log)).toContain('pump-draws-air')
    expect(verdict.outcome).not.toBe('dry')
  })
})

describe('a top-off’s own limit', () => {
  test('stops one whose sensor is stuck, and not one whose relay is welded', () => {
    const held = drilled('top-off-open', topOff(0.2, 120))
    const stuck = drillVerdict(held.steady, held.drill)
    expect(events(stuck.log)).toContain('top-off-gives-up')
    const welded = drilled('top-off-welded', topOff(0.2, 120))
    const through = drillVerdict(welded.steady, welded.drill)
    expect(events(through.log)).not.toContain('top-off-gives-up')
    expect(through.salinityPpt).toBeLessThan(stuck.salinityPpt)
  })
  test('without one there is one drill, and it runs till the can is empty', () => {
    const { steady, drill } = drilled('top-off-open', topOff(0.02))
    expect(events(drillVerdict(steady, drill).log)).toContain('top-off-empty')
    expect(allDrills(steady).map(({ id }) => id)).not.toContain('top-off-welded')
  })
})
