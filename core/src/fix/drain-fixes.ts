import { setTo } from '../design/index.ts'
import { drainSize } from '../editing/index.ts'
import {
  type DrainCase,
  drainCases,
  emergencyWet,
  siphonCannotMatch,
  siphonNearAir,
  siphonUntuned,
  ventedLoud,
} from '../finding/index.ts'
import { flatMap } from '../numeric/index.ts'
import { type PipeSize, sizeWords } from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import { layAnew, raisedLip, schoolsAnew, tunedValve } from './lever/way-down.ts'
import { brought } from './way-down-fixes.ts'

/** A siphon laid anew has this much to spare over its share, for its valve to take off (choice). */
const SPARE_SHARE = 1.15

/** What fixes a box's drains. */
export const DRAIN_FIXES: readonly FindingFixes[] = [
  fixesFor(siphonUntuned, tuned),
  fixesFor(siphonCannotMatch, (drainCase, match) => [
    ...laidIn(
      drainCase,
      drainSize(drainCase.drain.run.size.series, 'siphon', match.flowM3PerS * SPARE_SHARE),
      'Carries it full, with the valve to spare.',
    ),
    ...brought(drainCase.box, layAnew(drainCase)),
  ]),
  fixesFor(siphonNearAir, ({ index, drain }) => [
    {
      label: sentence('Turn the inlet of {drain} down with an elbow', { drain: drain.name }),
      brings: () => sentence('No vortex forms so soon under it.'),
      edits: [setTo(['drains', index, 'inlet', 'form'], 'turned-down')],
    },
  ]),
  fixesFor(emergencyWet, (drainCase) => [
    ...flatMap(drainCases(drainCase.box), tuned),
    ...brought(drainCase.box, [
      ...raisedLip(drainCase),
      ...flatMap(
        drainCases(drainCase.box).filter(({ drain }) => drain.role !== 'emergency'),
        layAnew,
      ),
      ...schoolsAnew(drainCase.box, drainCases(drainCase.box)),
    ]),
  ]),
  fixesFor(ventedLoud, (drainCase) =>
    laidIn(
      drainCase,
      drainSize(drainCase.drain.run.size.series, 'vented', drainCase.solved.flowM3PerS),
      'Leaves its core open at this flow.',
    ),
  ),
]

/** Sets the valve to what matches, and says where the box then stands. */
function tuned(drainCase: DrainCase): FindingCandidate[] {
  const { box, drain } = drainCase
  return tunedValve(drainCase).map(({ label, edits }) => ({
    label,
    edits,
    brings: ({ steady }) => {
      const boxM = steady.tankLevels[box.index]?.boxM ?? null
      return boxM === null
        ? sentence('Makes it match the flow.')
        : sentence('Holds {over} of water over its inlet.', {
            over: ['length', boxM - drain.inlet.place.zM],
          })
    },
  }))
}

/** The drain in another size; none where that is its own. */
function laidIn({ drain, index }: DrainCase, size: PipeSize, brings: string): FindingCandidate[] {
  if (size.size === drain.run.size.size) return []
  return [
    {
      label: sentence('Lay it in {size}', { size: sizeWords(size) }),
      brings: () => sentence(brings),
      edits: [setTo(['drains', index, 'run', 'size'], size)],
    },
  ]
}
