import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import type { DeviceAsDrawn } from '../case/device-as-drawn.ts'
import { drawnRule } from '../drawn-rule.ts'
import { factIf, holdsFor } from '../rule.ts'

/** Two devices in one place. */
export const devicesCollide = drawnRule({
  code: 'devices-collide',
  station: 'own',
  severities: ['stop'],
  holds: 'A device runs into another, or into the sump.',
  condition: ({ devices, clearance }: DeviceAsDrawn) => {
    const id = clearance?.collidesWith[0]
    return factIf(devices.find((device) => device.id === id))
  },
  title: ({ device }: DeviceCase, other) =>
    sentence('{device} runs into {other}', { device: device.name, other: other.name }),
  reason: () =>
    sentence('Two things can’t stand in one place. Drag one of them clear in the room.'),
})

/** A device where the sump stands. */
export const deviceMeetsSump = drawnRule({
  code: 'devices-collide',
  station: 'own',
  severities: ['stop'],
  holds: 'A device runs into another, or into the sump.',
  condition: ({ clearance }: DeviceAsDrawn) => holdsFor(clearance?.runsIntoSump ?? false),
  title: ({ device }: DeviceCase) =>
    sentence('{device} runs into the sump', { device: device.name }),
  reason: () =>
    sentence(
      'It stands lower than the sump’s rim, where the sump stands. Drag it clear in the room, or set it higher.',
    ),
})
