import type { BlockedRow } from '../../judge/index.ts'
import { sentence, type Sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { rule } from '../rule.ts'

/** The single pipes without which the water comes over the rim. */
function failing({ solved }: OverflowCase): BlockedRow[] {
  return solved.blocked.filter(({ drainIds, carries }) => drainIds.length === 1 && !carries)
}

/** What one blocked pipe does: the line a keeper asks for first. */
export const emergencyCannotCarry = rule({
  code: 'emergency-cannot-carry',
  station: 'drains',
  severities: ['stop', 'watch'],
  holds: 'With one pipe blocked, the others do not carry the flow.',
  condition: (box: OverflowCase) => {
    const rows = failing(box)
    const sensor = rows.every(({ sensorStops }) => sensorStops)
    return rows.length === 0 ? [] : [{ rows, sensor }]
  },
  severity: (_, { sensor }) => (sensor ? 'watch' : 'stop'),
  title: ({ words }, { rows }) => {
    const who = rows.length === 1 ? `With ${rows[0]!.name}` : `With any of ${rows.length} pipes`
    return sentence('{where}{who} blocked, the water comes over the rim', { where: words, who })
  },
  reason: (box, { sensor }) =>
    sensor
      ? sentence(
          'Only the level sensor that stops the pump is between this and the floor, and a sensor can fail. Give the box an emergency pipe that carries it all.',
        )
      : emergencyWords(box),
  where: (_, { rows }) => ({ drainId: rows[0]!.drainIds[0] ?? null }),
})

/** No box is deeper over a lip: a rise past it says nothing, m (choice). */
const DEEPEST_M = 1

function emergencyWords({ whole, tank, solved }: OverflowCase): Sentence {
  const at = whole.design.drains.findIndex(
    ({ tankId, role }) => tankId === tank.id && role === 'emergency',
  )
  const emergency = whole.drains[at]?.emergency
  if (!emergency) {
    return sentence(
      'There is no pipe left that takes {flow}. Add an emergency pipe: an open one, a little above the running water, that carries it all.',
      { flow: ['flow', solved.flowM3PerS] },
    )
  }
  if (emergency.riseNeededM !== null && emergency.riseNeededM > DEEPEST_M) {
    return sentence(
      'It is far too narrow: no water in a box stands so high over its lip that it takes {flow}. Lay it wider.',
      { flow: ['flow', solved.flowM3PerS] },
    )
  }
  return emergency.riseNeededM !== null
    ? sentence(
        'To take it all, water must rise {rise} over the emergency’s lip, and the rim is {left} over it. Set the lip lower, or lay it wider.',
        { rise: ['length', emergency.riseNeededM], left: ['length', emergency.inletToRimM] },
      )
    : sentence('The emergency pipe is shut.')
}
