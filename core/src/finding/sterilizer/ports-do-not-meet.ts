import { pieceOfDevice } from '../../figures/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import { PORT_SHARE } from '../limits.ts'
import { rule } from '../rule.ts'

export const portsDoNotMeet = rule({
  code: 'ports-do-not-meet',
  station: 'own',
  severities: ['watch'],
  holds: 'A sterilizer’s ports are not its line’s size.',
  condition: ({ line, device, spec }: SterilizerCase) => {
    const own = line?.laid.line.run.pieces ?? []
    const id = own[pieceOfDevice(own, device.part.kind)]?.id
    const piece = line?.solved.pieces.find(({ pieceId }) => pieceId === id)
    if (!line || !piece) return []
    const off = spec.portBoreM / piece.boreM - 1
    return Math.abs(off) <= PORT_SHARE ? [] : [{ lineId: line.laid.line.id, boreM: piece.boreM }]
  },
  title: ({ device }) =>
    sentence('The ports of {device} are not its line’s size', { device: device.name }),
  reason: ({ spec }, { boreM }) =>
    sentence(
      'They are {port} wide inside, the line {bore}. Put an adapter on either side and write it into the run.',
      { port: ['length', spec.portBoreM], bore: ['length', boreM] },
    ),
  where: (_, { lineId }) => ({ lineId }),
})
