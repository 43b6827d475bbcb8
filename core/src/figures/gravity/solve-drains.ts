import type { Drain } from '../../design/index.ts'
import {
  type Fall,
  fallBand,
  fallFlow,
  fallHeadM,
  FILLED,
  filledShareOf,
  halfFullFlow,
  matchValve,
  noiseBand,
  type OpenPipe,
  openPipeRiseM,
  ruledBy,
  ventedFlow,
} from '../../drain/index.ts'
import { kAt } from '../../fitting/index.ts'
import { waterAt } from '../../fluid/index.ts'
import { chamberLevelM, type LaidDrain, type SteadyState } from '../../loop/index.ts'
import { reynolds, speedMPerS, velocityHeadM } from '../../pipe/index.ts'
import { bellDepthM, vortexDepthM } from '../../pump/index.ts'
import { pieceLosses, type PlacedPiece, type ValvePiece } from '../../run/index.ts'
import { matchTarget, throttleOf, touchOf } from './match-target.ts'
import type { DrainState, SolvedDrain, SolvedMatch } from './solved-gravity.ts'

/** Every drain as it runs, in the design's order. */
export function solveDrains(steady: SteadyState): SolvedDrain[] {
  return steady.drains.map((laid) => solveDrain(steady, laid))
}

function solveDrain(steady: SteadyState, laid: LaidDrain): SolvedDrain {
  const { drain, boreM, leastBoreM, lipM, mouth, index } = laid
  const tank = steady.design.tanks.findIndex(({ id }) => id === drain.tankId)
  const levels = steady.tankLevels[tank] ?? null
  const boxM = levels?.boxM ?? lipM
  const flowM3PerS = steady.drainFlows[index]!
  const outM = Math.max(lastMouth(steady, laid), chamberLevelM(steady, laid.chamberId))
  const whole = (pipe: Fall, near: number) =>
    fallFlow(pipe, Math.max(0, boxM - outM), near > 0 ? near : undefined)
  const overInletM = boxM - lipM
  const isSiphon = drain.role === 'siphon'
  const runsDown = drain.role === 'vented' || drain.role === 'trickle'
  const primedM3PerS = whole(laid.alone, flowM3PerS)
  const slope = leastSlope(laid.placed)
  return {
    drainId: drain.id,
    tankId: drain.tankId,
    flowM3PerS,
    state: stateOf(drain, flowM3PerS, primedM3PerS, leastBoreM),
    primedM3PerS,
    primedBandM3PerS: fallBand(laid.alone, primedM3PerS).band,
    openPrimedM3PerS:
      laid.aloneOpen === laid.alone ? primedM3PerS : whole(laid.aloneOpen, primedM3PerS),
    overInletM,
    leastOverInletM: isSiphon ? vortexDepthM(boreM, flowM3PerS) : null,
    bellOverInletM: isSiphon ? bellDepthM(boreM, flowM3PerS) : null,
    filledShare: runsDown ? filledShareOf(leastBoreM, flowM3PerS) : null,
    noise: runsDown ? noiseBand(leastBoreM, flowM3PerS) : null,
    vented: runsDown
      ? {
          quietM3PerS: ventedFlow(leastBoreM, FILLED.quiet),
          usualM3PerS: ventedFlow(leastBoreM, FILLED.usual),
          mostM3PerS: ventedFlow(leastBoreM, FILLED.most),
        }
      : null,
    emergency: drain.role === 'emergency' ? emergencyOf(steady, laid, outM) : null,
    match: isSiphon ? matchOf(steady, laid, outM) : null,
    speedMPerS: speedMPerS(flowM3PerS, boreM),
    end: mouth.zM >= chamberLevelM(steady, laid.chamberId) ? 'above-water' : 'under-water',
    start: drain.inlet.place,
    mouth,
    chamberId: laid.chamberId,
    joinsId: laid.trunkId,
    leastSlope: slope,
    nearLevelM3PerS: runsDown && slope !== null && slope > 0 ? halfFullFlow(boreM, slope) : null,
    pieces: laid.placed.map(({ piece, from, to, boreBeforeM }) => ({
      pieceId: piece.id,
      kind: piece.kind,
      from,
      to,
      boreM: boreBeforeM,
      flowM3PerS,
      speedMPerS: speedMPerS(flowM3PerS, boreBeforeM),
    })),
  }
}

