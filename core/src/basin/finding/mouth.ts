import { sentence, type Sentence } from '../../quantity/sentence.ts'
import { axisOf, signOf, type Point } from '../../run/path.ts'
import type { PipePiece } from '../../run/piece.ts'
import { tankSurfaceM } from '../design.ts'
import type { Finding, Fix, Solving } from './finding.ts'
import { fixForFlow } from './try-out.ts'

/** How far inside a panel a moved mouth comes to stand (choice). */
const INSIDE_M = 0.04
/** How far above the water a raised mouth ends (choice). */
const ABOVE_M = 0.03
/** No shorter pipe is proposed. */
const SHORTEST_M = 0.01

/** Does the run end where it should: in air, over the tank? */
export function mouthFindings(solving: Solving): Finding[] {
  if (solving.layout.end === 'outside-tank') return [outside(solving)]
  if (solving.layout.end === 'under-water') return [underWater(solving)]
  return []
}

function outside(solving: Solving): Finding {
  const { design, layout } = solving
  const { mouth } = layout
  const { tank } = design
  const wanted: Point = {
    xM: inside(mouth.xM, tank.lengthM),
    yM: inside(mouth.yM, tank.widthM),
    zM: mouth.zM < tank.floorHeightM ? tankSurfaceM(design) + ABOVE_M : mouth.zM,
  }
  return {
    code: 'mouth-outside-tank',
    severity: 'stop',
    stop: 'return',
    title: sentence('The run ends outside the tank'),
    reason: sentence(
      'It ends {x} from the tank’s left panel, {y} from its front and {z} above the room’s floor. What leaves it reaches the floor.',
      { x: ['length', mouth.xM], y: ['length', mouth.yM], z: ['length', mouth.zM] },
    ),
    pieceId: design.returnSide.run.pieces.at(-1)?.id ?? null,
    fixes: stretchFix(solving, wanted, sentence('Stretch the run to the tank')),
  }
}

function inside(at: number, size: number): number {
  if (at >= 0 && at <= size) return at
  const margin = Math.min(INSIDE_M, size / 2)
  return at < 0 ? margin : size - margin
}

function underWater(solving: Solving): Finding {
  const { design, layout } = solving
  const surfaceM = tankSurfaceM(design)
  return {
    code: 'mouth-under-water',
    severity: 'watch',
    stop: 'return',
    title: sentence('The run ends {deep} under water', {
      deep: ['length', surfaceM - layout.mouth.zM],
    }),
    reason: sentence(
      'When the pump stops, the tank runs back to the sump down to the mouth. End it above the water and it breaks its own siphon.',
    ),
    pieceId: design.returnSide.run.pieces.at(-1)?.id ?? null,
    fixes: stretchFix(
      solving,
      { ...layout.mouth, zM: surfaceM + ABOVE_M },
      sentence('Raise the end to {above} over the water', { above: ['length', ABOVE_M] }),
    ),
  }
}

/** Changes the last pipe along each axis that is off, when all of them can be. */
function stretchFix({ design, layout }: Solving, wanted: Point, label: Sentence): Fix[] {
  const axes = (['xM', 'yM', 'zM'] as const).filter((axis) => wanted[axis] !== layout.mouth[axis])
  const { pieces } = design.returnSide.run
  const changes = axes.map((axis) => {
    const index = pieces.findLastIndex(
      (piece) => piece.kind === 'pipe' && axisOf(piece.direction) === axis,
    )
    const pipe = pieces[index] as PipePiece | undefined
    if (!pipe) return null
    const lengthM = pipe.lengthM + signOf(pipe.direction) * (wanted[axis] - layout.mouth[axis])
    return lengthM < SHORTEST_M ? null : { index, lengthM }
  })
  if (changes.some((change) => change === null)) return []
  const edits = changes
    .filter((change) => change !== null)
    .map(({ index, lengthM }) => ({
      op: 'set' as const,
      path: ['returnSide', 'run', 'pieces', index, 'lengthM'],
      to: lengthM,
    }))
  return [fixForFlow(design, label, edits)]
}
