import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import { rule } from '../rule.ts'
import { placedRoom } from './placed-room.ts'

export const noHandRoom = rule({
  code: 'no-hand-room',
  station: 'own',
  severities: ['watch'],
  holds: 'A hand does not get past a device.',
  condition: (deviceCase: DeviceCase) => {
    const room = placedRoom(deviceCase)
    if (!room || room.sticksOutM !== 0 || room.handM === null) return []
    return room.handM < deviceCase.device.part.handM ? [room.handM] : []
  },
  title: ({ device }, handM) =>
    sentence('A hand does not get past {device}: {gap}', {
      device: device.name,
      gap: ['length', handM],
    }),
  reason: ({ device }) =>
    sentence('It wants {hand} on one side to be reached and taken out.', {
      hand: ['length', device.part.handM],
    }),
})
