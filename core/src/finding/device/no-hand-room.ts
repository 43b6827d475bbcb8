import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import type { DeviceAsDrawn } from '../case/device-as-drawn.ts'
import { drawnRule } from '../drawn-rule.ts'

export const noHandRoom = drawnRule({
  code: 'no-hand-room',
  station: 'own',
  severities: ['watch'],
  holds: 'A hand does not get past a device.',
  condition: ({ device, clearance }: DeviceAsDrawn) => {
    if (!clearance || clearance.sticksOutM !== 0 || clearance.handM === null) return []
    return clearance.handM < device.part.handM ? [clearance.handM] : []
  },
  title: ({ device }: DeviceCase, handM) =>
    sentence('A hand does not get past {device}: {gap}', {
      device: device.name,
      gap: ['length', handM],
    }),
  reason: ({ device }) =>
    sentence('It wants {hand} on one side to be reached and taken out.', {
      hand: ['length', device.part.handM],
    }),
})
