import { type building, say } from '@yew-basin/core'
import type { useUnits } from '../../shell/units.ts'
import { daysOf } from '../days.ts'
import { box, caption, heading, type PdfNode, SOFT, smallHeading } from '../../summary/paper.ts'

type Units = ReturnType<typeof useUnits>

/** So many reasons of a step are printed. */
const REASONS = 2

/** The order of building, day by day, with a box each. */
export function orderPages(
  { order }: building.BuildSheet,
  startsOn: string | null,
  units: Units,
): PdfNode[] {
  return [
    heading('Order'),
    ...daysOf(order.steps, startsOn).flatMap((day) => [
      smallHeading(day.title),
      {
        table: {
          widths: [12, 18, '*'],
          dontBreakRows: true,
          body: day.steps.map((step) => [
            box(),
            { text: String(step.number), alignment: 'right', color: SOFT },
            { stack: wordsOf(step, units) },
          ]),
        },
        layout: 'lightHorizontalLines',
      },
    ]),
    caption(
      'Hours of cement and silicone are typical, at 20 °C; the label of the tin or tube rules. Primer and cement: air, gloves, no flame.',
    ),
  ]
}

function wordsOf(step: building.OrderedStep, { family }: Units) {
  return [
    { text: say(step.title, family) },
    ...(step.marks.length > 0 ? [{ text: step.marks.join(' · '), fontSize: 9 }] : []),
    ...step.shutsOff.map(({ name }) => ({
      text: `After it no tool gets to ${name}: look that it is tight first.`,
      bold: true,
      fontSize: 9,
    })),
    ...step.after.slice(0, REASONS).map(({ number, reason }) => ({
      text: `after ${number}: ${say(reason, family)}`,
      color: SOFT,
      fontSize: 8,
    })),
  ]
}
