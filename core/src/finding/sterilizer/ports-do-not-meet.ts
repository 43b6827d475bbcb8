import { pieceOfDevice } from '../../layout/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import type { DeviceAsDrawn } from '../case/device-as-drawn.ts'
import { PORT_SHARE } from '../limits.ts'
import { drawnRule } from '../drawn-rule.ts'

export const portsDoNotMeet = drawnRule({
  code: 'ports-do-not-meet',
  station: 'own',
  severities: ['watch'],
  holds: 'A sterilizer’s ports are not its line’s size.',
  condition: ({ line: drawn, device }: DeviceAsDrawn) => {
    const spec = device.part.sterilizer
    const own = drawn?.line.run.pieces ?? []
    const placed = drawn?.placed[pieceOfDevice(own, device)]
    if (!drawn || !placed || !spec) return []
    const boreM = placed.boreBeforeM
    const off = spec.portBoreM / boreM - 1
    return Math.abs(off) <= PORT_SHARE ? [] : [{ lineId: drawn.line.id, boreM }]
  },
  title: ({ device }: SterilizerCase) =>
    sentence('The ports of {device} are not its line’s size', { device: device.name }),
  reason: ({ spec }, { boreM }) =>
    sentence(
      'They are {port} wide inside, the line {bore}: an adapter goes on either side. Both are counted.',
      { port: ['length', spec.portBoreM], bore: ['length', boreM] },
    ),
  where: (_, { lineId }) => ({ lineId }),
})
