import { rootSumSquare } from '../../numeric/index.ts'
import type { BasinDesign, Device, Lamp } from '../../design/index.ts'
import {
  ageing,
  doseFlow,
  type DoseTarget,
  halfLifeS,
  killPerPass,
  killSlope,
  type LampPath,
  removalPerS,
  slowestRemovalPerS,
  type TwoVolumes,
  type SterilizerSpec,
} from '../../uv/index.ts'
import { flowShareOf } from '../flow-share.ts'
import type { SolvedLine, SolvedReturn } from '../return/solved.ts'
import { flowInLine, lineOfDevice } from './solve-devices.ts'
import type { AgainstTarget, SolvedLoad, SolvedSterilizer } from './solved-treatment.ts'

/** A new lamp in a clean sleeve, and water as its maker measured. */
export const NEW_LAMP: Lamp = {
  burnedS: 0,
  waterFactor: 0.95,
  sleeveFactor: 1,
  lampSince: null,
  sleeveSince: null,
  hoursPerDay: 24,
  burnedOn: null,
}

/** The dose at the flow the network gives it, against every target. */
export function solveSterilizer(
  design: BasinDesign,
  device: Device,
  spec: SterilizerSpec,
  { load, returnSide }: { readonly load: SolvedLoad; readonly returnSide: SolvedReturn },
): SolvedSterilizer {
  const lamp = device.lamp ?? NEW_LAMP
  const line = lineOfDevice(device, returnSide)
  const flowM3PerS = line ? Math.max(0, flowInLine(design, device, line)) : 0
  const share = line ? flowShareOf(line) : 0
  const water = lampWater(load, returnSide, line, share)
  const product = doseFlow(spec, lamp)
  const way = wayOf(design, line)
  const doseJPerM2 = flowM3PerS > 0 ? product / flowM3PerS : null
  return {
    deviceId: device.id,
    flowM3PerS,
    flowBandM3PerS: flowM3PerS * share,
    doseJPerM2,
    doseBandJPerM2: doseJPerM2 === null ? null : doseJPerM2 * rootSumSquare(share, DOSE_SPREAD),
    path: water.path,
    overflowM3PerS: water.overflowM3PerS,
    doseFlow: product,
    ageing: ageing(lamp.burnedS, spec.ratedHoursS),
    lampLeftS: spec.ratedHoursS - lamp.burnedS,
    targets: design.treatment.targets.map((target) =>
      againstTarget(target, product, flowM3PerS, water),
    ),
    fromChamberId: way.fromChamberId,
    toChamberId: way.toChamberId,
    skips: way.skips,
  }
}

/** How well a dose is known apart from its flow: clarity and mixing (choice). */
const DOSE_SPREAD = 0.3

/** The water a lamp clears: two volumes, joined by what comes over the overflow, and its own way between them. */
export interface LampWater extends TwoVolumes {
  readonly path: LampPath
  /** Share by which the lamp's flow may be off. */
  readonly flowShare: number
}

function lampWater(
  { displayM3, sumpM3 }: SolvedLoad,
  { flowM3PerS }: SolvedReturn,
  line: SolvedLine | undefined,
  flowShare: number,
): LampWater {
  const up = line?.toTank ?? false
  return {
    displayM3,
    sumpM3,
    overflowM3PerS: Math.max(0, flowM3PerS),
    path: up ? 'sump-to-display' : 'sump-to-sump',
    flowShare,
  }
}

/** Share of what is killed by which removal is probed. */
const PROBE = 1e-3

/** Dose D = product/Q against a target, and how soon it clears the water. */
export function againstTarget(
  target: DoseTarget,
  product: number,
  flowM3PerS: number,
  water: LampWater,
): AgainstTarget {
  const dose = flowM3PerS > 0 ? product / flowM3PerS : 0
  const kill = killPerPass(dose, target.mostJPerM2)
  const killedM3PerS = Math.max(0, flowM3PerS) * kill
  const at = (times: number) => slowestRemovalPerS(water, water.path, times * killedM3PerS)
  const removal = at(1)
  // λ by the share of what is killed, and that by flow and by light: q kill(D/q).
  const byKilled = (at(1 + PROBE) - at(1 - PROBE)) / (2 * PROBE)
  const perLight = kill > 0 ? (dose * killSlope(dose, target.mostJPerM2)) / kill : 0
  const removalBandPerS =
    byKilled * rootSumSquare((1 - perLight) * water.flowShare, perLight * DOSE_SPREAD)
  const half = halfLifeS(removal)
  const lasts = Number.isFinite(half)
  const whole = water.displayM3 + water.sumpM3
  return {
    targetId: target.id,
    reaches:
      dose >= target.mostJPerM2 ? 'reached' : dose >= target.leastJPerM2 ? 'partly' : 'short',
    killPerPass: kill,
    removalPerS: removal,
    removalBandPerS,
    mixedRemovalPerS: removalPerS(flowM3PerS, whole, kill),
    halfLifeS: lasts ? half : null,
    // t½ = ln 2/λ.
    halfLifeBandS: lasts ? (half * removalBandPerS) / removal : 0,
    flowForItM3PerS: product / target.mostJPerM2,
    outruns: target.doublingS === null ? null : half < target.doublingS,
  }
}

type Way = Pick<SolvedSterilizer, 'fromChamberId' | 'toChamberId' | 'skips'>

/** From the chamber its pump draws from to the one its line ends in. */
function wayOf({ returnSide, sump }: BasinDesign, solved: SolvedLine | undefined): Way {
  const line = returnSide.lines.find(({ id }) => id === solved?.lineId)
  if (!solved || !line) return { fromChamberId: null, toChamberId: null, skips: [] }
  const from = returnSide.pumps.find(({ id }) => id === solved.pump.placedId)?.chamberId ?? null
  const to = line.end.at === 'chamber' ? line.end.id : null
  const at = (id: string | null) => sump.chambers.findIndex((chamber) => chamber.id === id)
  const [low, high] = [Math.min(at(from), at(to)), Math.max(at(from), at(to))]
  return {
    fromChamberId: from,
    toChamberId: to,
    skips: low < 0 ? [] : sump.chambers.slice(low + 1, high).map(({ id }) => id),
  }
}
