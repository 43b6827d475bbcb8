import { sentence } from '../../quantity/index.ts'
import type { JointCase } from '../case/build-case.ts'
import { factIf, rule } from '../rule.ts'

/** A nozzle that is only pushed on, where a pump at full speed pushes it off. */
export const pushFitUnderPressure = rule({
  code: 'push-fit-under-pressure',
  station: 'own',
  severities: ['watch'],
  holds: 'A nozzle of a return line is only pushed on.',
  condition: ({ joint, route }: JointCase) => {
    const body = route.bodies.find(({ id }) => id === joint.bodyId)
    return factIf(
      joint.kind === 'push-fit' && route.of === 'line' && body?.kind === 'nozzle' && body,
    )
  },
  title: ({ route }) => sentence('{name}: Its nozzle is only pushed on', { name: route.name }),
  reason: () =>
    sentence(
      'At full speed the water pushes it off, and the stream then stands free over the tank: glue it, or screw it.',
    ),
  where: (_, { pieceId }) => ({ pieceId }),
})
