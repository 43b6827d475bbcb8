import { flowAtSpeeds, type SolvedTank } from '../../figures/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { PumpCase } from '../case/pump-case.ts'
import { FOULED_SHARE, SHORT_SHARE } from '../limits.ts'
import { rule } from '../rule.ts'

/** The first tank that a pump's water reaches. */
function tankBehind({ whole, feeds }: PumpCase): SolvedTank | undefined {
  const end = feeds.find(({ laid }) => laid.line.end.at === 'tank')?.laid.line.end
  return whole.tanks.find(({ tankId }) => tankId === end?.id)
}

/** Fouled, and at its fullest speed, would it still bring what is wanted? */
export const noFoulingReserve = rule({
  code: 'no-fouling-reserve',
  station: 'return',
  severities: ['watch'],
  holds: 'A fouled pump at its fullest speed no longer brings what is wanted.',
  condition: (pumpCase: PumpCase) => {
    const { pump, solved, whole } = pumpCase
    const tank = tankBehind(pumpCase)
    if (!tank || solved.pump.stopped || solved.pump.flowM3PerS <= 0) return []
    const enough = (1 - SHORT_SHARE) * tank.wantedFlowM3PerS
    if (tank.wantedFlowM3PerS <= 0 || tank.flowM3PerS < enough) return []
    // Faster, it brings no less than it does now.
    if (FOULED_SHARE * tank.flowM3PerS >= enough) return []
    const slowed = pump.part.control === 'controllable' && pump.speed < 1
    const fullM3PerS = slowed
      ? flowAtSpeeds(whole.layout, pump, { tankId: tank.tankId })(1)
      : tank.flowM3PerS
    return FOULED_SHARE * fullM3PerS >= enough ? [] : [{ tank, fullM3PerS }]
  },
  title: () => sentence('The pump has no reserve for fouling'),
  reason: (_, { tank, fullM3PerS }) =>
    sentence(
      'At full speed it brings {full}. After months it gives about {share} of that, {fouled}, and you want {wanted}. Clean it more often, or choose one a size larger.',
      {
        full: ['flow', fullM3PerS],
        share: ['share', FOULED_SHARE],
        fouled: ['flow', FOULED_SHARE * fullM3PerS],
        wanted: ['flow', tank.wantedFlowM3PerS],
      },
    ),
})
