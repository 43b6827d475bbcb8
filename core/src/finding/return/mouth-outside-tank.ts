import { byId } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { rule } from '../rule.ts'
import { missedPlace } from './misses-its-place.ts'

export const mouthOutsideTank = rule({
  code: 'mouth-outside-tank',
  station: 'return',
  severities: ['stop'],
  holds: 'A line that should end in a tank ends beside it.',
  condition: (line: LineCase) =>
    line.laid.end === 'outside-tank' && missedPlace(line.drawing) === null
      ? [byId(line.design.tanks, line.laid.line.end.id, 'tank')]
      : [],
  title: (line) => sentence('{where}The run ends outside the tank', { where: lineWords(line) }),
  reason: ({ laid: { mouth } }, tank) =>
    sentence(
      'It ends {x} from the tank’s left panel, {y} from its front and {z} above the room’s floor. What leaves it reaches the floor.',
      {
        x: ['length', mouth.xM - tank.xM],
        y: ['length', mouth.yM - tank.yM],
        z: ['length', mouth.zM],
      },
    ),
  where: ({ laid }) => ({ pieceId: laid.line.run.pieces.at(-1)?.id ?? null }),
})
