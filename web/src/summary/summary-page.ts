import type { UnitFamily } from '@yew-basin/core'
import { MARGIN, type PdfNode, SOFT, WIDE } from './paper.ts'
import type { SummaryContent } from './summary-content.ts'

const INK = '#22302B'
const TONES = { stop: '#B8352F', watch: '#8a5a12', '': INK, fine: INK } as const
const SIGNS = { stop: 'Stop', watch: 'Watch', fine: '' } as const
/** What the drawing may take of the height of A4 and of letter, pt: letter is lower. */
const DRAWING_HIGH = { metric: 350, us: 300 } as const

const CAUTION =
  'Estimates with bands: measure before trusting. Mains near salt water wants a residual-current device and drip loops; local codes and licensed people decide. Test with fresh water before any animal.'

/** The page as pdfmake lays it: name, section as lines, key figures in two columns, findings. */
export function summaryPage(
  content: SummaryContent,
  how: { readonly drawing: string | null; readonly family: UnitFamily },
): PdfNode {
  return {
    pageSize: how.family === 'us' ? 'LETTER' : 'A4',
    pageMargins: MARGIN,
    info: { title: `${content.heading}, summary` },
    defaultStyle: { font: 'Roboto', fontSize: 9.5, color: INK, lineHeight: 1.15 },
    content: summaryNodes(content, how),
  }
}

/** What stands on the page. */
export function summaryNodes(
  content: SummaryContent,
  { drawing, family }: { readonly drawing: string | null; readonly family: UnitFamily },
): PdfNode[] {
  return [
    { text: content.heading, fontSize: 18, bold: true },
    { text: content.below, color: SOFT, margin: [0, 0, 0, 6] },
    ...(drawing === null
      ? []
      : [{ svg: drawing, fit: [WIDE[family], DRAWING_HIGH[family]], alignment: 'center' }]),
    { columns: halves(content.figures.map(figureRow)), columnGap: 18, margin: [0, 8, 0, 6] },
    { text: assumedWords(content), color: SOFT },
    { text: 'What stops, and what to watch', bold: true, margin: [0, 8, 0, 2] },
    ...(content.findings.length === 0 ? [{ text: 'Nothing.' }] : []),
    ...content.findings.map(({ severity, words }) => ({
      text: [{ text: `${SIGNS[severity]}  `, bold: true, color: TONES[severity] }, words],
    })),
    ...(content.more > 0 ? [{ text: `and ${content.more} more`, color: SOFT }] : []),
    { text: CAUTION, color: SOFT, fontSize: 8, margin: [0, 8, 0, 0] },
  ]
}

function assumedWords({ assumed, assumedAt }: SummaryContent): string {
  if (assumed === 0) return 'All that this rests on is given.'
  const count =
    assumed === 1 ? '1 figure that this rests on is' : `${assumed} figures that this rests on are`
  return `${count} assumed, not given: ${assumedAt.join(', ')}.`
}

const figureRow = ({ label, value, beside, state }: SummaryContent['figures'][number]) => [
  { text: label, color: SOFT },
  {
    text: [
      { text: value, bold: true, color: TONES[state as keyof typeof TONES] ?? INK },
      beside ? ` ${beside}` : '',
      state ? { text: `  ${state}`, color: TONES[state as keyof typeof TONES] } : '',
    ],
    alignment: 'right',
  },
]

/** Rows in two tables beside each other. */
function halves(rows: readonly (readonly object[])[]) {
  const half = Math.ceil(rows.length / 2)
  return [rows.slice(0, half), rows.slice(half)].map((body) => ({
    table: { widths: ['auto', '*'], body: body.length > 0 ? body : [['', '']] },
    layout: 'lightHorizontalLines',
  }))
}
