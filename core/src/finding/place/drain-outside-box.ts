import { isInPlan } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import type { DrainAsDrawn } from '../case/drain-as-drawn.ts'
import { drawnRule } from '../drawn-rule.ts'
import { holdsFor } from '../rule.ts'

/** A drain's inlet stands in its box, between its floor and its rim. */
export const drainOutsideBox = drawnRule({
  code: 'drain-outside-box',
  station: 'drains',
  severities: ['stop'],
  holds: 'A drain’s inlet stands outside its box.',
  condition: ({ drain, tank }: DrainAsDrawn) => {
    const box = tank.overflow?.box
    if (!box) return []
    const { place } = drain.inlet
    const overM = place.zM - tank.floorHeightM
    return holdsFor(!isInPlan(box, place) || overM < box.floorM - 1e-6 || overM > box.rimM + 1e-6)
  },
  title: ({ drain }: DrainCase) =>
    sentence('{drain} begins outside its box', { drain: drain.name }),
  reason: ({ box: { overflow } }) =>
    sentence(
      'Its inlet belongs between the box’s walls, its floor and its rim, {rim} over the tank’s floor.',
      { rim: ['length', overflow.box!.rimM] },
    ),
})
