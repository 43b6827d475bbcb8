import { byId, chamberAt, isInChamber } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { rule } from '../rule.ts'
import { missedPlace } from '../return/misses-its-place.ts'

const HOLDS = 'A run that should end in a chamber ends beside it.'
const OUTSIDE = 'What leaves it reaches the floor. Bring it over {chamber}.'
const BESIDE =
  'It comes down in another chamber than the figures count with. Bring it over {chamber}.'

/** A line back to the sump that comes down somewhere else. */
export const lineOutsideChamber = rule({
  code: 'end-outside-chamber',
  station: 'return',
  severities: ['stop', 'watch'],
  holds: HOLDS,
  condition: (line: LineCase) => {
    const { laid, design } = line
    const { end } = laid.line
    if (end.at !== 'chamber' || end.id === null || missedPlace(line)) return []
    if (isInChamber(design.sump, end.id, laid.mouth)) return []
    const chamber = byId(design.sump.chambers, end.id, 'chamber')
    return [{ chamber, outside: chamberAt(design.sump, laid.mouth) < 0 }]
  },
  severity: (_, { outside }) => (outside ? 'stop' : 'watch'),
  title: (line, { chamber, outside }) =>
    sentence(outside ? '{where}It ends outside the sump' : '{where}It ends beside {chamber}', {
      where: lineWords(line),
      chamber: chamber.name,
    }),
  reason: (_, { chamber, outside }) =>
    sentence(outside ? OUTSIDE : BESIDE, { chamber: chamber.name }),
  where: (_, { chamber }) => ({ chamberId: chamber.id }),
})

/** A drain that comes down somewhere else. */
export const drainOutsideChamber = rule({
  code: 'end-outside-chamber',
  station: 'drains',
  severities: ['stop', 'watch'],
  holds: HOLDS,
  condition: ({ box, drain, index }: DrainCase) => {
    const { design, steady } = box.whole
    const laid = steady.drains[index]!
    if (drain.end.at !== 'chamber' || isInChamber(design.sump, drain.end.id, laid.mouth)) return []
    const chamber = byId(design.sump.chambers, drain.end.id, 'chamber')
    return [{ chamber, outside: chamberAt(design.sump, laid.mouth) < 0 }]
  },
  severity: (_, { outside }) => (outside ? 'stop' : 'watch'),
  title: ({ drain }, { chamber, outside }) =>
    sentence(outside ? '{drain} ends outside the sump' : '{drain} ends beside {chamber}', {
      drain: drain.name,
      chamber: chamber.name,
    }),
  reason: (_, { chamber, outside }) =>
    sentence(outside ? OUTSIDE : BESIDE, { chamber: chamber.name }),
  where: (_, { chamber }) => ({ chamberId: chamber.id }),
})
