import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { rule } from '../rule.ts'

/** By V/√(gD) of the tube's water (hydraulics reference, §6). */
export const hungLosesPrime = rule({
  code: 'hung-loses-prime',
  station: 'overflow',
  severities: ['stop', 'watch'],
  holds: 'Water is too slow in a hung box’s tubes to sweep their air out.',
  condition: ({ solved, overflow }: OverflowCase) =>
    !overflow.passage || solved.prime === null || solved.prime === 'stays-primed'
      ? []
      : [{ doubtful: solved.prime === 'doubtful', passage: overflow.passage }],
  severity: (_, { doubtful }) => (doubtful ? 'stop' : 'watch'),
  title: ({ words }, { doubtful }) =>
    sentence(
      doubtful
        ? '{where}The siphon tube gathers air and lets go'
        : '{where}The siphon tube may gather air',
      { where: words },
    ),
  reason: ({ solved }) =>
    sentence(
      'Water sweeps the air out at V/√(gD) from 0.8; here it is {froude}. When the tube lets go, the pump fills the tank to the floor. No hung box is sure to start again by itself: count on a sensor, not on luck.',
      { froude: ['number', solved.froude ?? 0] },
    ),
})
