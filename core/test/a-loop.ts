import { type Changes, withChanges } from './changes.ts'
import { aBasin } from './a-basin.ts'
import { setTo } from '../src/design/edit.ts'
import {
  applyEdits,
  type BasinDesign,
  type ChamberUse,
  type OverflowForm,
  type SumpBox,
} from '../src/index.ts'
import {
  type DrainSchool,
  newDrains,
  newOverflow,
  newSump,
  sumpEdits,
} from '../src/editing/index.ts'

export const A_SUMP: SumpBox = {
  make: 'self-built',
  xM: -0.05,
  yM: 0.05,
  floorHeightM: 0.02,
  lengthM: 1.1,
  widthM: 0.4,
  heightM: 0.38,
  panelM: 0.008,
}

const FOUR: readonly ChamberUse[] = ['socks', 'skimmer', 'refugium', 'trap', 'trap', 'return']

interface Loop {
  readonly form?: OverflowForm
  readonly school?: DrainSchool
  readonly uses?: readonly ChamberUse[]
  readonly line?: string
  readonly changes?: Changes
}

/** What its overflow and its drains are laid for. */
const LAID_FOR_M3_PER_S = 8e-4

/** The plain basin of the tests with its whole loop: a box inside, three pipes, a walled sump. */
export function aLoop({
  form = 'inner-box',
  school = 'siphon-trickle-emergency',
  uses = FOUR,
  line,
  changes = {},
}: Loop = {}): BasinDesign {
  const plain = aBasin(line, {})
  const withSump = applyEdits(plain, sumpEdits(plain, newSump(plain.sump, A_SUMP, uses)))
  const [tank] = withSump.tanks
  const overflow = newOverflow(
    tank!,
    { form, place: 'back' },
    { rearChamberId: withSump.sump.chambers[0]!.id, flowM3PerS: LAID_FOR_M3_PER_S },
  )
  const design = applyEdits(withSump, [setTo(['tanks', 0, 'overflow'], overflow)])
  const drains = overflow.box
    ? newDrains(design, {
        tankId: tank!.id,
        school,
        chamberId: design.sump.chambers[0]!.id,
        series: 'pn-16',
        flowM3PerS: LAID_FOR_M3_PER_S,
      })
    : []
  const whole: BasinDesign = { ...design, drains }
  return withChanges(whole, changes)
}

/** One that takes all only with its pipe running full: somebody had it lying about. */
export const NARROW_EMERGENCY: Changes = {
  'drains.2.run.size': { series: 'pn-16', size: '40', boreM: null },
}

/** Its tubes carry what a slow pump gives. */
export const aHungBox = () =>
  aLoop({
    form: 'hung-box',
    changes: {
      'pumps.0.control': 'controllable',
      'returnSide.pumps.0.speed': 0.62,
      'tanks.0.overflow.passage': { kind: 'siphon', count: 1, boreM: 0.025, lengthM: 0.6 },
    },
  })
