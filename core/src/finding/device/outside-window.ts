import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import { factIf, rule } from '../rule.ts'
import { outOfWindow } from './out-of-window.ts'

export const outsideWindow = rule({
  code: 'outside-window',
  station: 'own',
  severities: ['watch'],
  holds: 'A device gets less or more flow than its maker wants.',
  condition: (deviceCase: DeviceCase) =>
    deviceCase.device.part.kind === 'flow-meter' ? [] : factIf(outOfWindow(deviceCase)),
  title: ({ device, solved }, { below, flowM3PerS }) =>
    sentence(below ? '{device} gets too little: {flow}' : '{device} gets too much: {flow}', {
      device: device.name,
      flow: ['flow', flowM3PerS, solved.flowBandM3PerS],
    }),
  reason: ({ device }, { window }) =>
    sentence(
      device.lineId === null
        ? 'Its maker wants {least} to {most}. It stands in a chamber where that much does not pass.'
        : 'Its maker wants {least} to {most}. The valve of its line, or the balance of all, brings it there.',
      { least: ['flow', window.leastM3PerS], most: ['flow', window.mostM3PerS] },
    ),
})
