import type { Loss } from './loss.ts'

/** Fittings of the 3-K table. */
export type ThreeKFitting =
  | 'elbow-90'
  | 'elbow-90-long'
  | 'hose-bend-90'
  | 'elbow-45'
  | 'tee-run'
  | 'tee-branch'
  | 'gate-valve'
  | 'ball-valve'
  | 'diaphragm-valve'
  | 'check-swing'
  | 'check-spring'

/** [Km, Ki, Kd], Darby 2001, "Chemical Engineering Fluid Mechanics" 2nd ed., table 7-3. Valves open. */
const TABLE: Readonly<Record<ThreeKFitting, readonly [number, number, number]>> = {
  'elbow-90': [800, 0.14, 4.0],
  'elbow-90-long': [800, 0.071, 4.2],
  'hose-bend-90': [800, 0.066, 3.9],
  'elbow-45': [500, 0.071, 4.2],
  'tee-run': [200, 0.091, 4.0],
  'tee-branch': [500, 0.274, 4.0],
  'gate-valve': [300, 0.037, 3.9],
  'ball-valve': [300, 0.017, 3.5],
  'diaphragm-valve': [1000, 0.69, 4.9],
  'check-swing': [1500, 0.46, 4.0],
  'check-spring': [2000, 2.85, 3.8],
}

/** K = Km/Re + Ki (1 + Kd/Dn^0.3), Dn the trade size in inches. */
export function threeKLoss(fitting: ThreeKFitting, tradeSizeIn: number): Loss {
  const [km, ki, kd] = TABLE[fitting]
  return { km, k: ki * (1 + kd / tradeSizeIn ** 0.3) }
}
