import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { evaluatePchip, makePchip, type Pchip } from '../numeric/index.ts'
import type { PumpPart } from './part.ts'

/** Wire power, ready to be asked many times. */
export interface PumpPower {
  readonly ratedPowerW: number
  /** null: only the rated power is known, and is scaled by n³. */
  readonly curve: Pchip | null
}

/** Share of its wire power that an air-cooled pump gives to the water; makers' designs run 40–60 % (choice). */
const DRY_HEAT_SHARE = 0.5

/** A part's power as a law of its flow. */
export function pumpPower(part: PumpPart): PumpPower {
  const known = part.power.length >= 2
  return {
    ratedPowerW: part.ratedPowerW,
    curve: known
      ? makePchip(
          part.power.map((point) => point.flowM3PerS),
          part.power.map((point) => point.powerW),
        )
      : null,
  }
}

/** Wire power at a flow and a speed, W: n³ P₁(Q/n), held at the ends of the list; else n³ × rated. */
export function wirePowerW(power: PumpPower, flowM3PerS: number, speed: number): number {
  if (speed <= 0) return 0
  return speed ** 3 * fullSpeedPowerW(power, flowM3PerS / speed)
}

function fullSpeedPowerW({ curve, ratedPowerW }: PumpPower, flow: number): number {
  if (!curve) return ratedPowerW
  const { xs } = curve
  return evaluatePchip(curve, Math.min(Math.max(flow, xs[0]!), xs[xs.length - 1]!))
}

/** ρ g Q H, W. */
export function hydraulicPowerW(densityKgPerM3: number, flowM3PerS: number, headM: number): number {
  return densityKgPerM3 * GRAVITY_M_PER_S2 * flowM3PerS * headM
}

/** Heat that reaches the water, W: all of the wire power from a pump under water. */
export function heatToWaterW(part: Pick<PumpPart, 'mounting'>, wireW: number): number {
  return part.mounting === 'dry' ? wireW * DRY_HEAT_SHARE : wireW
}
