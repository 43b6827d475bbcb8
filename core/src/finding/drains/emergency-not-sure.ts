import type { EmergencyFault } from '../../drain/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { rule } from '../rule.ts'

/** What makes an emergency pipe one that can't be relied on. */
type Unsure = EmergencyFault | 'valve'

function unsure({ solved: { emergency } }: DrainCase): Unsure[] {
  if (!emergency) return []
  return emergency.opening < 1 ? ['valve', ...emergency.faults] : [...emergency.faults]
}

/** An emergency that is held back by its own making, each cause a stop of its own. */
export const emergencyNotSure = rule({
  code: 'emergency-not-sure',
  station: 'drains',
  severities: ['stop'],
  holds: 'A valve, a stretch that rises or a deep end keeps an emergency from its work.',
  condition: unsure,
  title: ({ drain }, cause) =>
    sentence(
      cause === 'valve'
        ? 'A valve in {drain} is not full open'
        : cause === 'stretch-rises'
          ? 'A stretch of {drain} rises'
          : '{drain} ends too deep under water',
      { drain: drain.name },
    ),
  reason: ({ solved }, cause) =>
    cause === 'valve'
      ? sentence(
          'An emergency has nothing in it that somebody could shut. Open it and take its handle off, or leave the valve out.',
        )
      : cause === 'stretch-rises'
        ? sentence(
            'Water stands in the dip and keeps the air in: such a pipe never runs full. Let it fall all the way.',
          )
        : sentence(
            'Its end is {under} under water, more than 1.5 bores: the air in it can’t get out, so it never runs full. End it in air, or just under the water.',
            { under: ['length', solved.emergency!.endUnderM] },
          ),
  where: ({ drain }, cause) =>
    cause === 'valve'
      ? {
          pieceId:
            drain.run.pieces.find((piece) => piece.kind === 'valve' && piece.opening < 1)?.id ??
            null,
        }
      : {},
})
