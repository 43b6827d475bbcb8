import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import type { DeviceAsDrawn } from '../case/device-as-drawn.ts'
import { drawnRule } from '../drawn-rule.ts'
import { factIf } from '../rule.ts'

export const deviceDoesNotFit = drawnRule({
  code: 'device-does-not-fit',
  station: 'own',
  severities: ['stop'],
  holds: 'A device stands through a wall of its chamber or of the cabinet.',
  condition: ({ clearance }: DeviceAsDrawn) =>
    factIf(clearance && clearance.sticksOutM > 0 ? clearance : null),
  title: ({ device }: DeviceCase, { inWater, sticksOutM }) =>
    sentence(
      inWater
        ? '{device} does not stand in its chamber: {out} too far'
        : '{device} does not stand in the cabinet: {out} too far',
      { device: device.name, out: ['length', sticksOutM] },
    ),
  reason: () =>
    sentence(
      'Its foot goes through a wall where it is drawn. Move it, turn it, move the wall or take a smaller one.',
    ),
})
