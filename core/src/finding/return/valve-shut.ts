import { sentence } from '../../quantity/index.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const valveShut = rule({
  code: 'valve-shut',
  station: 'return',
  severities: ['stop'],
  holds: 'A shut valve on its way keeps all water from a line’s end.',
  condition: ({ solved }: LineCase) => holdsFor(solved.status === 'shut'),
  title: (line) => sentence('{where}A shut valve stops the return', { where: lineWords(line) }),
  reason: () =>
    sentence('No water passes it, whatever the pump does, and the pump warms the water it churns.'),
  where: ({ laid }) => ({
    pieceId: laid.placed[laid.losses.findIndex((loss) => loss.shut)]?.piece.id ?? null,
  }),
})
