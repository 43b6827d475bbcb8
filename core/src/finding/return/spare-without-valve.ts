import { sentence } from '../../quantity/index.ts'
import type { LineAsDrawn } from '../case/line-as-drawn.ts'
import type { LineCase } from '../case/line-case.ts'
import { drawnRule } from '../drawn-rule.ts'
import { holdsFor } from '../rule.ts'

export const spareWithoutValve = drawnRule({
  code: 'spare-without-valve',
  station: 'return',
  severities: ['watch'],
  holds: 'A capped spare has no valve in front of its cap.',
  condition: ({ line }: LineAsDrawn) =>
    holdsFor(line.end.at === 'cap' && !line.run.pieces.some((piece) => piece.kind === 'valve')),
  title: ({ laid }: LineCase) =>
    sentence('{line} is a spare without a valve', { line: laid.line.name }),
  reason: () =>
    sentence(
      'To put it to use one day, the whole return must be stopped and drained. A valve in front of the cap lets you build on while it runs.',
    ),
  where: ({ laid }) => ({ pieceId: laid.line.run.pieces[0]?.id ?? null }),
})
