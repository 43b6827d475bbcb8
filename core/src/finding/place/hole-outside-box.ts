import { type DisplayTank, isInPlan } from '../../design/index.ts'
import { flatMap } from '../../numeric/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { drawnRule } from '../drawn-rule.ts'

/** A hole through the floor drains what stands over it: only a box may stand there. */
export const holeOutsideBox = drawnRule({
  code: 'hole-outside-box',
  station: 'overflow',
  severities: ['stop'],
  holds: 'A hole through the tank’s floor stands outside the overflow’s box.',
  condition: (tank: DisplayTank) => {
    if (!tank.overflow) return []
    const { holes, box, form } = tank.overflow
    return flatMap(holes, (hole, at) => {
      if (hole.panel !== 'floor') return []
      const place = { xM: tank.xM + hole.alongM, yM: tank.yM + hole.upM }
      const isInside = form === 'inner-box' || form === 'inner-and-outer'
      const within = isInside && box !== null && isInPlan(box, place)
      return within ? [] : [{ at, alongM: hole.alongM, backM: hole.upM }]
    })
  },
  title: ({ words }: OverflowCase) =>
    sentence('{where}A hole through the floor stands outside the box', { where: words }),
  reason: (_, { alongM, backM }) =>
    sentence(
      'It is {along} from the left and {back} from the front: all the tank’s water stands over it, with nothing but a bulkhead’s gasket to hold it. Move it under the box.',
      { along: ['length', alongM], back: ['length', backM] },
    ),
})
