import { sentence } from '../../quantity/index.ts'
import type { TankCase } from '../case/tank-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const rimOverPanels = rule({
  code: 'rim-over-panels',
  station: 'tank',
  severities: ['stop'],
  holds: 'The rim that is given stands higher than the panels.',
  condition: ({ tank }: TankCase) => holdsFor(tank.rimM > tank.heightM),
  title: ({ words }) => sentence('{where}The rim stands above the panels', { where: words }),
  reason: ({ tank }) =>
    sentence(
      'Water spills at {rim}, says the rim, but the panels end at {height}. Lower the rim or check the height.',
      { rim: ['length', tank.rimM], height: ['length', tank.heightM] },
    ),
})
