import { pieceOfDevice } from '../../layout/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import type { DeviceAsDrawn } from '../case/device-as-drawn.ts'
import { drawnRule } from '../drawn-rule.ts'

/** A lamp is changed once a year: it must come out of the line. */
export const lampGluedIn = drawnRule({
  code: 'lamp-glued-in',
  station: 'own',
  severities: ['watch'],
  holds: 'A sterilizer has no union on one side or on both.',
  condition: ({ line: drawn, device }: DeviceAsDrawn) => {
    const line = drawn?.line
    const pieces = line?.run.pieces ?? []
    const at = pieceOfDevice(pieces, device)
    if (!line || at < 0) return []
    const before = pieces.slice(0, at).some(({ kind }) => kind === 'union')
    const after = pieces.slice(at + 1).some(({ kind }) => kind === 'union')
    return before && after ? [] : [{ lineId: line.id, oneSide: before || after }]
  },
  title: ({ device }: SterilizerCase) =>
    sentence('{device} can’t be taken out of its line', { device: device.name }),
  reason: (_, { oneSide }) =>
    sentence(
      oneSide
        ? 'It has a union on one side only. With one on both sides it comes out whole for a new lamp or a broken sleeve.'
        : 'It has no union on either side. With one on both sides it comes out whole for a new lamp or a broken sleeve.',
    ),
  where: (_, { lineId }) => ({ lineId }),
})
