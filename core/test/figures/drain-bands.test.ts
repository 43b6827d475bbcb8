import { expect, test } from '@jest/globals'
import { setAlike } from '../../src/design/set-alike.ts'
import { applyEdits, solveBasin } from '../../src/index.ts'
import { aLoop } from '../a-loop.ts'
import { aSterilizer, withDevices } from '../a-device.ts'
import { expectClose } from '../close.ts'
import { QUOTED_TARGETS } from '../../src/uv/targets.ts'
import { withChanges } from '../changes.ts'

test('a siphon that runs full is known by its pieces, the pipe beside it by what is left', () => {
  const tuned = aLoop({ school: 'siphon-trickle-emergency' })
  const match = solveBasin(tuned).drains[0]!.match!
  expect(match.openingBand).toBeGreaterThan(0)
  expect(match.openingBand).toBeLessThan(match.opening!)
  const { drains, tanks } = solveBasin(applyEdits(tuned, setAlike(tuned, 'tank', match.opening!)))
  const [siphon, trickle, emergency] = drains
  expect(siphon!.state).toBe('full')
  expect(siphon!.flowBandM3PerS).toBe(siphon!.primedBandM3PerS)
  const [{ flowBandM3PerS }] = tanks as [(typeof tanks)[number]]
  const left = Math.hypot(flowBandM3PerS, siphon!.primedBandM3PerS)
  expectClose('of the trickle', trickle!.flowBandM3PerS, Math.min(trickle!.flowM3PerS, left), 1e-9)
  expect(emergency!.flowBandM3PerS).toBe(0)
})

test('a half-life’s band is what flow and dose make of it', () => {
  const design = withChanges(withDevices(aLoop(), aSterilizer({ lineId: 'main' })), {
    'treatment.targets': QUOTED_TARGETS,
  })
  const { targets, flowBandM3PerS, flowM3PerS } = solveBasin(design).treatment.sterilizers[0]!
  for (const { removalPerS, removalBandPerS, halfLifeS, halfLifeBandS } of targets) {
    expect(removalBandPerS).toBeGreaterThan(0)
    // A lamp that hardly reaches its target kills by its light alone: ± 30 % of dose, no more.
    const most = Math.hypot(0.3, flowBandM3PerS / flowM3PerS)
    expect(removalBandPerS / removalPerS).toBeLessThan(most)
    expectClose('of the half-life', halfLifeBandS / halfLifeS!, removalBandPerS / removalPerS)
  }
})

test('the least speed that lifts is known as well as the pump’s shut-off head', () => {
  const [line] = solveBasin(aLoop()).returnSide.lines
  expectClose('band', line!.leastSpeedBand, 0.03 * line!.leastSpeedToLift)
})
