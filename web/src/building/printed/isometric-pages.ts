import type { UnitFamily } from '@yew-basin/core'
import type { Drawn } from './off-screen.ts'
import { caption, heading, HIGH, type PdfNode, smallHeading, WIDE } from '../../summary/paper.ts'

/** A drawing as it is printed, and what it is of. */
export interface PrintedDrawing extends Drawn {
  readonly title: string
}

/** Letters of 12.5 units are read at arm's length from this scale on, and are large enough at the other. */
const LEAST = 0.62
const MOST = 0.8
/** A title over it, pt; between two beside each other, pt. */
const TITLE = 30
/** What stands over the first, pt. */
const HEADING = 75
const GAP = 16

/** Runs and sub-assemblies as large as they can be read: two narrow ones beside each other, others by themselves. */
export function isometricPages(drawings: readonly PrintedDrawing[], family: UnitFamily): PdfNode[] {
  const wide = WIDE[family]
  const half = (wide - GAP) / 2
  const rows: PrintedDrawing[][] = []
  for (const own of drawings) {
    const last = rows.at(-1)
    const isNarrow = fits(own, half, family)
    if (isNarrow && last?.length === 1 && fits(last[0]!, half, family)) last.push(own)
    else rows.push([own])
  }
  return [
    heading('Isometrics'),
    caption(
      'In true order and to no scale: at each piece its mark and what is sawn, below it the length from centre to centre (c–c). Arrows lead with the water; what is broken passes behind. A dot is glued, three strokes are a thread, two a union, a box a clamp.',
    ),
    ...rows.map((row, i) => ({
      unbreakable: true,
      columnGap: GAP,
      columns: row.map((own) => ({
        width: row.length > 1 || fits(own, half, family) ? half : wide,
        stack: [
          smallHeading(own.title),
          sized(own, row.length > 1 ? half : wide, HIGH[family] - TITLE - (i === 0 ? HEADING : 0)),
        ],
      })),
    })),
  ]
}

/** Can it be read at this width? */
function fits({ width, height }: PrintedDrawing, wide: number, family: UnitFamily): boolean {
  return width * Math.min(MOST, (HIGH[family] - TITLE) / height) <= wide || width * LEAST <= wide
}

function sized({ svg, width, height }: PrintedDrawing, wide: number, high: number): PdfNode {
  const scale = Math.min(MOST, wide / width, high / height)
  return { svg, width: width * scale, height: height * scale, margin: [0, 4, 0, 4] }
}
