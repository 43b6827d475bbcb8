import { building } from '@yew-basin/core'
import type { useUnits } from '../shell/units.ts'
import type { PdfPage } from '../summary/summary-page.ts'
import type { CsvLine } from './list-csv.ts'
import { countWords, GROUP_WORDS, askedSize } from './list-words.ts'

const MARGIN = 36
const SOFT = '#5b6862'

/** A list to print, with boxes to tick; black on white. */
export function listPage(
  name: string,
  lines: readonly CsvLine[],
  units: ReturnType<typeof useUnits>,
): PdfPage {
  return {
    pageSize: units.family === 'us' ? 'LETTER' : 'A4',
    pageMargins: MARGIN,
    info: { title: `${name}, to buy` },
    defaultStyle: { font: 'Roboto', fontSize: 10, lineHeight: 1.15 },
    footer: (now: number, of: number) => ({
      text: `${name}, to buy: ${now} of ${of}`,
      alignment: 'center',
      fontSize: 8,
      color: SOFT,
    }),
    content: [
      { text: `${name}: to buy`, fontSize: 18, bold: true, margin: [0, 0, 0, 6] },
      ...listNodes(lines, units),
    ],
  }
}

/** The list by the parts of a shop, with boxes to tick. */
export function listNodes(lines: readonly CsvLine[], units: ReturnType<typeof useUnits>) {
  const groups = building.SHOP_GROUPS.map((group) => ({
    group,
    own: lines.filter(({ line, toBuy }) => line.group === group && toBuy > 0),
  })).filter(({ own }) => own.length > 0)
  return [
    ...groups.flatMap(({ group, own }) => [
      { text: GROUP_WORDS[group], bold: true, fontSize: 12, margin: [0, 8, 0, 2] },
      {
        table: {
          widths: [12, '*', 110, 80],
          dontBreakRows: true,
          body: own.map(({ line, toBuy }) => rowOf(line, toBuy, units)),
        },
        layout: 'lightHorizontalLines',
      },
    ]),
    {
      text: 'Estimates: hold a fitting against the drawing before you glue. Cement and primer: air, gloves, no flame.',
      fontSize: 8,
      color: SOFT,
      margin: [0, 10, 0, 0],
    },
  ]
}

function rowOf(line: building.ListLine, toBuy: number, units: ReturnType<typeof useUnits>) {
  const spare = line.spare > 0 ? `, ${line.spare} of them spare` : ''
  return [
    { canvas: [{ type: 'rect', x: 0, y: 2, w: 9, h: 9, lineWidth: 0.8 }] },
    {
      text: [
        { text: line.name, bold: true },
        { text: `  ${line.uses.slice(0, 4).join(', ')}`, color: SOFT, fontSize: 8 },
        line.note ? { text: `\n${line.note}`, fontSize: 8 } : '',
      ],
    },
    { text: askedSize(line, units) },
    { text: `${countWords(line, toBuy, units)}${spare}`, alignment: 'right' },
  ]
}
