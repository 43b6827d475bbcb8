import { sentence } from '../../quantity/index.ts'
import type { CutCase } from '../case/build-case.ts'
import { factIf, rule } from '../rule.ts'

/** A spare end that leaves no room for a saw and a coupling. */
export const spareStubTooShort = rule({
  code: 'spare-stub-too-short',
  station: 'own',
  severities: ['watch'],
  holds: 'The stub of a capped end is too short to be sawn and extended.',
  condition: ({ cut, route }: CutCase) => {
    const end = route.bodies.find(({ id }) => id === cut.between[1])
    return factIf(end?.kind === 'cap' && cut.verdict === 'cannot-be-used-again' && cut)
  },
  title: ({ route }) => sentence('{name}: Its stub is too short to extend', { name: route.name }),
  reason: (_, { cutM, leastM }) =>
    sentence(
      'Of {cut}, {least} stand in the two sockets: no saw and no coupling gets between them when the end is wanted.',
      { cut: ['length', cutM], least: ['length', leastM] },
    ),
  where: (_, { pieceIds, between }) => ({ pieceId: pieceIds[0] ?? between[1] }),
})
