import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import { rule } from '../rule.ts'

/** A float rises with the water: it wants a stretch that goes up and is as long as itself. */
export const meterNotUpright = rule({
  code: 'meter-not-upright',
  station: 'own',
  severities: ['watch'],
  holds: 'A flow meter’s line has no upright stretch as long as the meter.',
  condition: ({ line, device }: DeviceCase) => {
    if (device.part.kind !== 'flow-meter' || !line) return []
    const longestUpM = line.laid.line.run.pieces.reduce(
      (most, piece) =>
        piece.kind === 'pipe' && piece.direction === 'up' ? Math.max(most, piece.lengthM) : most,
      0,
    )
    return longestUpM >= device.part.heightM ? [] : [{ longestUpM, lineId: line.laid.line.id }]
  },
  title: ({ device }) =>
    sentence('{device} has no upright stretch to stand in', { device: device.name }),
  reason: ({ device }, { longestUpM }) =>
    sentence(
      'Its float rises with the water, so it wants {wants} of pipe that goes up; the longest in its line is {has}.',
      { wants: ['length', device.part.heightM], has: ['length', longestUpM] },
    ),
  where: (_, { lineId }) => ({ lineId }),
})
