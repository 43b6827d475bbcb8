import type { Device } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Whole } from '../case/whole.ts'
import type { Case } from '../rule.ts'
import { factIf, rule } from '../rule.ts'

/** Salt water, as a keeper measures it, from here on, ppt. */
const SALT_PPT = 5

/** A sterilizer where it stands. */
interface WiperCase extends Case {
  readonly whole: Whole
  readonly device: Device
}

/** Every sterilizer of a design. */
export function wiperCases(whole: Whole): WiperCase[] {
  return whole.design.sump.devices
    .filter(({ part }) => part.sterilizer)
    .map((device) => ({ whole, device, where: { deviceId: device.id } }))
}

/** The rod of a sleeve's wiper rusts, and its seal leaks on mains. */
export const wiperInSaltWater = rule({
  code: 'wiper-in-salt-water',
  station: 'sterilizer',
  severities: ['watch'],
  holds: 'A sterilizer with a wiper for its sleeve stands in salt water.',
  condition: ({ whole, device }: WiperCase) =>
    factIf(
      whole.design.water.salinityPpt >= SALT_PPT && device.part.sterilizer?.hasWiper && device,
    ),
  title: (_, { name }) => sentence('{name}: Its wiper is not for salt water', { name }),
  reason: () =>
    sentence(
      'The rod through its lid corrodes, and salt water then creeps along it to the lamp’s socket. Take it out and plug its hole, and clean the sleeve by hand.',
    ),
})
