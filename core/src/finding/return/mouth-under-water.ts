import { byId, surfaceM } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { rule } from '../rule.ts'
import { missedPlace } from './misses-its-place.ts'

export const mouthUnderWater = rule({
  code: 'mouth-under-water',
  station: 'return',
  severities: ['watch', 'fine'],
  holds: 'A line ends under its tank’s water, so that the tank can run back through it.',
  condition: (line: LineCase) => {
    const { laid, design } = line
    const { end, run } = laid.line
    if (laid.end !== 'under-water' || end.at !== 'tank' || missedPlace(line.drawing)) return []
    const checked = run.pieces.some((piece) => piece.kind === 'check-valve')
    // The check valve's own finding says the rest.
    if (checked && end.breakDepthM === null) return []
    return [{ surfaceM: surfaceM(byId(design.tanks, end.id, 'tank')), holeM: end.breakDepthM }]
  },
  severity: (_, { holeM }) => (holeM === null ? 'watch' : 'fine'),
  title: (line, { surfaceM: surface }) =>
    sentence('{where}The run ends {deep} under water', {
      where: lineWords(line),
      deep: ['length', surface - line.laid.mouth.zM],
    }),
  reason: (_, { holeM }) =>
    holeM === null
      ? sentence(
          'When the pump stops, the tank runs back to the sump down to the mouth. End it above the water and it breaks its own siphon.',
        )
      : sentence(
          'When the pump stops, the tank runs back until the break hole {hole} under the surface draws air. A hole that has grown over lets it run down to the mouth.',
          { hole: ['length', holeM] },
        ),
  where: ({ laid }) => ({ pieceId: laid.line.run.pieces.at(-1)?.id ?? null }),
})
