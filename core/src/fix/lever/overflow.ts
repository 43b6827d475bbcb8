import { setTo } from '../../design/index.ts'
import { boreAtFroude } from '../../drain/index.ts'
import {
  GOOD_FREEBOARD_M,
  type OverflowCase,
  SWEPT_FROUDE,
  type Whole,
} from '../../finding/index.ts'
import { sentence } from '../../quantity/index.ts'
import { flowOver } from '../../weir/index.ts'
import type { Change } from './change.ts'

/** So many tubes or holes at most between an overflow's two sides (choice). */
const MOST_TUBES = 8
/** An edge is not lowered under this share of the panels (choice). */
const LEAST_CREST_SHARE = 0.3
/** A hole through the glass is drilled no wider, m (choice). */
const WIDEST_HOLE_M = 0.06

/** The rim so long that the flow runs over it at a head; none where the tank is too small for it. */
export function longerRim(
  { overflow, solved, laid, tank, index }: OverflowCase,
  headM: number,
): Change[] {
  const lengthM = (overflow.rimLengthM * solved.flowM3PerS) / flowOver(laid.rim, headM)
  const roundedM = Math.ceil(lengthM * 100) / 100
  if (!(roundedM <= 2 * (tank.lengthM + tank.widthM))) return []
  if (roundedM <= overflow.rimLengthM) return []
  return [
    {
      label: sentence('Make the rim {length} long', { length: ['length', roundedM] }),
      edits: [setTo(['tanks', index, 'overflow', 'rimLengthM'], roundedM)],
    },
  ]
}

/** The edge so much lower that the water stands under the rim as it should; none where little tank would be left. */
export function lowerEdge({ tanks, design }: Whole, index: number): Change[] {
  const { overflow, heightM } = design.tanks[index]!
  const lowerM = GOOD_FREEBOARD_M - tanks[index]!.freeboardM
  if (!overflow || lowerM <= 0 || overflow.crestM - lowerM <= LEAST_CREST_SHARE * heightM) return []
  return [
    {
      label: sentence('Lower the overflow’s edge by {lower}', { lower: ['length', lowerM] }),
      edits: [setTo(['tanks', index, 'overflow', 'crestM'], overflow.crestM - lowerM)],
    },
  ]
}

/** More or wider ways from the skimming side to the box; tubes so that their air is swept out. */
export function widerPassages({ overflow, solved, index }: OverflowCase): Change[] {
  const { passage } = overflow
  if (!passage) return []
  const counts = Array.from({ length: MOST_TUBES }, (_, i) => i + 1)
  return counts.flatMap((count): Change[] => {
    if (count < passage.count) return []
    const boreM =
      passage.kind === 'siphon'
        ? sweptBoreM(solved.flowM3PerS / count)
        : Math.min(WIDEST_HOLE_M, count === passage.count ? passage.boreM * 1.25 : passage.boreM)
    if (boreM < 0.012 || (count === passage.count && boreM === passage.boreM)) return []
    const label =
      passage.kind === 'siphon'
        ? sentence(
            count === 1 ? 'Take a tube of {bore} bore' : 'Take {count} tubes of {bore} bore',
            {
              count: String(count),
              bore: ['length', boreM],
            },
          )
        : sentence('Give its two sides {count} holes of {bore}', {
            count: String(count),
            bore: ['length', boreM],
          })
    return [
      {
        label,
        edits: [setTo(['tanks', index, 'overflow', 'passage'], { ...passage, count, boreM })],
      },
    ]
  })
}

/** The widest bore at which a tube is swept, to a millimetre. */
const sweptBoreM = (flowM3PerS: number) =>
  Math.floor(boreAtFroude(flowM3PerS, SWEPT_FROUDE) * 1000) / 1000
