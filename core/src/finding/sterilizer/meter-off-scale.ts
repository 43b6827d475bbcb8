import { sentence } from '../../quantity/index.ts'
import type { DeviceCase } from '../case/device-case.ts'
import { outOfWindow } from '../device/out-of-window.ts'
import { factIf, rule } from '../rule.ts'

/** Its flow lies outside what the meter shows. */
export const meterOffScale = rule({
  code: 'meter-off-scale',
  station: 'own',
  severities: ['watch'],
  holds: 'A flow meter’s scale does not reach its flow.',
  condition: (deviceCase: DeviceCase) =>
    deviceCase.device.part.kind === 'flow-meter' ? factIf(outOfWindow(deviceCase)) : [],
  title: ({ device, solved }, { flowM3PerS }) =>
    sentence('{device} can’t read {flow}', {
      device: device.name,
      flow: ['flow', flowM3PerS, solved.flowBandM3PerS],
    }),
  reason: (_, { window }) =>
    sentence('Its scale goes from {least} to {most}.', {
      least: ['flow', window.leastM3PerS],
      most: ['flow', window.mostM3PerS],
    }),
})
