import { byId, chamberAt, isInChamber } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import type { DrainAsDrawn } from '../case/drain-as-drawn.ts'
import type { LineAsDrawn } from '../case/line-as-drawn.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { drawnRule } from '../drawn-rule.ts'
import { missedPlace } from '../return/misses-its-place.ts'

const HOLDS = 'A run that should end in a chamber ends beside it.'
const OUTSIDE = 'What leaves it reaches the floor. Bring it over {chamber}.'
const BESIDE =
  'It comes down in another chamber than the figures count with. Bring it over {chamber}.'

/** A line back to the sump that comes down somewhere else. */
export const lineOutsideChamber = drawnRule({
  code: 'end-outside-chamber',
  station: 'return',
  severities: ['stop', 'watch'],
  holds: HOLDS,
  condition: (drawing: LineAsDrawn) => {
    const { line, sump, mouth } = drawing
    const { end } = line
    if (end.at !== 'chamber' || end.id === null || missedPlace(drawing)) return []
    if (isInChamber(sump, end.id, mouth)) return []
    const chamber = byId(sump.chambers, end.id, 'chamber')
    return [{ chamber, outside: chamberAt(sump, mouth) < 0 }]
  },
  severity: (_: LineCase, { outside }) => (outside ? 'stop' : 'watch'),
  title: (line: LineCase, { chamber, outside }) =>
    sentence(outside ? '{where}It ends outside the sump' : '{where}It ends beside {chamber}', {
      where: lineWords(line),
      chamber: chamber.name,
    }),
  reason: (_, { chamber, outside }) =>
    sentence(outside ? OUTSIDE : BESIDE, { chamber: chamber.name }),
  where: (_, { chamber }) => ({ chamberId: chamber.id }),
})

/** A drain that comes down somewhere else. */
export const drainOutsideChamber = drawnRule({
  code: 'end-outside-chamber',
  station: 'drains',
  severities: ['stop', 'watch'],
  holds: HOLDS,
  condition: ({ drain: { end }, mouth, sump }: DrainAsDrawn) => {
    if (end.at !== 'chamber' || isInChamber(sump, end.id, mouth)) return []
    const chamber = byId(sump.chambers, end.id, 'chamber')
    return [{ chamber, outside: chamberAt(sump, mouth) < 0 }]
  },
  severity: (_: DrainCase, { outside }) => (outside ? 'stop' : 'watch'),
  title: ({ drain }: DrainCase, { chamber, outside }) =>
    sentence(outside ? '{drain} ends outside the sump' : '{drain} ends beside {chamber}', {
      drain: drain.name,
      chamber: chamber.name,
    }),
  reason: (_, { chamber, outside }) =>
    sentence(outside ? OUTSIDE : BESIDE, { chamber: chamber.name }),
  where: (_, { chamber }) => ({ chamberId: chamber.id }),
})
