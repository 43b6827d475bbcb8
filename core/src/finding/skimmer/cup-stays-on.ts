import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { rule } from '../rule.ts'

/** A cup cut free to the millimetre just touches, m. */
const TOUCH_M = 1e-9

export const cupStaysOn = rule({
  code: 'cup-stays-on',
  station: 'own',
  severities: ['stop'],
  holds: 'A skimmer’s cup meets the cabinet’s top before it comes off.',
  condition: ({ skimmer: { aboveCupM } }: SkimmerCase) =>
    aboveCupM === null || aboveCupM >= -TOUCH_M ? [] : [aboveCupM],
  title: ({ device }, aboveCupM) =>
    sentence('The cup of {device} can’t come off: {short} too little', {
      device: device.name,
      short: ['length', -aboveCupM],
    }),
  reason: ({ device }) =>
    sentence('It must rise {lift} and meets the cabinet’s top.', {
      lift: ['length', device.part.skimmer!.cupLiftM],
    }),
})
