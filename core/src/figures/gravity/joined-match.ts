import { applyEdits, type BasinDesign, type Drain, setAlike } from '../../design/index.ts'
import { waterAt } from '../../fluid/index.ts'
import {
  boxDrains,
  BoxSearch,
  chamberLevelM,
  layDrains,
  type SteadyState,
} from '../../loop/index.ts'
import { brent } from '../../numeric/index.ts'
import type { ValvePiece } from '../../run/index.ts'
import { matchTarget, throttleOf, touchOf } from './match-target.ts'
import type { SolvedMatch } from './solved-gravity.ts'
import { touchOfLevel } from './touch.ts'

/** No valve is set finer than this, share of its stroke. */
const LEAST_OPENING = 0.01
const FEEL_M = 1e-4

/**
 * The setting that makes all siphons of a tank match the flow together, their valves set alike: for
 * siphons that join, where no one pipe's losses tell it. Searched on the drains themselves, so it
 * is asked for when someone looks at it.
 */
export function joinedMatch(steady: SteadyState, drainIndex: number): SolvedMatch | null {
  const laid = steady.drains[drainIndex]!
  const at = throttleOf(laid)
  const target = matchTarget(steady, laid.drain.tankId)
  if (laid.drain.role !== 'siphon' || !at || !target) return null
  const valve = at.piece as ValvePiece & { form: 'gate' | 'ball' }
  const { levelM, flowM3PerS, siphons } = target
  const { tankId } = laid.drain
  const carried = (opening: number, boxM = levelM) =>
    siphonFlow(steady, tankId, withAllAt(steady.design, tankId, opening), boxM)
  const found = brent((opening) => carried(opening) - flowM3PerS, LEAST_OPENING, 1, {
    tolerance: 1e-5,
  })
  const opening = found.ok ? found.value : null
  const levelPerTouchM =
    opening === null ? null : touchiness(carried, opening, levelM) * touchOf(valve.form)
  return {
    pieceId: valve.id,
    form: valve.form,
    flowM3PerS: flowM3PerS / siphons.length,
    levelM,
    opening,
    openingBand: null,
    levelPerTouchM,
    touch: touchOfLevel(levelPerTouchM),
  }
}

/** How far the box moves for the whole stroke, were it all as at this setting. */
function touchiness(
  carried: (opening: number, boxM?: number) => number,
  opening: number,
  levelM: number,
): number {
  const step = Math.min(0.005, (1 - opening) / 2, opening / 2)
  const perOpening = (carried(opening + step) - carried(opening - step)) / (2 * step)
  const perLevel =
    (carried(opening, levelM + FEEL_M) - carried(opening, levelM - FEEL_M)) / (2 * FEEL_M)
  return perLevel > 0 ? Math.abs(perOpening / perLevel) : 0
}

/** What all siphons of a tank carry with the box at a level. */
function siphonFlow(
  steady: SteadyState,
  tankId: string,
  drains: readonly Drain[],
  boxM: number,
): number {
  const all = layDrains(drains, waterAt(steady.design.water))
  const own = all.filter(({ drain }) => drain.tankId === tankId)
  const box = new BoxSearch(boxDrains(own))
  box.endAgainst((chamberId) => chamberLevelM(steady, chamberId))
  box.drainAt(boxM)
  return own.reduce((sum, { drain }, i) => (drain.role === 'siphon' ? sum + box.flow[i]! : sum), 0)
}

/** The drains with the valves of a tank's siphons at one opening. */
const withAllAt = (design: BasinDesign, tankId: string, opening: number) =>
  applyEdits(design, setAlike(design, tankId, opening)).drains
