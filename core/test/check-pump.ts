import { jsonTable, L_PER_H } from './tables.ts'
import type { PumpPart } from '../src/pump/part.ts'

interface CheckPump {
  points_L_h_m?: [number, number][]
  Hmax_m?: number
  Qmax_L_h?: number
  rated_power_W?: number
  power_points_L_h_W?: [number, number][]
  outlet_bore_m: number
}

function pumpOf(id: string, given: CheckPump): PumpPart {
  const power = (given.power_points_L_h_W ?? []).map(([flow, powerW]) => ({
    flowM3PerS: flow * L_PER_H,
    powerW,
  }))
  return {
    id,
    name: id,
    control: 'controllable',
    mounting: 'under-water',
    curve: (given.points_L_h_m ?? []).map(([flow, headM]) => ({
      flowM3PerS: flow * L_PER_H,
      headM,
    })),
    shutOffHeadM: given.Hmax_m ?? null,
    maxFlowM3PerS: given.Qmax_L_h === undefined ? null : given.Qmax_L_h * L_PER_H,
    ratedPowerW: given.rated_power_W ?? power.at(-1)!.powerW,
    power,
    outletBoreM: given.outlet_bore_m,
    inletBoreM: null,
    leastDepthM: null,
    partId: null,
    leastSpeed: 0.1,
    priceClass: null,
    size: null,
  }
}

/** The check tables' pumps as the core's parts. */
export function checkPumps(): Record<string, PumpPart> {
  const given = jsonTable<Record<string, CheckPump>>('pumps.json')
  return Object.fromEntries(Object.entries(given).map(([id, pump]) => [id, pumpOf(id, pump)]))
}
