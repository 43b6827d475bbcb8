import type { Drain } from '../../design/index.ts'
import {
  emergencyAnswer,
  emergencyFaults,
  type EmergencyPipe,
  fallBand,
  FallSearch,
  fallSpreadM,
  FILLED,
  filledShareOf,
  halfFullFlow,
  isFilledToMost,
  type Matching,
  matchValve,
  noiseBand,
  restartOf,
  ruledBy,
  ventedFlow,
} from '../../drain/index.ts'
import { kAt } from '../../fitting/index.ts'
import { waterAt } from '../../fluid/index.ts'
import { boxRim, chamberLevelM, type LaidDrain, type SteadyState } from '../../loop/index.ts'
import { memoize, memoizeWith } from '../../numeric/index.ts'
import { reynolds, speedMPerS, velocityHeadM } from '../../pipe/index.ts'
import { bellDepthM, vortexDepthM } from '../../pump/index.ts'
import { pieceLosses, type PlacedPiece, type Run, type ValvePiece } from '../../run/index.ts'
import { OPEN_PIPE_SPREAD } from '../../weir/index.ts'
import { type BandedFlow, flowShareOf } from '../flow-share.ts'
import { openRiseBandM } from './level-bands.ts'
import { matchTarget, throttleOf, touchOf } from './match-target.ts'
import type {
  DrainState,
  SolvedDrain,
  SolvedEmergency,
  SolvedMatch,
  SolvedStart,
} from './solved-gravity.ts'
import { touchOfLevel } from './touch.ts'

/** Every drain as it runs, in the design's order. */
export function solveDrains(steady: SteadyState, intoTank: IntoTank): SolvedDrain[] {
  const primed = steady.drains.map((laid) => primedFall(steady, laid))
  return steady.drains.map((laid, i) => solveDrain(steady, laid, { primed, index: i, intoTank }))
}

/** What comes into a tank, and how far that may be off. */
export type IntoTank = (tankId: string) => BandedFlow

/** A drain full of water, from its box's running level. */
interface PrimedFall {
  /** Somebody's search along it, to be asked further while the drain is solved. */
  readonly search: FallSearch
  readonly flowM3PerS: number
  readonly bandM3PerS: number
}

function primedFall(steady: SteadyState, laid: LaidDrain): PrimedFall {
  const search = new FallSearch(laid.alone)
  const flowM3PerS = fallAt(steady, laid, search, steady.drainFlows[laid.index]!)
  return { search, flowM3PerS, bandM3PerS: fallBand(search, flowM3PerS).band }
}

/** A first guess of a drain's flow where none is known, m³/s. */
const GUESS_M3_PER_S = 1e-4

/** What a pipe carries full, from the box's running level to where it ends. */
function fallAt(steady: SteadyState, laid: LaidDrain, pipe: FallSearch, near: number): number {
  const { boxM, outM } = levelsOf(steady, laid)
  return pipe.flowAt(Math.max(0, boxM - outM), near > 0 ? near : GUESS_M3_PER_S).flowM3PerS
}

function levelsOf(steady: SteadyState, laid: LaidDrain): { boxM: number; outM: number } {
  const tank = steady.design.tanks.findIndex(({ id }) => id === laid.drain.tankId)
  return {
    boxM: steady.tankLevels[tank]?.boxM ?? laid.lipM,
    outM: Math.max(lastMouth(steady, laid), chamberLevelM(steady, laid.chamberId)),
  }
}

/** All drains as they would run full, one of them, and what comes into its tank. */
interface Around {
  readonly primed: readonly PrimedFall[]
  readonly index: number
  readonly intoTank: IntoTank
}

/**
 * How far a drain's flow may be off. A siphon that runs full: by its own pieces. Any other carries
 * what they leave of what comes.
 */
