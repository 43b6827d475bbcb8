import type { Tariff } from '../../design/index.ts'
import { type LaidPump, type Layout, pumpFlow } from '../../layout/index.ts'
import type { SolvedFlows } from '../../network/index.ts'
import {
  forcedBackHeadM,
  heatToWaterW,
  hydraulicPowerW,
  bellDepthM,
  inletBoreM,
  pumpHeadM,
  pumpPower,
  stoppedLossM,
  vortexDepthM,
  wirePowerW,
} from '../../pump/index.ts'
import { type Banded, firstLink, halfWidth } from './bands.ts'
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
export function solvePumps(layout: Layout, banded: Banded, keeper: Keeper): SolvedPump[] {
  return layout.pumps.map((pump) => solvePump(layout, pump, banded, keeper))
}

/** What the keeper says of pumps: what a kWh costs, and what the last one gave of its print. */
interface Keeper {
  readonly tariff: Tariff | null
  readonly ownShare: number | null
}

function solvePump(
  layout: Layout,
  pump: LaidPump,
  banded: Banded,
  { tariff, ownShare }: Keeper,
): SolvedPump {
  const { part, curve, placed } = pump
  const speed = placed.stopped ? 0 : pump.speed
  const flowOf = (flows: SolvedFlows) => pumpFlow(layout, pump.lineIndex, flows)
  const flowM3PerS = flowOf(banded.solution.flows)
  const headM = pumpHead(pump, flowM3PerS)
  const link = pump.lineIndex === null ? null : firstLink(layout, pump.lineIndex)
  const flowsBy = (by: number) => (link === null ? [] : [{ link, by }])
  const ownHead = { links: link === null ? [] : [link], kinds: [], pumps: true, by: -1 }
  const wireW = wirePowerW(pumpPower(part), Math.max(0, flowM3PerS), speed)
  const lifting = flowM3PerS > 0 && speed > 0
  const hydraulicW = lifting ? hydraulicPowerW(layout.water.densityKgPerM3, flowM3PerS, headM) : 0
  const { energyPerYearJ, costPerYear } = yearOf(wireW, tariff)
  const ownShareFlowM3PerS = ownShare === null ? null : ownShare * curve.freeFlowM3PerS
  return {
    placedId: placed.id,
    partId: part.id,
    stopped: placed.stopped,
    speed,
    flowM3PerS,
    flowBandM3PerS: halfWidth(banded, { flows: flowsBy(1) }),
    headM,
    headBandM: halfWidth(banded, {
      flows: flowsBy(pumpSlope(pump, flowM3PerS)),
      losses: ownHead,
    }),
    shutOffHeadM: pumpHeadM(curve, 0, speed),
    freeFlowM3PerS: speed * curve.freeFlowM3PerS,
    wirePowerW: wireW,
    wirePowerBandW: halfWidth(banded, {
      flows: flowsBy(powerSlope(part, flowM3PerS, speed)),
    }),
    powerIsScaled: part.power.length < 2,
    hydraulicPowerW: hydraulicW,
    wireToWater: wireW > 0 ? hydraulicW / wireW : 0,
    heatToWaterW: heatToWaterW(part, wireW),
    energyPerYearJ,
    costPerYear,
    twoNumberCurve: curve.twoNumber,
    ownShareFlowM3PerS,
    ownShareOffBy:
      ownShareFlowM3PerS === null || flowM3PerS <= 0 ? null : ownShareFlowM3PerS / flowM3PerS - 1,
    leastDepthM: part.leastDepthM ?? vortexDepthM(inletBoreM(part), Math.max(0, flowM3PerS)),
    bellDepthM: part.leastDepthM ?? bellDepthM(inletBoreM(part), Math.max(0, flowM3PerS)),
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

/** d(head)/d(flow) of a pump as it runs, s/m². */
export function pumpSlope({ part, curve, placed, speed }: LaidPump, flowM3PerS: number): number {
  if (placed.stopped || flowM3PerS < 0) {
    return (
      (placed.stopped ? -2 : 2) *
      Math.abs(stoppedLossM(part.outletBoreM, flowM3PerS) / (flowM3PerS || 1))
    )
  }
  return speed * curve.slopeAtFullSpeed(flowM3PerS / speed)
}

/** Share of a flow by which the wire power is probed. */
const PROBE = 1e-4

function powerSlope(part: LaidPump['part'], flowM3PerS: number, speed: number): number {
  if (flowM3PerS <= 0) return 0
  const power = pumpPower(part)
  const step = PROBE * flowM3PerS
  const at = (flow: number) => wirePowerW(power, flow, speed)
  return (at(flowM3PerS + step) - at(flowM3PerS - step)) / (2 * step)
}
