import { endWords } from '../../build-sheet/index.ts'
import { sizeWords } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { JointCase } from '../case/build-case.ts'
import { factIf, rule } from '../rule.ts'

/** Two halves that no one part joins. */
export const noSingleAdapter = rule({
  code: 'no-single-adapter',
  station: 'own',
  severities: ['stop'],
  holds: 'Two halves of a joint differ so that no single adapter joins them.',
  condition: ({ joint, route }: JointCase) => {
    if (joint.isWhole) return []
    const body = route.bodies.find(({ id }) => id === joint.bodyId)!
    const segment = route.segments.find(({ id }) => id === joint.segmentId)!
    return factIf({ body, segment, end: joint.side === 'before' ? body.before : body.after })
  },
  title: ({ route }, { body }) =>
    sentence('{name}: No single adapter joins the {what}', {
      name: route.name,
      what: body.kind === 'pump' ? 'pump’s outlet' : body.kind.replaceAll('-', ' '),
    }),
  reason: (_, { end, segment }) =>
    sentence(
      'It ends in a {end} end, {endSize}; beside it stands {size}. That takes two parts or more.',
      {
        end: end.kind === 'barb' ? 'barbed' : end.kind,
        endSize: endWords(end),
        size: sizeWords(segment.size),
      },
    ),
  where: ({ joint }) => ({ pieceId: joint.pieceIds[0] ?? null }),
})
