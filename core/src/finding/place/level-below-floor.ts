import { sentence } from '../../quantity/index.ts'
import type { ChamberCase } from '../case/chamber-case.ts'
import { rule } from '../rule.ts'

/** A level that is given lower than the sump's floor is no level of water. */
export const levelBelowFloor = rule({
  code: 'level-below-floor',
  station: 'sump',
  severities: ['stop'],
  holds: 'A chamber’s level is given below the sump’s floor.',
  condition: ({ solved: { depthM }, outWall }: ChamberCase) =>
    outWall < 0 && depthM !== null && depthM <= 0 ? [-depthM] : [],
  title: ({ chamber }) => sentence('{chamber} has no water', { chamber: chamber.name }),
  reason: ({ box }, belowM) =>
    sentence(
      'Its level is given {below} under the sump’s floor. Fill it to somewhere between the floor and its rim, {height} over it.',
      { below: ['length', belowM], height: ['length', box.heightM] },
    ),
})
