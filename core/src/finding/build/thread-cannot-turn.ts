import { threadsHeldOnBothSides } from '../../build-sheet/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { JointCase } from '../case/build-case.ts'
import { factIf, rule } from '../rule.ts'

/** A thread that would be fixed on one side before it is tight. */
export const threadCannotTurn = rule({
  code: 'thread-cannot-turn',
  station: 'own',
  severities: ['stop'],
  holds:
    'A thread has what can’t be turned on both sides (bulkheads in their panels, clips), so it is fixed before it can be made tight.',
  condition: ({ design, joint }: JointCase) =>
    factIf(joint.kind === 'threaded' && threadsHeldOnBothSides(design).has(joint.id) && joint),
  title: ({ route }) =>
    sentence('{run}: A thread would be fixed before it is tight', { run: route.name }),
  reason: () =>
    sentence(
      'On both sides of it something is held where it is, and only threads are between: turning one tight turns another loose.',
    ),
  where: (_, { pieceIds }) => ({ pieceId: pieceIds[0] ?? null }),
})
