import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import { factIf, holdsFor, rule } from '../rule.ts'
import { placedClearance } from './placed-clearance.ts'

/** Two devices in one place. */
export const devicesCollide = rule({
  code: 'devices-collide',
  station: 'own',
  severities: ['stop'],
  holds: 'A device runs into another, or into the sump.',
  condition: (deviceCase: DeviceCase) => {
    const id = placedClearance(deviceCase)?.collidesWith[0]
    return factIf(deviceCase.whole.design.sump.devices.find((device) => device.id === id))
  },
  title: ({ device }, other) =>
    sentence('{device} runs into {other}', { device: device.name, other: other.name }),
  reason: () =>
    sentence('Two things can’t stand in one place. Drag one of them clear in the room.'),
})

/** A device where the sump stands. */
export const deviceMeetsSump = rule({
  code: 'devices-collide',
  station: 'own',
  severities: ['stop'],
  holds: 'A device runs into another, or into the sump.',
  condition: (deviceCase: DeviceCase) =>
    holdsFor(placedClearance(deviceCase)?.runsIntoSump ?? false),
  title: ({ device }) => sentence('{device} runs into the sump', { device: device.name }),
  reason: () =>
    sentence(
      'It stands lower than the sump’s rim, where the sump stands. Drag it clear in the room, or set it higher.',
    ),
})
