import { isHose, sizeWords } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { JointCase } from '../case/build-case.ts'
import { factIf, rule } from '../rule.ts'

const sizeAt = ({ joint, route }: JointCase) =>
  route.segments.find(({ id }) => id === joint.segmentId)?.size ?? null

/** A hose that is only pushed on. */
export const hoseWithoutClamp = rule({
  code: 'hose-without-clamp',
  station: 'own',
  severities: ['stop'],
  holds: 'A hose is pushed on without a clamp.',
  condition: (of: JointCase) => {
    const size = sizeAt(of)
    return factIf(of.joint.kind === 'push-fit' && size && isHose(size.series) && size)
  },
  title: ({ route }) => sentence('{name}: A hose is held by nothing', { name: route.name }),
  reason: (_, size) =>
    sentence(
      'Hose of {size} slips off when it warms or is leant on: it wants a barb and a clamp.',
      {
        size: sizeWords(size),
      },
    ),
  where: ({ joint }) => ({ pieceId: joint.pieceIds[0] ?? null }),
})

/** A hose over a barb that is larger than it. */
export const hoseStretched = rule({
  code: 'hose-stretched',
  station: 'own',
  severities: ['watch'],
  holds: 'A hose is pulled over a barb larger than its bore.',
  condition: (of: JointCase) => factIf(of.joint.isStretched && sizeAt(of)),
  title: ({ route }) =>
    sentence('{name}: A hose is pulled over a larger barb', { name: route.name }),
  reason: (_, size) =>
    sentence(
      'Hose of {size} goes over it after a minute in hot water, and holds with a clamp; it hardens there, so look at it twice a year.',
      { size: sizeWords(size) },
    ),
  where: ({ joint }) => ({ pieceId: joint.pieceIds[0] ?? null }),
})
