import { describe, expect, test } from '@jest/globals'
import { allDrills, drillVerdict, steadyState, worstFirst } from '@yew-basin/core'
import { simulateDrill } from '@yew-basin/core/lab'
import { DEMO_BASINS } from '../src/demo/basins.ts'

describe('the drills of the demo', () => {
  test.each(DEMO_BASINS.map(({ name, design }) => [name, design] as const))(
    '%s: water is conserved in every one, and each has a verdict',
    (_, design) => {
      const steady = steadyState(design)
      const drills = allDrills(steady)
      expect(drills.length).toBeGreaterThanOrEqual(6)
      for (const drill of drills) {
        const run = simulateDrill(steady, drill)
        expect(run.unaccounted).toBeLessThan(1e-9)
        expect(drillVerdict(steady, drill).vessels.length).toBeGreaterThan(2)
      }
    },
  )
  test('Lantern’s big can floods the floor when its top-off’s relay is welded; its limit holds a stuck sensor', () => {
    const steady = steadyState(DEMO_BASINS.find(({ name }) => name === 'Lantern')!.design)
    const verdicts = worstFirst(allDrills(steady).map((drill) => drillVerdict(steady, drill)))
    expect(
      verdicts.filter(({ outcome }) => outcome === 'wet').map(({ drillId }) => drillId),
    ).toEqual(expect.arrayContaining(['top-off-welded', 'hose scrubber']))
    const stuck = verdicts.find(({ drillId }) => drillId === 'top-off-open')!
    expect(stuck.outcome).not.toBe('wet')
    expect(stuck.log.map(({ what }) => 'event' in what && what.event.kind)).toContain(
      'top-off-gives-up',
    )
  })
})
