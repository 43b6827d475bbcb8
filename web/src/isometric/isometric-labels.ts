import type { building } from '@yew-basin/core'
import { type PxBox, sharedWith } from '../section/px-box.ts'

/** Words beside a bar or a sign of an isometric. */
export interface PlacedLabel {
  readonly key: string
  readonly lines: readonly string[]
  /** Of the middle of its first line's foot. */
  readonly x: number
  readonly y: number
  /** From its nearest edge to what it is about, where it had to stand off. */
  readonly leader: { readonly from: building.PaperSpot; readonly to: building.PaperSpot } | null
}

/** Words and what they are about. */
export interface LabelOf {
  readonly key: string
  readonly lines: readonly string[]
  /** Places that they may stand beside, the best first. */
  readonly beside: readonly building.PaperSpot[]
  /** Across the bar; of a sign any direction. */
  readonly across: building.PaperSpot
}

/** Height of a line of words, and width of one letter, units. */
export const LINE_HIGH = 14
const LETTER_WIDE = 6.9
/** How far off what it is about a label stands, units; from the third on a line leads back. */
const OFFS = [12, 20, 30, 46, 64, 90, 130, 180]
/** Words over words are so much worse than words over a bar. */
const OTHER_WORDS = 20
const LEADER_FROM = 30
/** A bar counts as boxes of this many units along it. */
const STEP = 8
const BAR_HALF = 5
const SIGN_HALF = 13

/** Where each label stands so that it covers no bar, sign or other label if there is any such place. */
export function placeLabels(
  labels: readonly LabelOf[],
  drawing: Pick<building.Isometric, 'bars' | 'signs'>,
): PlacedLabel[] {
  const taken: PxBox[] = [...drawing.bars.flatMap(boxesAlong), ...drawing.signs.flatMap(boxOfSign)]
  const written: PxBox[] = []
  return labels.map(({ key, lines, beside, across }) => {
    let best: { box: PxBox; spot: building.PaperSpot; off: number } | null = null
    let least = Infinity
    for (const off of OFFS) {
      for (const spot of beside)
        for (const { x, y } of sides(across)) {
          const box = boxAt(lines, spot, { x: x * off, y: y * off })
          const covers = sharedWith(box, taken) + OTHER_WORDS * sharedWith(box, written)
          if (covers < least) {
            least = covers
            best = { box, spot, off }
          }
        }
      if (least === 0) break
    }
    const { box, spot, off } = best!
    written.push(box)
    return {
      key,
      lines,
      x: (box.left + box.right) / 2,
      y: box.top + LINE_HIGH - 3,
      leader: off >= LEADER_FROM ? { from: nearestOf(box, spot), to: spot } : null,
    }
  })
}

const nearestOf = (box: PxBox, { x, y }: building.PaperSpot): building.PaperSpot => ({
  x: Math.min(box.right, Math.max(box.left, x)),
  y: Math.min(box.bottom, Math.max(box.top, y)),
})

/** Both sides of a bar; straight up, down and aside as well. */
function sides({ x, y }: building.PaperSpot): building.PaperSpot[] {
  return [
    { x, y },
    { x: -x, y: -y },
    { x: 0, y: -1 },
    { x: 0, y: 1 },
    { x: 1, y: 0 },
    { x: -1, y: 0 },
  ]
}

/** Words so far off a spot that their nearest edge is there. */
function boxAt(lines: readonly string[], spot: building.PaperSpot, off: building.PaperSpot): PxBox {
  const wide = Math.max(...lines.map(({ length }) => length)) * LETTER_WIDE
  const high = lines.length * LINE_HIGH
  const long = Math.hypot(off.x, off.y) || 1
  const x = spot.x + off.x + (off.x / long) * (wide / 2)
  const y = spot.y + off.y + (off.y / long) * (high / 2)
  return { left: x - wide / 2, right: x + wide / 2, top: y - high / 2, bottom: y + high / 2 }
}

function boxesAlong({ from, to }: building.IsometricBar): PxBox[] {
  const n = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / STEP))
  return Array.from({ length: n + 1 }, (_, i) =>
    round(
      { x: from.x + (i / n) * (to.x - from.x), y: from.y + (i / n) * (to.y - from.y) },
      BAR_HALF,
    ),
  )
}

const SMALL: ReadonlySet<building.IsometricSign['kind']> = new Set(['leg', 'elbow-90', 'elbow-45'])

const boxOfSign = ({ at, kind }: building.IsometricSign): PxBox[] =>
  SMALL.has(kind) ? [] : [round(at, SIGN_HALF)]

const round = ({ x, y }: building.PaperSpot, half: number): PxBox => ({
  left: x - half,
  right: x + half,
  top: y - half,
  bottom: y + half,
})

/** Where along a bar its words may stand. */
const ALONG = [0.5, 0.38, 0.62, 0.25, 0.75]

/** A bar's words: beside its middle, else farther along it. */
export function barLabel(bar: building.IsometricBar, lines: readonly string[]): LabelOf {
  const { from, to } = bar
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const long = Math.hypot(dx, dy) || 1
  return {
    key: bar.id,
    lines,
    beside: ALONG.map((share) => ({ x: from.x + share * dx, y: from.y + share * dy })),
    across: { x: -dy / long, y: dx / long },
  }
}

/** A sign's words. */
export const signLabel = (
  { id, at }: building.IsometricSign,
  lines: readonly string[],
): LabelOf => ({ key: id, lines, beside: [at], across: { x: 0.8, y: -0.6 } })
