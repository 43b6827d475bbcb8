import { type Edit, setTo } from '../../design/index.ts'
import { flowAtSpeeds } from '../../figures/index.ts'
import type { LineCase } from '../../finding/index.ts'
import { brent } from '../../numeric/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Wish } from './wish.ts'

/** A controller's step; speeds are rounded to it, away from trouble (choice). */
const SPEED_STEP = 0.01

/** The speed of the line's pump that brings the wanted flow; null when full speed does not. */
export function speedFor({ line, place, wantedM3PerS }: Wish): number | null {
  const flow = flowAtSpeeds(line.whole.layout, line.pump, place)
  const at = (speed: number) => flow(speed) - wantedM3PerS
  if (at(1) < 0) return null
  const least = line.pump.part.leastSpeed
  if (at(least) >= 0) return least
  const found = brent(at, least, 1, { tolerance: SPEED_STEP / 20 })
  return found.ok ? found.value : null
}

/** A speed on the controller's steps. */
export function stepped(speed: number, round: (steps: number) => number): number {
  // 1e-3 of a step keeps a speed that already stands on one from being pushed to the next.
  return Math.min(1, round(speed / SPEED_STEP - 1e-3) * SPEED_STEP)
}

/** The line's pump run at a speed, and switched on. */
export function atSpeed({ design, pump }: LineCase, speed: number): Edit[] {
  const at = design.returnSide.pumps.indexOf(pump.placed)
  const run = setTo(['returnSide', 'pumps', at, 'speed'], speed)
  return pump.placed.stopped ? [run, setTo(['returnSide', 'pumps', at, 'stopped'], false)] : [run]
}

/** "Run the pump at 84%". */
export const speedWords = (speed: number) =>
  sentence('Run the pump at {speed}', { speed: ['share', speed] })
