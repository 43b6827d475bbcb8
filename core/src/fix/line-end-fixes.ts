import { surfaceM } from '../design/index.ts'
import { stretchEdits } from '../editing/index.ts'
import {
  checkValveOnlyGuard,
  type LineCase,
  lineCases,
  missesItsPlace,
  mouthOutsideTank,
  mouthUnderWater,
  ofLine,
  type Whole,
} from '../finding/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import type { Point } from '../run/index.ts'
import { breakHoleIn, breakHoleWords } from './break-hole.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import { givingFlow } from './flow/wish.ts'
import type { Change } from './lever/change.ts'

/** How far inside a panel a moved mouth comes to stand, m (choice). */
const INSIDE_M = 0.04
/** How far above the water a raised mouth ends, m (choice). */
const ABOVE_M = 0.03

/** What brings a line's end where it should be, and keeps its tank from running back. */
export const LINE_END_FIXES: readonly FindingFixes[] = [
  fixesFor(missesItsPlace, (line, { wanted }) =>
    stretchFix(line, wanted, sentence('Stretch it to meet')),
  ),
  fixesFor(mouthOutsideTank, (line, tank) => {
    const { mouth } = line.laid
    const wanted: Point = {
      xM: inside(mouth.xM, tank.xM, tank.lengthM),
      yM: inside(mouth.yM, tank.yM, tank.widthM),
      zM: mouth.zM < tank.floorHeightM ? surfaceM(tank) + ABOVE_M : mouth.zM,
    }
    return stretchFix(line, wanted, sentence('Stretch the run to the tank'))
  }),
  fixesFor(mouthUnderWater, (line, { surfaceM: surface, holeM }) =>
    holeM === null
      ? [
          ...stretchFix(
            line,
            { ...line.laid.mouth, zM: surface + ABOVE_M },
            sentence('Raise the end to {above} over the water', { above: ['length', ABOVE_M] }),
          ),
          breakHole(line),
        ]
      : [],
  ),
  fixesFor(checkValveOnlyGuard, (line) => [breakHole(line)]),
]

/** Every outlet under water raised over it. */
export function raisedEnds(whole: Whole): Change[] {
  return lineCases(whole).flatMap(raisedEnd)
}

/** One of them. */
export function raisedEnd(line: LineCase): FindingCandidate[] {
  const { laid, design } = line
  if (laid.line.end.at !== 'tank' || laid.end !== 'under-water') return []
  const tank = design.tanks.find(({ id }) => id === laid.line.end.id)!
  return stretchFix(
    line,
    { ...laid.mouth, zM: surfaceM(tank) + ABOVE_M },
    sentence('Raise the end of {line} to {above} over the water', {
      line: laid.line.name,
      above: ['length', ABOVE_M],
    }),
  )
}

function inside(at: number, from: number, size: number): number {
  if (at >= from && at <= from + size) return at
  const margin = Math.min(INSIDE_M, size / 2)
  return at < from ? from + margin : from + size - margin
}

/** The last pipe along each axis that is off, when all of them can be changed. */
export function stretchFix(line: LineCase, wanted: Point, label: Sentence): FindingCandidate[] {
  const edits = stretchEdits(line.laid, wanted)
  return edits ? [givingFlow(label, edits, ofLine(line))] : []
}

function breakHole({ laid }: LineCase): FindingCandidate {
  return {
    label: breakHoleWords(),
    brings: () =>
      sentence('The siphon breaks when the level has fallen to it, as long as it is clean.'),
    edits: [breakHoleIn(laid.index)],
  }
}
