import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import { rule } from '../rule.ts'
import { placedClearance } from './placed-clearance.ts'

export const noHandRoom = rule({
  code: 'no-hand-room',
  station: 'own',
  severities: ['watch'],
  holds: 'A hand does not get past a device.',
  condition: (deviceCase: DeviceCase) => {
    const clearance = placedClearance(deviceCase)
    if (!clearance || clearance.sticksOutM !== 0 || clearance.handM === null) return []
    return clearance.handM < deviceCase.device.part.handM ? [clearance.handM] : []
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
