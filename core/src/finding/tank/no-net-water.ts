import { sentence } from '../../quantity/index.ts'
import type { TankCase } from '../case/tank-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const noNetWater = rule({
  code: 'no-net-water',
  station: 'tank',
  severities: ['stop'],
  holds: 'Rock and sand displace all that the tank holds.',
  condition: ({ solved }: TankCase) => holdsFor(solved.netVolumeM3 <= 0),
  title: ({ words }) => sentence('{where}Rock and sand fill the whole tank', { where: words }),
  reason: ({ solved }) =>
    sentence(
      'They displace {displaced}, and the tank holds {gross} to its level. Check their mass and density.',
      {
        displaced: ['volume', solved.rockVolumeM3 + solved.sandVolumeM3],
        gross: ['volume', solved.grossVolumeM3],
      },
    ),
})
