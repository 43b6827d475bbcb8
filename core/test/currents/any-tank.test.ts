import { expect, test } from '@jest/globals'
import { aCirculation, aDomain, aRock, JET_PART, seeded, SLOT_PART } from './a-domain.ts'
import { planField } from '../../src/currents/field-plan.ts'
import type { FlowDomain } from '../../src/currents/flow-domain.ts'
import { judgeField } from '../../src/currents/judge.ts'
import { simulateField } from '../../src/currents/simulate-field.ts'
import { pumpStream, type Stream } from '../../src/currents/streams.ts'

const KINDS = ['steady', 'pulse', 'alternate', 'reversing', 'random'] as const
const PANELS = ['left', 'right', 'back', 'front'] as const

/** A tank by chance: up to five rocks through each other and the panels, one to four pumps, a line's end and an overflow. */
function anyTank(chance: () => number): FlowDomain {
  const between = (least: number, most: number) => least + (most - least) * chance()
  const oneOf = <Kind>(kinds: readonly Kind[]) => kinds[Math.floor(chance() * kinds.length)]!
  const size = { lengthM: between(0.3, 2.4), widthM: between(0.3, 0.9), depthM: between(0.25, 0.8) }
  const many = <Thing>(count: number, make: (i: number) => Thing) =>
    Array.from({ length: count }, (_, i) => make(i))
  const rocks = many(Math.floor(between(0, 6)), (i) =>
    aRock({
      id: `rock ${i}`,
      form: oneOf(['box', 'boulder']),
      xM: between(-0.1, size.lengthM - 0.1),
      yM: between(-0.1, size.widthM - 0.1),
      zM: between(-0.1, size.depthM * 0.6),
      lengthM: between(0.04, 0.6),
      widthM: between(0.04, 0.5),
      heightM: between(0.03, 0.5),
    }),
  )
  const pumps = many(Math.floor(between(1, 5)), (i) =>
    aCirculation({
      id: `pump ${i}`,
      part: { ...oneOf([JET_PART, SLOT_PART]), flowM3PerS: between(3e-4, 6e-3) },
      panel: oneOf(PANELS),
      alongM: between(0.05, 0.28),
      upM: between(0.05, size.depthM - 0.05),
      turnDeg: between(-60, 60),
      tiltDeg: between(-40, 40),
      upright: chance() < 0.5,
      speed: between(0.3, 1),
      pattern: { kind: oneOf(KINDS), periodS: between(0.5, 60), low: chance(), group: 'first' },
    }),
  )
  const { lengthM, widthM, depthM } = size
  return aDomain([], {
    ...size,
    sandDepthM: between(0, 0.1),
    rocks,
    mouth: {
      fromX: 0,
      toX: lengthM / 3,
      fromY: widthM - 0.03,
      toY: widthM,
      fromZ: depthM - 0.03,
      toZ: depthM,
    },
    streams: [...pumps.map((pump) => pumpStream(pump, size)), anyLine(between, size)],
  })
}

function anyLine(
  between: (least: number, most: number) => number,
  { lengthM, widthM, depthM }: Pick<FlowDomain, 'lengthM' | 'widthM' | 'depthM'>,
): Stream {
  const boreM = between(0.008, 0.05)
  const flowM3PerS = between(1e-5, 1.5e-3)
  const from = {
    x: between(0.02, lengthM - 0.02),
    y: between(0.02, widthM - 0.02),
    z: between(0.02, depthM - 0.01),
  }
  const exitSpeedMPerS = flowM3PerS / ((Math.PI / 4) * boreM ** 2)
  const jet = { from, towards: { x: 0, y: 0, z: -1 }, exitSpeedMPerS, boreM, slot: null }
  return { id: 'line', name: 'Line', from: 'nozzle', flowM3PerS, pattern: null, jet }
}

test('the water of any tank stays finite, keeps its mass and is no faster than what drives it makes it', () => {
  const chance = seeded(5)
  for (let n = 0; n < 8; n++) {
    const tank = anyTank(chance)
    const plan = planField(tank, 'coarse')!
    const field = simulateField({ ...plan, settleSteps: 500, watchSteps: 100 })
    const fastest = Math.max(...tank.streams.map(({ jet }) => jet.exitSpeedMPerS))
    expect(judgeField(field, tank).meanMPerS).toBeGreaterThan(0)
    expect(Math.abs(field.massDrift)).toBeLessThan(1e-5)
    expect(Math.max(...field.peak)).toBeLessThan(2.5 * fastest)
  }
}, 120_000)
