import type { PipePiece } from '../../run/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import type { DeviceAsDrawn } from '../case/device-as-drawn.ts'
import { drawnRule } from '../drawn-rule.ts'

/** Why a float does not read as it should. */
type Why = 'no-stretch' | 'too-short' | 'upside-down' | 'level'

const TITLES: Readonly<Record<Why, string>> = {
  'no-stretch': '{device} has no upright stretch to stand in',
  'too-short': '{device} is longer than the pipe it stands in',
  'upside-down': '{device} stands upside down',
  level: '{device} lies in a level stretch',
}

/** A float rises with the water: it wants a stretch that goes up and is as long as itself. */
export const meterNotUpright = drawnRule({
  code: 'meter-not-upright',
  station: 'own',
  severities: ['watch'],
  holds:
    'A flow meter stands in no upright stretch as long as itself: it is level, upside down, or has none.',
  condition: ({ line: drawn, device }: DeviceAsDrawn) => {
    if (device.part.kind !== 'flow-meter' || !drawn) return []
    const { line } = drawn
    const pipes = line.run.pieces.filter((piece) => piece.kind === 'pipe')
    const own = pipes.find(({ id }) => id === device.pieceId)
    const longestUpM = pipes.reduce(
      (most, { direction, lengthM }) => (direction === 'up' ? Math.max(most, lengthM) : most),
      0,
    )
    const why = own ? whyNot(own, device.part.heightM) : stretchMissing(longestUpM, device)
    return why === null ? [] : [{ why, longestUpM, lineId: line.id }]
  },
  title: ({ device }: DeviceCase, { why }) => sentence(TITLES[why], { device: device.name }),
  reason: ({ device }, { longestUpM }) =>
    sentence(
      'Its float rises with the water, so it wants {wants} of pipe that goes up; the longest in its line is {has}.',
      { wants: ['length', device.part.heightM], has: ['length', longestUpM] },
    ),
  where: (_, { lineId }) => ({ lineId }),
})

const stretchMissing = (longestUpM: number, { part }: DeviceCase['device']): Why | null =>
  longestUpM >= part.heightM ? null : 'no-stretch'

function whyNot({ direction, lengthM }: PipePiece, heightM: number): Why | null {
  if (direction === 'down') return 'upside-down'
  if (direction !== 'up') return 'level'
  return lengthM >= heightM ? null : 'too-short'
}