function lastMouth({ drains }: SteadyState, laid: LaidDrain): number {
  return (drains.find(({ drain }) => drain.id === laid.trunkId) ?? laid).mouth.zM
}

/** A siphon that does not reach its full flow takes air; so does a vented pipe past a third of its section. */
function stateOf({ role }: Drain, flow: number, primed: number, boreM: number): DrainState {
  if (flow <= 0) return 'dry'
  if (role === 'siphon') return flow >= primed * (1 - 1e-6) ? 'full' : 'gulps'
  return noiseBand(boreM, flow) === 'over' ? 'gulps' : 'wetted'
}

function tankFlowOf({ drains, drainFlows }: SteadyState, tankId: string): number {
  return drains.reduce(
    (sum, { drain, index }) => (drain.tankId === tankId ? sum + drainFlows[index]! : sum),
    0,
  )
}

function emergencyOf(steady: SteadyState, laid: LaidDrain, outM: number): SolvedDrain['emergency'] {
  const pipe: OpenPipe = {
    boreM: laid.boreM,
    below: { fall: laid.alone, dropM: laid.lipM - outM },
  }
  const riseM = openPipeRiseM(pipe, tankFlowOf(steady, laid.drain.tankId))
  if (!Number.isFinite(riseM)) return { riseM: null, ruledBy: null }
  return { riseM, ruledBy: ruledBy(pipe, riseM) }
}

/** What a siphon's valve should be set to; one that is joined is worked out when it is asked for. */
function matchOf(steady: SteadyState, laid: LaidDrain, outM: number): SolvedMatch | null {
  const at = throttleOf(laid)
  const target = matchTarget(steady, laid.drain.tankId)
  if (!at || !target || laid.after || laid.trunkId !== null) return null
  const valve = at.piece as ValvePiece & { form: 'gate' | 'ball' }
  const { levelM, siphons } = target
  const flowM3PerS = target.flowM3PerS / siphons.length
  const matched = matchedAt(steady, laid, at, { flowM3PerS, dropM: levelM - outM })
  return {
    pieceId: valve.id,
    form: valve.form,
    flowM3PerS,
    levelM,
    opening: levelM > laid.lipM ? matched.opening : null,
    levelPerTouchM:
      matched.levelPerOpeningM === null
        ? null
        : Math.abs(matched.levelPerOpeningM) * touchOf(valve.form),
  }
}

function matchedAt(
  { design }: SteadyState,
  laid: LaidDrain,
  at: PlacedPiece,
  { flowM3PerS, dropM }: { flowM3PerS: number; dropM: number },
) {
  const water = waterAt(design.water)
  const valve = at.piece as ValvePiece
  const [loss] = pieceLosses({ ...at, piece: { ...valve, opening: 1 } }, laid.drain.run).fittings
  const boreM = at.boreBeforeM
  const re = reynolds(speedMPerS(flowM3PerS, boreM), boreM, water.kinematicM2PerS)
  const openK = kAt(loss!.loss, re)
  const openValveM = openK * velocityHeadM(speedMPerS(flowM3PerS, boreM))
  return matchValve({
    valve: valve.form === 'gate' ? 'gate-valve' : 'ball-valve',
    boreM,
    flowM3PerS,
    dropM,
    otherLossM: fallHeadM(laid.aloneOpen, flowM3PerS) - openValveM,
    openK,
  })
}

/** A stretch flatter than this counts as near-level, m/m (choice). */
const NEAR_LEVEL = 0.2

function leastSlope(placed: readonly PlacedPiece[]): number | null {
  let least: number | null = null
  for (const { piece, from, to } of placed) {
    if (piece.kind !== 'pipe' && piece.kind !== 'free-hose') continue
    const byXM = to.xM - from.xM
    const byYM = to.yM - from.yM
    const along = Math.sqrt(byXM * byXM + byYM * byYM)
    if (along < 0.05) continue
    const slope = (from.zM - to.zM) / along
    if (slope < NEAR_LEVEL) least = Math.min(least ?? Infinity, slope)
  }
  return least
}
