import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import { rule } from '../rule.ts'

/** The lamp is drawn out along its own length. */
export const lampCannotBeDrawn = rule({
  code: 'lamp-cannot-be-drawn',
  station: 'own',
  severities: ['watch'],
  holds: 'The cabinet leaves no room to draw a lamp where it hangs.',
  condition: ({ solved, spec }: SterilizerCase) => {
    const { pullOutM: freeM = null, pullsThroughDoor = false } = solved.clearance ?? {}
    return freeM === null || pullsThroughDoor || freeM >= spec.pullOutM ? [] : [freeM]
  },
  title: ({ device }) =>
    sentence('The lamp of {device} can’t be drawn where it hangs', { device: device.name }),
  reason: ({ spec }, freeM) =>
    sentence(
      'It wants {wants} beyond one end and has {free} to the cabinet’s wall. Turn it to a door, or loosen its unions and take it out whole for a new lamp.',
      { wants: ['length', spec.pullOutM], free: ['length', Math.max(0, freeM)] },
    ),
})
