import { setTo } from '../design/index.ts'
import {
  GOOD_HEAD_M,
  hungLosesPrime,
  letsAnimalsThrough,
  type OverflowCase,
  SWEPT_FROUDE,
  TEETH_RESERVE,
  teethDrowned,
  weirTooShort,
} from '../finding/index.ts'
import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { sentence } from '../quantity/index.ts'
import { flowOver } from '../weir/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'

/** What fixes an overflow: its rim, its teeth and its tubes. */
export const OVERFLOW_FIXES: readonly FindingFixes[] = [
  fixesFor(teethDrowned, (overflowCase) =>
    longerRim(overflowCase, overflowCase.overflow.teeth!.heightM * TEETH_RESERVE),
  ),
  fixesFor(weirTooShort, (overflowCase) => longerRim(overflowCase, GOOD_HEAD_M)),
  fixesFor(letsAnimalsThrough, ({ overflow, index }, keepsInM) => {
    const { teeth } = overflow
    if (!teeth) return []
    const widthM = Math.floor(keepsInM * 0.8 * 1e4) / 1e4
    const pitchM = (teeth.pitchM / teeth.slotWidthM) * widthM
    return [
      {
        label: sentence('Cut the slots {width} wide', { width: ['length', widthM] }),
        brings: () =>
          sentence('Keeps animals of {size} in the tank; more slots make up for it.', {
            size: ['length', keepsInM],
          }),
        edits: [
          setTo(['tanks', index, 'overflow', 'teeth'], { ...teeth, slotWidthM: widthM, pitchM }),
        ],
      },
    ]
  }),
  fixesFor(hungLosesPrime, ({ solved, index }, { passage }) => {
    // Fr = Q / (n π/4 D² √(g D)): the bore at which it is swept.
    const each = solved.flowM3PerS / passage.count
    const boreM = (each / (SWEPT_FROUDE * (Math.PI / 4) * Math.sqrt(GRAVITY_M_PER_S2))) ** 0.4
    const roundedM = Math.floor(boreM * 1000) / 1000
    if (roundedM <= 0.005) return []
    return [
      {
        label: sentence('Take tubes of {bore} bore', { bore: ['length', roundedM] }),
        brings: () => sentence('Sweeps the air out at this flow.'),
        edits: [setTo(['tanks', index, 'overflow', 'passage', 'boreM'], roundedM)],
      },
    ]
  }),
]

/** The rim so long that the flow runs over it at a head; none where the tank is too small for it. */
function longerRim(overflowCase: OverflowCase, headM: number): FindingCandidate[] {
  const { overflow, solved, laid, tank, index } = overflowCase
  const lengthM = (overflow.rimLengthM * solved.flowM3PerS) / flowOver(laid.rim, headM)
  const roundedM = Math.ceil(lengthM * 100) / 100
  if (!(roundedM <= 2 * (tank.lengthM + tank.widthM))) return []
  return [
    {
      label: sentence('Make the rim {length} long', { length: ['length', roundedM] }),
      brings: () =>
        sentence('Brings the water over it down to about {head}.', { head: ['length', headM] }),
      edits: [setTo(['tanks', index, 'overflow', 'rimLengthM'], roundedM)],
    },
  ]
}
