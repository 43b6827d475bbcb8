import type { UnitFamily } from '@yew-basin/core'

/** What pdfmake lays out; its own types are not published with it. */
export type PdfNode = Readonly<Record<string, unknown>>

export const SOFT = '#4a554f'
/** Between the margins of A4 and of letter, pt. */
export const WIDE: Readonly<Record<UnitFamily, number>> = { metric: 523, us: 540 }
export const HIGH: Readonly<Record<UnitFamily, number>> = { metric: 770, us: 720 }
export const MARGIN = 36

/** A part of the sheet begins on a page of its own. */
export const heading = (text: string): PdfNode => ({
  text,
  fontSize: 18,
  bold: true,
  margin: [0, 0, 0, 6],
  pageBreak: 'before',
})

export const smallHeading = (text: string): PdfNode => ({
  text,
  fontSize: 12,
  bold: true,
  margin: [0, 10, 0, 3],
})

export const caption = (text: string): PdfNode => ({
  text,
  fontSize: 8.5,
  color: SOFT,
  margin: [0, 3, 0, 3],
})

/** A box to tick. */
export const box = (): PdfNode => ({
  canvas: [{ type: 'rect', x: 0, y: 2, w: 10, h: 10, lineWidth: 0.9 }],
})

/** Rows with a head that comes again on each page. */
export const table = (
  widths: readonly (number | string)[],
  head: readonly string[],
  rows: readonly (readonly unknown[])[],
): PdfNode => ({
  table: {
    widths,
    headerRows: 1,
    dontBreakRows: true,
    body: [head.map((text) => ({ text, color: SOFT, fontSize: 8.5 })), ...rows],
  },
  layout: 'lightHorizontalLines',
})

/** A drawing no larger than it was drawn, and no larger than the paper. */
export const drawing = (svg: string, wide: number, high: number): PdfNode => ({
  svg,
  fit: [wide, high],
  alignment: 'center',
  margin: [0, 4, 0, 4],
})
