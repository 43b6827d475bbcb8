import {
  type BasinDesign,
  type Edit,
  type OverflowForm,
  type OverflowPlace,
  setTo,
} from '../../design/index.ts'
import { figuresOf } from '../../figures/index.ts'
import { steadyState } from '../../loop/index.ts'
import { sumpBelow } from './sump-below.ts'
import { newOverflow } from './new-overflow.ts'

/**
 * Another form or place: the rim's cut and who must stay are kept; what hangs on a box goes with it.
 * An all-in-one whose water leaves by a box has its sump below.
 */
export function otherOverflow(
  design: BasinDesign,
  tankIndex: number,
  { form, place }: { readonly form: OverflowForm; readonly place: OverflowPlace },
): Edit[] {
  const tank = design.tanks[tankIndex]!
  const { flowM3PerS } = figuresOf(steadyState(design)).tanks[tankIndex]!
  const made = newOverflow(
    tank,
    { form, place },
    { rearChamberId: design.sump.chambers[0]!.id, flowM3PerS },
  )
  const { teeth, guard, keepsInM, openAbove, crestM, sensorM } = tank.overflow ?? made
  const kept = { ...made, teeth, guard, keepsInM, openAbove, crestM, sensorM }
  const boxless = form === 'rear-chambers'
  const comesOut = !boxless && tank.overflow?.form === 'rear-chambers'
  return [
    setTo(['tanks', tankIndex, 'overflow'], kept),
    ...(comesOut ? sumpBelow(design, tank) : []),
    ...(boxless ? [withoutDrainsOf(design, tankIndex)] : []),
  ]
}

/** A tank without its overflow: the drains that stood in its box go with it. */
export function withoutOverflow(design: BasinDesign, tankIndex: number): Edit[] {
  return [withoutDrainsOf(design, tankIndex), setTo(['tanks', tankIndex, 'overflow'], null)]
}

function withoutDrainsOf({ drains, tanks }: BasinDesign, tankIndex: number): Edit {
  const { id } = tanks[tankIndex]!
  return setTo(
    ['drains'],
    drains.filter(({ tankId }) => tankId !== id),
  )
}
