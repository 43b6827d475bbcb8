import { trunkOf } from '../../loop/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { rule } from '../rule.ts'

/** A pipe that another runs into takes both with it when it is blocked. */
export const joinedDrains = rule({
  code: 'joined-drains',
  station: 'drains',
  severities: ['stop', 'watch'],
  holds: 'One drain runs into another, so that one blockage takes both.',
  condition: ({ drain, box }: DrainCase) => {
    if (drain.end.at !== 'tee') return []
    const both = box.solved.blocked.find(({ drainIds }) => drainIds.length > 1)
    const trunk = trunkOf(box.whole.design.drains, drain.end.id)!
    return [{ trunk, held: both?.carries ? 'pipes' : both?.sensorStops ? 'sensor' : null }]
  },
  severity: (_, { held }) => (held ? 'watch' : 'stop'),
  title: ({ drain }, { trunk }) =>
    sentence('{drain} joins {trunk} below the box', { drain: drain.name, trunk: trunk.name }),
  reason: (_, { held }) =>
    sentence(
      held === 'pipes'
        ? 'One blockage below the join takes both: they count as one pipe for safety. What is left still carries the flow here.'
        : held === 'sensor'
          ? 'One blockage below the join takes both, and what is left can’t carry the flow: only the level sensor that stops the pump is between this and the floor, and a sensor can fail.'
          : 'One blockage below the join takes both, and what is left can’t carry the flow.',
    ),
})
