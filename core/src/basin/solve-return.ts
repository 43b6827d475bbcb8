import { kAt } from '../fitting/loss.ts'
import { dutyBand } from '../network/band.ts'
import { solveDuty, type Duty } from '../network/duty.ts'
import { reynolds, speedMPerS, velocityHeadM } from '../pipe/flow.ts'
import { frictionFactor, regimeAt } from '../pipe/friction.ts'
import { leastSpeedToLift, pumpHeadM } from '../pump/curve.ts'
import { heatToWaterW, hydraulicPowerW, pumpPower, wirePowerW } from '../pump/power.ts'
import type { FrictionLoss } from '../run/losses.ts'
import type { Layout } from './layout.ts'
import type { SolvedPiece, SolvedReturn, SolvedStretch } from './solved.ts'

const HOUR_S = 3600
const YEAR_S = 365 * 24 * HOUR_S

/** The return side at its duty point. */
export function solveReturn(layout: Layout, netVolumeM3: number): SolvedReturn {
  const { part, curve, problem, water } = layout
  const outcome = solveDuty(problem)
  const duty = outcome.ok ? outcome.value : STUCK
  const band = dutyBand(problem, duty)
  const { speed } = problem
  const wireW = wirePowerW(pumpPower(part), duty.flowM3PerS, speed)
  const hydraulicW = hydraulicPowerW(water.densityKgPerM3, duty.flowM3PerS, duty.headM)
  const pieces = layout.placed.map((_, index) => solvePiece(layout, index, duty.flowM3PerS))
  const fastest = fastestOf(pieces)
  const perVolume = netVolumeM3 > 0 ? HOUR_S / netVolumeM3 : null
  return {
    status: outcome.ok ? duty.status : 'unsettled',
    flowM3PerS: duty.flowM3PerS,
    flowBandM3PerS: band.flowM3PerS,
    turnoverPerH: perVolume === null ? null : duty.flowM3PerS * perVolume,
    turnoverBandPerH: perVolume === null ? null : band.flowM3PerS * perVolume,
    headM: duty.headM,
    headBandM: band.headM,
    liftM: layout.liftM,
    frictionM: duty.frictionM,
    frictionBandM: band.frictionM,
    fittingsM: duty.fittingsM,
    fittingsBandM: band.fittingsM,
    speed,
    shutOffHeadM: pumpHeadM(curve, 0, speed),
    freeFlowM3PerS: speed * curve.freeFlowM3PerS,
    leastSpeedToLift: leastSpeedToLift(curve, layout.liftM),
    fastestMPerS: fastest?.speedMPerS ?? 0,
    fastestPieceId: fastest?.pieceId ?? null,
    exitSpeedMPerS: speedMPerS(Math.abs(duty.flowM3PerS), endBoreM(layout)),
    wirePowerW: wireW,
    powerIsScaled: part.power.length < 2,
    hydraulicPowerW: hydraulicW,
    wireToWater: wireW > 0 ? hydraulicW / wireW : 0,
    heatToWaterW: heatToWaterW(part, wireW),
    energyPerYearJ: wireW * YEAR_S,
    twoNumberCurve: curve.twoNumber,
    mouth: layout.mouth,
    end: layout.end,
    pipeLengthM: layout.losses.reduce((sum, loss) => sum + (loss.friction?.lengthM ?? 0), 0),
    pieces,
    stretches: solveStretches(layout, duty.flowM3PerS),
  }
}

const STUCK: Duty = { status: 'shut', flowM3PerS: 0, headM: 0, frictionM: 0, fittingsM: 0 }

function endBoreM(layout: Layout): number {
  const last = layout.placed.at(-1)
  if (last?.piece.kind === 'nozzle') return last.piece.boreM
  return layout.openEnd?.boreM ?? layout.part.outletBoreM
}

function fastestOf(pieces: readonly SolvedPiece[]): SolvedPiece | null {
  return pieces
    .filter((piece) => piece.kind !== 'nozzle')
    .reduce<SolvedPiece | null>(
      (best, piece) => (best === null || piece.speedMPerS > best.speedMPerS ? piece : best),
      null,
    )
}

function solvePiece(layout: Layout, index: number, flowM3PerS: number): SolvedPiece {
  const placed = layout.placed[index]!
  const { friction, fittings, shut } = layout.losses[index]!
  const boreM = fittings.reduce((least, one) => Math.min(least, one.boreM), placed.boreBeforeM)
  const { speed, re, head } = atBore(layout, flowM3PerS, boreM)
  const flowing = flowM3PerS !== 0
  const fittingLossM = fittings.reduce((total, one) => {
    const here = atBore(layout, flowM3PerS, one.boreM)
    return total + (flowing ? kAt(one.loss, here.re) * here.head : 0)
  }, 0)
  const f = friction && flowing ? friction.factor * frictionFactor(re, relative(friction)) : null
  const frictionM = friction && f !== null ? ((f * friction.lengthM) / boreM) * head : 0
  return {
    pieceId: placed.piece.id,
    kind: placed.piece.kind,
    from: placed.from,
    to: placed.to,
    boreM,
    speedMPerS: speed,
    reynolds: re,
    regime: regimeAt(re),
    frictionFactor: f,
    k: friction || shut || !flowing ? null : fittingLossM / head,
    lossM: frictionM + fittingLossM,
  }
}

function solveStretches(layout: Layout, flowM3PerS: number): SolvedStretch[] {
  const alike = new Map<string, FrictionLoss>()
  for (const { friction } of layout.losses) {
    if (!friction) continue
    const key = `${friction.boreM}/${friction.roughnessM}/${friction.factor}`
    const lengthM = (alike.get(key)?.lengthM ?? 0) + friction.lengthM
    alike.set(key, { ...friction, lengthM })
  }
  return [...alike.values()].map((friction) => {
    const { speed, re, head } = atBore(layout, flowM3PerS, friction.boreM)
    const f = flowM3PerS === 0 ? 0 : friction.factor * frictionFactor(re, relative(friction))
    return {
      boreM: friction.boreM,
      lengthM: friction.lengthM,
      speedMPerS: speed,
      reynolds: re,
      regime: regimeAt(re),
      frictionFactor: f,
      lossM: ((f * friction.lengthM) / friction.boreM) * head,
    }
  })
}

function relative({ roughnessM, boreM }: FrictionLoss): number {
  return roughnessM / boreM
}

function atBore({ water }: Layout, flowM3PerS: number, boreM: number) {
  const speed = speedMPerS(Math.abs(flowM3PerS), boreM)
  return {
    speed,
    re: reynolds(speed, boreM, water.kinematicM2PerS),
    head: velocityHeadM(speed),
  }
}