function flowBandOf(
  { drains, drainFlows }: SteadyState,
  laid: LaidDrain,
  { primed, intoTank }: Around,
): number {
  const { tankId } = laid.drain
  const isFull = (other: LaidDrain) =>
    other.drain.role === 'siphon' &&
    drainFlows[other.index]! >= primed[other.index]!.flowM3PerS * FULL
  const flow = drainFlows[laid.index]!
  if (flow <= 0) return 0
  if (isFull(laid)) return primed[laid.index]!.bandM3PerS
  let squares = intoTank(tankId).flowBandM3PerS ** 2
  for (const other of drains) {
    if (other.drain.tankId === tankId && isFull(other))
      squares += primed[other.index]!.bandM3PerS ** 2
  }
  return Math.min(flow, Math.sqrt(squares))
}

function solveDrain(steady: SteadyState, laid: LaidDrain, around: Around): SolvedDrain {
  const { drain, boreM, leastBoreM, lipM, mouth, index } = laid
  const { boxM, outM } = levelsOf(steady, laid)
  const flowM3PerS = steady.drainFlows[index]!
  const overInletM = boxM - lipM
  const isSiphon = drain.role === 'siphon'
  const runsDown = drain.role === 'vented' || drain.role === 'trickle'
  const primed = around.primed[around.index]!
  const { flowM3PerS: primedM3PerS, bandM3PerS: primedBandM3PerS } = primed
  const slope = leastSlope(laid.placed)
  return {
    drainId: drain.id,
    tankId: drain.tankId,
    flowM3PerS,
    flowBandM3PerS: flowBandOf(steady, laid, around),
    state: stateOf(drain, flowM3PerS, primedM3PerS, leastBoreM),
    primedM3PerS,
    primedBandM3PerS,
    openPrimedM3PerS:
      laid.aloneOpen === laid.alone
        ? primedM3PerS
        : fallAt(steady, laid, new FallSearch(laid.aloneOpen), primedM3PerS),
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
    emergency: drain.role === 'emergency' ? emergencyOf(steady, laid, { outM, primed }) : null,
    startsAgain: isSiphon ? startOf(steady, laid, outM) : null,
    match: isSiphon ? matchOf(steady, laid, { outM, into: around.intoTank(drain.tankId) }) : null,
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

/** A siphon that carries so much of its full flow runs full; the rest is rounding. */
const FULL = 1 - 1e-6

/** A siphon that does not reach its full flow takes air; so does a vented pipe past a third of its section. */
function stateOf({ role }: Drain, flow: number, primed: number, boreM: number): DrainState {
  if (flow <= 0) return 'dry'
  if (role === 'siphon') return flow >= primed * FULL ? 'full' : 'gulps'
  return isFilledToMost(boreM, flow) ? 'gulps' : 'wetted'
}

function tankFlowOf({ drains, drainFlows }: SteadyState, tankId: string): number {
  return drains.reduce(
    (sum, { drain, index }) => (drain.tankId === tankId ? sum + drainFlows[index]! : sum),
    0,
  )
}

function emergencyOf(
  steady: SteadyState,
  laid: LaidDrain,
  { outM, primed }: { readonly outM: number; readonly primed: PrimedFall },
): SolvedEmergency {
  const { boreM, lipM, alone, rises, opening, drain, trunkId, memberId } = laid
  const endUnderM = outM - lastMouth(steady, laid)
  const pipe: EmergencyPipe = {
    boreM,
    below: { fall: alone, dropM: lipM - outM },
    endUnderM,
    rises,
    joined: trunkId !== null || memberId !== null,
  }
  const overflowing = steady.overflows.find((own) => own?.tank.id === drain.tankId)!
  const inletToRimM = overflowing.tank.floorHeightM + boxRim(overflowing) - lipM
  const answer = emergencyAnswer(pipe, tankFlowOf(steady, drain.tankId), inletToRimM)
  return {
    openAtRimM3PerS: answer.openAtRimM3PerS,
    primedAtRimM3PerS: answer.primedAtRimM3PerS,
    openAtRimBandM3PerS: OPEN_PIPE_SPREAD * answer.openAtRimM3PerS,
    primedAtRimBandM3PerS: fallBand(primed.search, answer.primedAtRimM3PerS).band,
    riseOpenM: orNull(answer.riseOpenM),
    riseOpenBandM: Number.isFinite(answer.riseOpenM)
      ? openRiseBandM(boreM, answer.riseOpenM, OPEN_PIPE_SPREAD)
      : 0,
    risePrimedM: orNull(answer.risePrimedM),
    riseNeededM: orNull(answer.riseNeededM),
    by: answer.by,
    riseWithReserveM: orNull(answer.riseWithReserveM),
    verdict: answer.verdict,
    inletToRimM,
    ruledBy: Number.isFinite(answer.riseOpenM) ? ruledBy(pipe, answer.riseOpenM) : null,
    faults: emergencyFaults(pipe),
    endUnderM,
    opening,
  }
}

/** A rise that is never enough is none. */
const orNull = (riseM: number) => (Number.isFinite(riseM) ? riseM : null)

/** Whether a siphon starts again with what runs now, and its end as deep as it is. */
function startOf(steady: SteadyState, laid: LaidDrain, outM: number): SolvedStart {
  const endUnderM = outM - lastMouth(steady, laid)
  const again = restartOf(laid, steady.drainFlows[laid.index]!, endUnderM)
  return {
    froude: again.froude,
    byFroude: again.byFroude,
    byEnd: again.byEnd,
    restart: again.restart,
    endUnderM,
  }
}

/** What a siphon's valve should be set to; one that is joined is worked out when it is asked for. */
function matchOf(
  steady: SteadyState,
  laid: LaidDrain,
  { outM, into }: { readonly outM: number; readonly into: ReturnType<IntoTank> },
): SolvedMatch | null {
  const at = throttleOf(laid)
  const target = matchTarget(steady, laid.drain.tankId)
  if (!at || !target || laid.after || laid.trunkId !== null) return null
  const valve = at.piece as ValvePiece & { form: 'gate' | 'ball' }
  const { levelM, siphons } = target
  const flowM3PerS = target.flowM3PerS / siphons.length
  const matched = matchedAt(steady, laid, at, {
    flowM3PerS,
    flowBandM3PerS: flowShareOf(into) * flowM3PerS,
    dropM: levelM - outM,
  })
  const { levelPerOpeningM } = matched
  const levelPerTouchM =
    levelPerOpeningM === null ? null : Math.abs(levelPerOpeningM) * touchOf(valve.form)
  return {
    pieceId: valve.id,
    form: valve.form,
    flowM3PerS,
    levelM,
    opening: levelM > laid.lipM ? matched.opening : null,
    openingBand: levelM > laid.lipM ? matched.openingBand : null,
    levelPerTouchM,
    touch: touchOfLevel(levelPerTouchM),
  }
}

/** What a valve loses when it is all open. */
const openLossOf = memoizeWith(
  (at: PlacedPiece, run: Run) => {
    const opened = { ...at, piece: { ...(at.piece as ValvePiece), opening: 1 } }
    return pieceLosses(opened, run).fittings[0]!.loss
  },
  (before, now) => before === now,
)

function matchedAt(
  { design }: SteadyState,
  laid: LaidDrain,
  at: PlacedPiece,
  { flowM3PerS, flowBandM3PerS, dropM }: Pick<Matching, 'flowM3PerS' | 'flowBandM3PerS' | 'dropM'>,
) {
  const water = waterAt(design.water)
  const valve = at.piece as ValvePiece
  const boreM = at.boreBeforeM
  const re = reynolds(speedMPerS(flowM3PerS, boreM), boreM, water.kinematicM2PerS)
  const openK = kAt(openLossOf(at, laid.drain.run), re)
  const openValveM = openK * velocityHeadM(speedMPerS(flowM3PerS, boreM))
  const other = new FallSearch(laid.aloneOpen)
  return matchValve({
    valve: valve.form === 'gate' ? 'gate-valve' : 'ball-valve',
    boreM,
    flowM3PerS,
    flowBandM3PerS,
    dropM,
    otherSpreadM: fallSpreadM(other, flowM3PerS),
    otherLossM: other.headM(flowM3PerS) - openValveM,
    openK,
  })
}

/** A stretch flatter than this counts as near-level, m/m (choice). */
const NEAR_LEVEL = 0.2

const leastSlope = memoize((placed: readonly PlacedPiece[]): number | null => {
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
})
