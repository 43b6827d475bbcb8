import { byId, chamberAt, isInChamber } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { PumpCase } from '../case/pump-case.ts'
import { rule } from '../rule.ts'

/** A pump under water stands in the chamber it draws from. */
export const pumpOutsideChamber = rule({
  code: 'pump-outside-chamber',
  station: 'return',
  severities: ['watch'],
  holds: 'A pump under water stands outside the chamber that it draws from.',
  condition: ({ design, pump: { placed, part } }: PumpCase) => {
    const { sump } = design
    if (part.mounting !== 'under-water') return []
    if (isInChamber(sump, placed.chamberId, placed.outlet)) return []
    const chamber = byId(sump.chambers, placed.chamberId, 'chamber')
    return [{ chamber, standsIn: sump.chambers[chamberAt(sump, placed.outlet)] ?? null }]
  },
  title: (_, { chamber }) =>
    sentence('The pump stands outside {chamber}', { chamber: chamber.name }),
  reason: (_, { chamber, standsIn }) =>
    sentence(
      standsIn
        ? 'It is said to draw from {chamber}, and stands in {other}. Move it, or say that it draws from there.'
        : 'It is said to draw from {chamber}, and stands beside the sump. Move it into the chamber.',
      { chamber: chamber.name, other: standsIn?.name ?? '' },
    ),
  where: (_, { chamber }) => ({ chamberId: chamber.id }),
})
