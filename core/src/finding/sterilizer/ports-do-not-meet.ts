import { pieceOfDevice } from '../../layout/index.ts'
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
    const placed = line?.laid.placed[pieceOfDevice(own, device)]
    if (!line || !placed) return []
    const boreM = placed.boreBeforeM
    const off = spec.portBoreM / boreM - 1
    return Math.abs(off) <= PORT_SHARE ? [] : [{ lineId: line.laid.line.id, boreM }]
  },
  title: ({ device }) =>
    sentence('The ports of {device} are not its line’s size', { device: device.name }),
  reason: ({ spec }, { boreM }) =>
    sentence(
      'They are {port} wide inside, the line {bore}: an adapter goes on either side. Both are counted.',
      { port: ['length', spec.portBoreM], bore: ['length', boreM] },
    ),
  where: (_, { lineId }) => ({ lineId }),
})
