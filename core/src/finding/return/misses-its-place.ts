import { stretchEdits } from '../../editing/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Point } from '../../run/index.ts'
import type { LineAsDrawn } from '../case/line-as-drawn.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { drawnRule } from '../drawn-rule.ts'
import { REACHED_M } from '../limits.ts'
import { factIf } from '../rule.ts'

/** The place a line must reach: its bulkhead, or the tee it joins; null: wherever it leads. */
function wantedPlace({ line: { end }, tees }: LineAsDrawn): Point | null {
  if (end.at === 'tee' && end.id !== null) return tees.get(end.id)?.place ?? null
  return end.place
}

/** How far a line ends from where it must; null: it has reached it. */
export function missedPlace(
  line: LineAsDrawn,
): { readonly wanted: Point; readonly offM: number } | null {
  const wanted = wantedPlace(line)
  if (!wanted) return null
  const { mouth } = line
  const offM = Math.hypot(wanted.xM - mouth.xM, wanted.yM - mouth.yM, wanted.zM - mouth.zM)
  return offM <= REACHED_M ? null : { wanted, offM }
}

export const missesItsPlace = drawnRule({
  code: 'misses-its-place',
  station: 'return',
  severities: ['stop'],
  holds: 'A line ends away from the bulkhead or the tee that it must reach.',
  condition: (line: LineAsDrawn) => factIf(missedPlace(line)),
  title: (line: LineCase, { offM }) => {
    const where = line.laid.line.end.at === 'tee' ? 'the tee it joins' : 'its bulkhead'
    return sentence('{where}It ends {off} from {of}', {
      where: lineWords(line),
      of: where,
      off: ['length', offM],
    })
  },
  reason: ({ laid }, { wanted }) =>
    sentence(
      stretchEdits(laid, wanted)
        ? 'It is off by {x} to the right, {y} to the back and {z} upwards (minus: the other way).'
        : 'It is off by {x} to the right, {y} to the back and {z} upwards (minus: the other way), and has no pipe along one of these to stretch.',
      {
        x: ['length', wanted.xM - laid.mouth.xM],
        y: ['length', wanted.yM - laid.mouth.yM],
        z: ['length', wanted.zM - laid.mouth.zM],
      },
    ),
  where: ({ laid }) => ({ pieceId: laid.line.run.pieces.at(-1)?.id ?? null }),
})
