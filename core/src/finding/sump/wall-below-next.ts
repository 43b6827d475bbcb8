import { sentence } from '../../quantity/index.ts'
import { crestM } from '../../sump/index.ts'
import { type ChamberCase, wallOf } from '../case/chamber-case.ts'
import { rule } from '../rule.ts'

export const wallBelowNext = rule({
  code: 'wall-below-next',
  station: 'sump',
  severities: ['watch'],
  holds: 'A wall stands under the water of the next chamber, so that it holds no level.',
  condition: (chamberCase: ChamberCase) => {
    const wall = wallOf(chamberCase)
    if (!wall || (wall.kind !== 'over' && wall.kind !== 'comb')) return []
    const { index, whole } = chamberCase
    const next = whole.sump.chambers[index < whole.steady.returnIndex ? index + 1 : index - 1]!
    const overM = next.depthM! - crestM(wall)
    return overM > 0 ? [{ wall, overM }] : []
  },
  title: ({ chamber }, { overM }) =>
    sentence('The wall of {chamber} stands {deep} under the next water', {
      chamber: chamber.name,
      deep: ['length', overM],
    }),
  reason: () =>
    sentence(
      'It holds no level of its own: the two chambers rise and fall together, and the next one’s evaporation moves both.',
    ),
})
