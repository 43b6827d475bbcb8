import type { building } from '@yew-basin/core'
import type { useUnits } from '../../shell/units.ts'
import { leaksOf } from '../leak-words.ts'
import { box, caption, heading, type PdfNode, smallHeading } from '../../summary/paper.ts'

type Units = ReturnType<typeof useUnits>

/** What it weighs, what is plugged in, what fills it; and each joint to feel under fresh water, with a box. */
export function waterPages(sheet: building.BuildSheet, units: Units): PdfNode[] {
  const { beforeWater: before } = sheet
  const kg = units.text('mass', before.knownKg)
  const facts: [string, string][] = [
    [before.isWhole ? 'All of it weighs' : 'What is known of its weight', kg],
    [
      `On each of ${before.feet} feet`,
      `${before.isWhole ? '' : 'at least '}${units.text('mass', before.kgPerFoot)}`,
    ],
    [`${before.pluggedIn.length} sockets`, units.text('power', before.allW)],
    ['To fill', units.text('volume', before.fillM3)],
    ['Salt mix to buy', units.text('mass', before.salt.toBuyKg)],
  ]
  return [
    heading('Before water'),
    { table: { widths: ['*', 120], body: facts }, layout: 'lightHorizontalLines' },
    caption(
      'Whether a floor carries that is for somebody licensed to say. Cords hang in a loop lower than their sockets; sockets stand beside the water, behind a residual-current device.',
    ),
    smallHeading('Leak test, with fresh water'),
    ...sheet.routes.map((run) => leakNode(run, sheet)),
  ]
}

function leakNode(run: building.BuiltRun, sheet: building.BuildSheet): PdfNode {
  const rows = leaksOf(run, sheet).map(({ words }) => [box(), words])
  const third = Math.ceil(rows.length / 3)
  const columns = [0, 1, 2].map((k) => rows.slice(k * third, (k + 1) * third))
  return {
    unbreakable: true,
    stack: [
      { text: run.name, bold: true, margin: [0, 6, 0, 2] },
      {
        columns: columns.map((own) =>
          own.length === 0
            ? { text: '' }
            : { table: { widths: [12, '*'], body: own }, layout: 'noBorders', fontSize: 9 },
        ),
        columnGap: 10,
      },
    ],
  }
}
