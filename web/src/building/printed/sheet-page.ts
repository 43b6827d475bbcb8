import type { UnitFamily } from '@yew-basin/core'
import type { PdfPage } from '../../summary/summary-page.ts'
import { MARGIN, type PdfNode, SOFT } from './paper.ts'

/** All chosen parts as one document; its first page has no number, templates have theirs at the foot. */
export const sheetPage = (
  name: string,
  parts: readonly (readonly PdfNode[])[],
  family: UnitFamily,
): PdfPage => ({
  pageSize: family === 'us' ? 'LETTER' : 'A4',
  pageMargins: MARGIN,
  info: { title: `${name}, build sheet` },
  defaultStyle: { font: 'Roboto', fontSize: 10, lineHeight: 1.15 },
  footer: (now: number, of: number) => ({
    text: `${name}, build sheet: ${now} of ${of}`,
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
