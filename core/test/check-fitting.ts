import type { LossKind } from '../src/fitting/spread.ts'
import { constantLoss, type Loss } from '../src/fitting/loss.ts'
import { makerLoss } from '../src/fitting/maker.ts'
import { entranceLoss, EXIT_LOSS, strainerLoss, UNION_LOSS } from '../src/fitting/opening.ts'
import { type ThreeKFitting, threeKLoss } from '../src/fitting/three-k.ts'
import { transitionLoss } from '../src/fitting/transition.ts'
import { type ThrottleValve, valveLoss } from '../src/fitting/valve.ts'
import { KV_PER_CV } from '../src/quantity/units.ts'

/** A fitting as the check tables write it. */
export interface CheckFitting {
  type: string
  bore_m: number
  count?: number
  trade_size_in?: number | undefined
  large_bore_m?: number | undefined
  angle_deg?: number | undefined
  open_fraction?: number | undefined
  degrees_closed?: number | undefined
  kv_m3_h?: number | undefined
  cv_us?: number | undefined
  open_area_ratio?: number | undefined
  K?: number
}

const THREE_K: Record<string, ThreeKFitting> = {
  elbow_90: 'elbow-90',
  elbow_90_long: 'elbow-90-long',
  hose_bend_90: 'hose-bend-90',
  elbow_45: 'elbow-45',
  tee_run: 'tee-run',
  tee_branch: 'tee-branch',
  diaphragm_valve: 'diaphragm-valve',
  check_swing: 'check-swing',
  check_spring: 'check-spring',
}

const VALVES: Record<string, ThrottleValve> = { gate_valve: 'gate-valve', ball_valve: 'ball-valve' }

/** The core's loss for a table's fitting; null when shut. */
export function fittingOf(given: CheckFitting): Loss | null {
  const valve = VALVES[given.type]
  if (valve) return valveOf(given, valve)
  const threeK = THREE_K[given.type]
  if (threeK) return threeKLoss(threeK, given.trade_size_in!)
  const wide = given.large_bore_m!
  const angleDeg = given.angle_deg ?? null
  switch (given.type) {
    case 'expansion':
      return transitionLoss({ fromBoreM: given.bore_m, toBoreM: wide, angleDeg })
    case 'contraction':
      return transitionLoss({ fromBoreM: wide, toBoreM: given.bore_m, angleDeg })
    case 'union':
      return UNION_LOSS
    case 'exit':
      return EXIT_LOSS
    case 'strainer':
      return strainerLoss(given.open_area_ratio!)
    case 'maker_kv':
      return makerLoss(given.kv_m3_h!, given.bore_m)
    case 'maker_cv':
      return makerLoss(given.cv_us! * KV_PER_CV, given.bore_m)
    case 'fixed_K':
      return constantLoss(given.K!)
    case 'entrance_flush':
      return entranceLoss('flush')
    case 'entrance_projecting':
      return entranceLoss('projecting')
    case 'entrance_rounded':
      return entranceLoss('rounded')
  }
  throw new Error(`the table has a fitting the tests do not know: ${given.type}`)
}

function valveOf(given: CheckFitting, valve: ThrottleValve): Loss | null {
  const opening =
    given.degrees_closed === undefined ? (given.open_fraction ?? 1) : 1 - given.degrees_closed / 90
  return valveLoss({
    valve,
    tradeSizeIn: given.trade_size_in!,
    boreM: given.bore_m,
    opening,
    kvM3PerH: given.kv_m3_h ?? null,
  })
}

/** How well a table's fitting is known. */
export function kindOf({
  type,
  kv_m3_h,
  open_fraction,
  degrees_closed,
}: CheckFitting): LossKind | 'exit' {
  if (type === 'exit') return 'exit'
  if (['maker_kv', 'maker_cv', 'fixed_K'].includes(type)) return 'device'
  const partClosed =
    (type === 'gate_valve' && (open_fraction ?? 1) < 0.9) ||
    (type === 'ball_valve' && (degrees_closed ?? 0) > 9)
  if (partClosed) return 'part-closed-valve'
  return kv_m3_h === undefined ? 'fitting' : 'device'
}
