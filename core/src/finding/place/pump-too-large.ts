import { byId, pumpTooLarge } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { PumpCase } from '../case/pump-case.ts'
import { factIf, rule } from '../rule.ts'

/** A pump under water stands in its chamber, with a finger's room round it. */
export const pumpDoesNotFit = rule({
  code: 'pump-does-not-fit',
  station: 'return',
  severities: ['stop'],
  holds: 'A pump is larger than the chamber it stands in.',
  condition: ({ design, pump: { placed, part } }: PumpCase) =>
    factIf(pumpTooLarge(part, design.sump, placed.chamberId)),
  title: ({ design, pump: { placed, part } }) =>
    sentence('{pump} does not stand in {chamber}', {
      pump: part.name,
      chamber: byId(design.sump.chambers, placed.chamberId, 'chamber').name,
    }),
  reason: ({ pump: { part } }, { lengthM, widthM }) =>
    sentence(
      'It is {length} by {width}, and {across} by {deep} are there, less a finger’s room round it.',
      {
        length: ['length', part.size!.lengthM],
        width: ['length', part.size!.widthM],
        across: ['length', lengthM],
        deep: ['length', widthM],
      },
    ),
  where: ({ pump }) => ({ chamberId: pump.placed.chamberId }),
})
