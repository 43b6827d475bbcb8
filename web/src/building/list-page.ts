import { building } from '@yew-basin/core'
import type { useUnits } from '../shell/units.ts'
import type { CsvLine } from './list-csv.ts'
import { box, caption, heading, type PdfNode, SOFT, smallHeading } from '../summary/paper.ts'
import { sheetPage } from './printed/sheet-page.ts'
import { countWords, GROUP_WORDS, askedSize } from './list-words.ts'

/** A list to print, with boxes to tick; black on white. */
export const listPage = (
  name: string,
  lines: readonly CsvLine[],
  units: ReturnType<typeof useUnits>,
): PdfNode =>
  sheetPage(
    `${name}, to buy`,
    [[heading(`${name}: to buy`), ...listNodes(lines, units)]],
    units.family,
  )

/** The list by the parts of a shop, with boxes to tick. */
export function listNodes(lines: readonly CsvLine[], units: ReturnType<typeof useUnits>) {
  const groups = building.SHOP_GROUPS.map((group) => ({
    group,
    own: lines.filter(({ line, toBuy }) => line.group === group && toBuy > 0),
  })).filter(({ own }) => own.length > 0)
  return [
    ...groups.flatMap(({ group, own }) => [
      smallHeading(GROUP_WORDS[group]),
      {
        table: {
          widths: [12, '*', 110, 80],
          dontBreakRows: true,
          body: own.map(({ line, toBuy }) => rowOf(line, toBuy, units)),
        },
        layout: 'lightHorizontalLines',
      },
    ]),
    caption(
      'Estimates: hold a fitting against the drawing before you glue. Cement and primer: air, gloves, no flame.',
    ),
  ]
}

function rowOf(line: building.ListLine, toBuy: number, units: ReturnType<typeof useUnits>) {
  const spare = line.spare > 0 ? `, ${line.spare} of them spare` : ''
  return [
    box(),
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
