import { assemblyOrder, BODY_NAME, toolFor } from '../../build-sheet/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { JointCase } from '../case/build-case.ts'
import { factIf, rule } from '../rule.ts'

/** A joint that is made where it stands, with no room beside it for a hand or a wrench. */
export const jointOutOfReach = rule({
  code: 'joint-out-of-reach',
  station: 'own',
  severities: ['watch'],
  holds:
    'A union, a bulkhead’s nut or a hose’s clamp has less room beside it than a wrench (60 mm) or a hand (80 mm) wants, on every side.',
  condition: ({ design, route, joint }: JointCase) => {
    const body = route.bodies.find(({ id }) => id === joint.bodyId)
    return factIf(
      body !== undefined &&
        assemblyOrder(design).outOfReach.includes(joint.id) && { kind: joint.kind, body },
    )
  },
  title: ({ route }, { kind, body }) =>
    kind === 'barb'
      ? sentence('{run}: No hand gets to the clamp at the {what}', {
          run: route.name,
          what: BODY_NAME[body.kind],
        })
      : sentence('{run}: No wrench gets to the {what}', {
          run: route.name,
          what: BODY_NAME[body.kind],
        }),
  reason: (_, { kind }) => {
    const room = { room: ['length', toolFor({ kind }).clearanceM] } as const
    return kind === 'barb'
      ? sentence(
          'A hand wants {room} beside it, from one side at least, and other pipe or a panel is in the way. Sizes of fittings are typical: try it dry.',
          room,
        )
      : sentence(
          'A wrench wants {room} beside it, from one side at least, and other pipe or a panel is in the way. Sizes of fittings are typical: try it dry.',
          room,
        )
  },
  where: ({ joint }) => ({ pieceId: joint.pieceIds[0] ?? null }),
})
