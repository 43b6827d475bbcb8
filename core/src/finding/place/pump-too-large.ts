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
  reason: ({ pump: { part } }, { lengthM, widthM, heightM }) =>
    sentence(
      'It is {length} by {width} and {height} high. With a finger’s room round it there are {across} along the sump, {deep} from front to back, and {up} to its rim.',
      {
        length: ['length', part.size!.lengthM],
        width: ['length', part.size!.widthM],
        height: ['length', part.size!.heightM],
        across: ['length', lengthM],
        deep: ['length', widthM],
        up: ['length', heightM],
      },
    ),
  where: ({ pump }) => ({ chamberId: pump.placed.chamberId }),
})
