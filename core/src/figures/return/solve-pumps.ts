import type { Tariff } from '../../design/index.ts'
import { type LaidPump, type Layout, pumpFlow } from '../../layout/index.ts'
import type { SolvedFlows } from '../../network/index.ts'
import {
  forcedBackHeadM,
  heatToWaterW,
  hydraulicPowerW,
  leastDepthM,
  pumpHeadM,
  pumpPower,
  stoppedLossM,
  wirePowerW,
} from '../../pump/index.ts'
import { type Banded, halfWidth } from './bands.ts'
import type { SolvedPump } from './solved.ts'

const YEAR_S = 365 * 24 * 3600
const KWH_J = 3.6e6

/** What a year of this power comes to; cost null when no tariff is given. */
export function yearOf(powerW: number, tariff: Tariff | null) {
  const energyPerYearJ = powerW * YEAR_S
  return {
    energyPerYearJ,
    costPerYear: tariff && (energyPerYearJ / KWH_J) * tariff.pricePerKWh,
  }
}

/** Every placed pump as it runs. */
export function solvePumps(layout: Layout, banded: Banded, tariff: Tariff | null): SolvedPump[] {
  return layout.pumps.map((pump) => solvePump(layout, pump, banded, tariff))
}

function solvePump(
  layout: Layout,
  pump: LaidPump,
  banded: Banded,
  tariff: Tariff | null,
): SolvedPump {
  const { part, curve, placed } = pump
  const speed = placed.stopped ? 0 : pump.speed
  const flowOf = (flows: SolvedFlows) => pumpFlow(layout, pump.lineIndex, flows)
  const headOf = (flows: SolvedFlows) => pumpHead(pump, flowOf(flows))
  const flowM3PerS = flowOf(banded.solution.flows)
  const headM = headOf(banded.solution.flows)
  const wireW = wirePowerW(pumpPower(part), Math.max(0, flowM3PerS), speed)
  const lifting = flowM3PerS > 0 && speed > 0
  const hydraulicW = lifting ? hydraulicPowerW(layout.water.densityKgPerM3, flowM3PerS, headM) : 0
  const { energyPerYearJ, costPerYear } = yearOf(wireW, tariff)
  return {
    placedId: placed.id,
    partId: part.id,
    stopped: placed.stopped,
    speed,
    flowM3PerS,
    flowBandM3PerS: halfWidth(banded, flowOf),
    headM,
    headBandM: halfWidth(banded, headOf),
    shutOffHeadM: pumpHeadM(curve, 0, speed),
    freeFlowM3PerS: speed * curve.freeFlowM3PerS,
    wirePowerW: wireW,
    powerIsScaled: part.power.length < 2,
    hydraulicPowerW: hydraulicW,
    wireToWater: wireW > 0 ? hydraulicW / wireW : 0,
    heatToWaterW: heatToWaterW(part, wireW),
    energyPerYearJ,
    costPerYear,
    twoNumberCurve: curve.twoNumber,
    leastDepthM:
      part.leastDepthM ?? leastDepthM(part.inletBoreM ?? part.outletBoreM, Math.max(0, flowM3PerS)),
    depthM: placed.inletHeightM === null ? null : pump.sourceLevelM - placed.inletHeightM,
  }
}

/** What the pump gives at a flow; stopped, what it takes; where water is forced back through it, what it holds against that. */
function pumpHead({ part, curve, placed, speed }: LaidPump, flowM3PerS: number): number {
  if (placed.stopped) return -stoppedLossM(part.outletBoreM, flowM3PerS)
  return flowM3PerS < 0
    ? forcedBackHeadM(curve, part, -flowM3PerS, speed)
    : pumpHeadM(curve, flowM3PerS, speed)
}
