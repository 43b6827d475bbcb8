import type { building } from '@yew-basin/core'
import type { useUnits } from '../../shell/units.ts'
import { betweenWords, CUT_WORDS, cutGroups, PIPE_PARTS } from '../cut-words.ts'
import {
  caption,
  drawing,
  heading,
  type PdfNode,
  smallHeading,
  table,
  WIDE,
} from '../../summary/paper.ts'

type Units = ReturnType<typeof useUnits>

/** Every length to saw, by size; its stocks as bars where they are drawn. */
export function cutPages(
  sheet: building.BuildSheet,
  bars: ReadonlyMap<building.CutPlan, string>,
  units: Units,
): PdfNode[] {
  return [
    heading('Cuts'),
    ...cutGroups(sheet).flatMap(({ cutPlan: plan, own, title }) => {
      const bar = bars.get(plan)
      return [
        {
          unbreakable: true,
          stack: [
            smallHeading(title),
            plan.nesting
              ? {
                  text: `${plan.nesting.stocks.length} × ${units.text('head', plan.nesting.stockM)}`,
                }
              : { text: `${units.text('head', plan.totalM)} of hose, slack and barbs in it` },
            ...(bar ? [drawing(bar, WIDE[units.family], 220)] : []),
          ],
        },
        table(
          [30, 70, '*', 80],
          ['Mark', 'Cut', 'Between', 'Middle to middle'],
          own.map((cut) => rowOf(cut, sheet, units)),
        ),
      ]
    }),
    caption(
      'Lengths are middle to middle, less the arm of each fitting: hold yours against the drawing before you saw.',
    ),
  ]
}

function rowOf(cut: building.Cut, sheet: building.BuildSheet, units: Units) {
  const run = sheet.routes.find(({ id }) => id === cut.routeId)?.name ?? ''
  const more = [
    cut.parts > 1 ? `${cut.parts} pieces with a coupling between` : '',
    CUT_WORDS[cut.verdict],
  ].filter(Boolean)
  return [
    { text: cut.mark, bold: true },
    { text: cut.cutM > 0 ? units.cut(cut.cutM, PIPE_PARTS) : 'no room', bold: true },
    { text: [`${run}: ${betweenWords(cut, sheet.routes)}`, ...more.map((words) => `\n${words}`)] },
    units.cut(cut.centreToCentreM, PIPE_PARTS),
  ]
}
