import type { DisplayTank } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { drawnRule } from '../drawn-rule.ts'

/** Tempered glass shatters when it is drilled. */
export const temperedPanel = drawnRule({
  code: 'tempered-panel',
  station: 'overflow',
  severities: ['stop'],
  holds: 'A hole is to be drilled in tempered glass.',
  condition: ({ overflow }: DisplayTank) =>
    overflow?.holes.filter(({ glass }) => glass === 'tempered') ?? [],
  title: ({ words }: OverflowCase, { panel }) =>
    sentence('{where}The {panel} panel is tempered: never drill it', { where: words, panel }),
  reason: () =>
    sentence(
      'Tempered glass shatters as a whole when it is drilled. Drill another panel, or hang a siphon box over the rim.',
    ),
})
