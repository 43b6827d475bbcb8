import type { building } from '@yew-basin/core'
import type { useUnits } from '../../shell/units.ts'
import { runsOutWords, SHUT_IN, UNDO_WORDS } from '../apart-words.ts'
import { heading, type PdfNode, table } from '../../summary/paper.ts'

type Units = ReturnType<typeof useUnits>

/** Every thing that comes out one day: what to shut, what to undo, what runs out. */
export const apartPages = ({ apart }: building.BuildSheet, units: Units): PdfNode[] => [
  heading('Comes apart'),
  { text: 'Stop the pumps and unplug them first.', margin: [0, 0, 0, 4] },
  table(
    [120, 120, '*', 90],
    ['Thing', 'Shut first', 'Undo', 'Runs out'],
    apart.map((row) => [
      {
        text: [
          { text: row.thing.name, bold: true },
          row.thing.shutInBy ? `\n${SHUT_IN[row.thing.shutInBy]}` : '',
        ],
      },
      row.shut.map(({ name }) => name).join('\n') || '–',
      row.isFree
        ? row.undo.map(({ name, kind }) => `${name} (${UNDO_WORDS[kind]})`).join('\n') ||
          'nothing: it comes out as it is'
        : {
            text: `can’t come out without cutting: joined for good to ${row.heldBy.join(', ')}`,
            bold: true,
          },
      row.isFree && row.undo.length > 0 ? runsOutWords(row, units) : '–',
    ]),
  ),
]
