import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import type { DeviceAsDrawn } from '../case/device-as-drawn.ts'
import { drawnRule } from '../drawn-rule.ts'

/** The lamp is drawn out along its own length. */
export const lampCannotBeDrawn = drawnRule({
  code: 'lamp-cannot-be-drawn',
  station: 'own',
  severities: ['watch'],
  holds: 'The cabinet leaves no room to draw a lamp where it hangs.',
  condition: ({ device: { part }, clearance }: DeviceAsDrawn) => {
    const { pullOutM: freeM = null, pullsThroughDoor = false } = clearance ?? {}
    if (freeM === null || pullsThroughDoor || !part.sterilizer) return []
    return freeM >= part.sterilizer.pullOutM ? [] : [freeM]
  },
  title: ({ device }: SterilizerCase) =>
    sentence('The lamp of {device} can’t be drawn where it hangs', { device: device.name }),
  reason: ({ spec }, freeM) =>
    sentence(
      'It wants {wants} beyond one end and has {free} to the cabinet’s wall. Turn it to a door, or loosen its unions and take it out whole for a new lamp.',
      { wants: ['length', spec.pullOutM], free: ['length', Math.max(0, freeM)] },
    ),
})
