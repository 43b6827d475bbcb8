import type { UnitFamily } from '@yew-basin/core'
import { MARGIN, type PdfNode, SOFT } from '../../summary/paper.ts'

/** Parts as one document, "Lantern, build sheet"; each page says at its foot which it is. */
export const sheetPage = (
  title: string,
  parts: readonly (readonly PdfNode[])[],
  family: UnitFamily,
): PdfNode => ({
  pageSize: family === 'us' ? 'LETTER' : 'A4',
  pageMargins: MARGIN,
  info: { title },
  defaultStyle: { font: 'Roboto', fontSize: 10, lineHeight: 1.15 },
  footer: (now: number, of: number) => ({
    text: `${title}: ${now} of ${of}`,
    alignment: 'center',
    fontSize: 8,
    color: SOFT,
    margin: [0, 16, 0, 0],
  }),
  content: firstWithoutBreak(parts.flat()),
})

/** A heading begins a page; the first is on one already. */
function firstWithoutBreak(content: readonly PdfNode[]): PdfNode[] {
  const [first, ...rest] = content
  if (!first) return []
  const { pageBreak: _, ...own } = first
  return [own, ...rest]
}
