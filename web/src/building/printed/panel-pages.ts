import type { UnitFamily } from '@yew-basin/core'
import { type TemplateSheet, templatePages } from '../template.ts'
import type { PrintedDrawing } from './isometric-pages.ts'
import { caption, drawing, heading, type PdfNode, smallHeading, WIDE } from '../../summary/paper.ts'

/** Panels to cut, drawn with their sizes. */
export const panelPages = (drawings: readonly PrintedDrawing[], family: UnitFamily): PdfNode[] => [
  heading('Panels'),
  ...drawings.flatMap(({ title, svg }) => [smallHeading(title), drawing(svg, WIDE[family], 220)]),
  caption('Silicone cures about 24 h for 3 mm; water after 72 h. The tube’s own label rules.'),
]

/** Points of a PDF in a millimetre. */
const POINTS = 72 / 25.4
const PAPER_MM: Readonly<Record<UnitFamily, number>> = { metric: 210, us: 215.9 }

/** Templates one to one, each on a paper of its own from edge to edge. */
export const holePages = (sheets: readonly TemplateSheet[], family: UnitFamily): PdfNode[] =>
  sheets
    .flatMap((sheet) => templatePages(sheet, family))
    .flatMap((svg) => [
      { text: ' ', fontSize: 1, pageBreak: 'before' },
      {
        svg: svg.replaceAll('font-family="sans-serif"', ''),
        width: PAPER_MM[family] * POINTS,
        absolutePosition: { x: 0, y: 0 },
      },
    ])
