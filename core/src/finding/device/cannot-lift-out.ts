import { comesOutUpright } from '../../device/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import type { DeviceAsDrawn } from '../case/device-as-drawn.ts'
import { drawnRule } from '../drawn-rule.ts'

/** A device that comes out upright meets the cabinet's top on its way. */
export const cannotLiftOut = drawnRule({
  code: 'cannot-lift-out',
  station: 'own',
  severities: ['watch'],
  holds: 'A device meets the cabinet’s top before it is out of the sump.',
  condition: ({ device, clearance }: DeviceAsDrawn) => {
    const liftsOutM = clearance?.liftsOutM ?? null
    return comesOutUpright(device.part.kind) && liftsOutM !== null && liftsOutM < 0
      ? [liftsOutM]
      : []
  },
  title: ({ device }: DeviceCase, liftsOutM) =>
    sentence('{device} can’t be lifted out: {short} too little', {
      device: device.name,
      short: ['length', -liftsOutM],
    }),
  reason: () =>
    sentence(
      'Raised over the sump’s rim it meets the cabinet’s top. Cleaning it means drawing the sump forward, or a cabinet that opens above.',
    ),
})
