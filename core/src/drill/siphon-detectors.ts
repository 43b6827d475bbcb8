import {
  endMayBeUnderM,
  FallSearch,
  PRIMES_FROUDE,
  type Restart,
  restartOf,
  tubeFroude,
} from '../drain/index.ts'
import type { LaidDrain, SteadyState } from '../loop/index.ts'
import { circularRimFlow } from '../weir/index.ts'
import { type Mode, type SiphonNow, withEntry } from './mode.ts'
import type { PlantDetector } from './drill-event.ts'
import type { Plant } from './plant.ts'
import type { DoubtfulWays } from './ways.ts'

/** So near to filling it is looked at twice a step, m (choice). */
const NEAR_M = 0.01
/** One that gulps lets go of its inlet while so much still stands over it, m (choice). */
const DROPS_M = 0.001
/** One that broke so often gulps, and is followed in the mean from then on (choice). */
const GULPS_AFTER = 12
/** One that gulps while all is well shows it after so many (choice). */
const GULPS_AGAIN_AFTER = 2
/** With so many bores over its inlet and still not full, it stays unprimed: worth a line in the log (choice). */
const STAYS_BORES = 1.1
/** More than this share below what its open mouth would let in, its full pipe rules. */
const RULES = 1 - 1e-9

/** How every siphon runs where a design is at rest: full, or gulping where its full pipe takes more than comes. */
export function siphonsAtTheStart({ overflows, tankLevels, drainFlows }: SteadyState) {
  const siphons = new Map<string, SiphonNow>()
  overflows.forEach((overflowing, i) => {
    for (const { drain, lipM, boreM, index } of overflowing?.drains ?? []) {
      if (drain.role !== 'siphon') continue
      const overM = (tankLevels[i]?.boxM ?? -Infinity) - lipM
      const flowM3PerS = drainFlows[index]!
      const isFull = overM > 0 && flowM3PerS < RULES * circularRimFlow(boreM, overM)
      const runs = overM <= 0 ? 'with-air' : isFull ? 'full' : 'as-it-comes'
      const breaks = runs === 'as-it-comes' ? GULPS_AFTER - GULPS_AGAIN_AFTER : 0
      siphons.set(drain.id, { runs, breaks })
    }
  })
  return siphons
}

/** One siphon among the vessels, and how it runs now. */
export interface SiphonHere {
  readonly laid: LaidDrain
  readonly now: SiphonNow
  /** Its box among the vessels, and where it ends. */
  readonly box: number
  readonly into: number
  readonly mouthM: number
  /** Share of its flow that gets through. */
  readonly open: number
}

/** When siphons fill and break (hydraulics reference, §7). */
export function siphonDetectors(
  plant: Plant,
  mode: Mode,
  { written, ways }: { readonly written: ReadonlySet<string>; readonly ways: DoubtfulWays },
): PlantDetector[] {
  return plant.tanks.flatMap(({ laid: overflowing, box }) =>
    overflowing.drains.flatMap((laid, i): PlantDetector[] => {
      const now = mode.siphons.get(laid.drain.id)
      const open = 1 - (mode.blocked.get(laid.drain.id) ?? 0)
      if (!now || open === 0) return []
      const into = plant.chamberAt.get(laid.chamberId)!
      const here = { laid, now, box, into, mouthM: overflowing.box.mouthM[i]!, open }
      if (now.runs !== 'with-air') return [siphonBreaks(here)]
      const byFroude = byRunningFlow(plant.steady, laid)
      const stays = `stays ${laid.drain.id}`
      const tells = byFroude === 'no' || ways.siphons === 'stay'
      return [
        ...siphonFills(here, byFroude, ways),
        ...(tells && !written.has(stays) ? [staysUnprimed(here, stays)] : []),
      ]
    }),
  )
}

/** By the speed of its water as it runs; one that does not run is judged as it fills alone. */
function byRunningFlow({ drainFlows }: SteadyState, laid: LaidDrain): Restart {
  const runsM3PerS = drainFlows[laid.index]!
  return runsM3PerS > 0 ? restartOf(laid, runsM3PerS, 0).byFroude : 'yes'
}

/** Its box is down at its inlet. */
export function siphonBreaks({ laid: { drain, lipM }, now, box }: SiphonHere): PlantDetector {
  const atM = now.runs === 'full' ? lipM : lipM + DROPS_M
  return {
    name: `drops ${drain.id}`,
    value: (levels) => atM - levels[box]!,
    event: { kind: 'siphon-drops', drainId: drain.id },
    becomes: (mode) => ({
      ...mode,
      siphons: withEntry(mode.siphons, drain.id, { runs: 'with-air', breaks: now.breaks + 1 }),
    }),
  }
}

function staysUnprimed({ laid: { drain, lipM, boreM }, box }: SiphonHere, name: string) {
  return {
    name,
    value: (levels: number[]) => levels[box]! - lipM - STAYS_BORES * boreM,
    event: { kind: 'siphon-stays', drainId: drain.id } as const,
    becomes: null,
  }
}

/** Sure ends fill it whichever way; doubtful ones only where it is given the benefit of the doubt. */
export function siphonFills(
  here: SiphonHere,
  byFroude: Restart,
  { siphons }: DoubtfulWays,
): PlantDetector[] {
  if (byFroude === 'no') return []
  const { uprightBoreM } = here.laid
  const easyM = endMayBeUnderM(uprightBoreM, true)
  const mostM = endMayBeUnderM(uprightBoreM, false)
  const isSure = byFroude === 'yes'
  const list = isSure ? [fillsWhile(here, { fromM: -Infinity, toM: easyM }, false)] : []
  if (siphons === 'stay') return list
  return [...list, fillsWhile(here, { fromM: isSure ? easyM : -Infinity, toM: mostM }, true)]
}

interface EndUnder {
  readonly fromM: number
  readonly toM: number
}

/** Its inlet drowned by one bore, no air locked in, its water fast enough, its end so deep. */
function fillsWhile(here: SiphonHere, { fromM, toM }: EndUnder, doubtful: boolean): PlantDetector {
  const { laid, now, box, into, mouthM, open } = here
  const { drain, lipM, boreM, uprightBoreM, alone } = laid
  const search = new FallSearch(alone)
  let guess = 1e-4
  const gulps = now.breaks >= GULPS_AFTER
  return {
    name: `primes ${drain.id}${doubtful ? ' perhaps' : ''}`,
    value: (levels) => {
      const overM = levels[box]! - lipM
      const outM = Math.max(mouthM, levels[into]!)
      const underM = outM - mouthM
      const locked = underM > 0 ? overM - underM : Infinity
      const ready = Math.min(overM - boreM, locked, toM - underM, underM - fromM)
      if (ready < 0) return ready
      const { flowM3PerS } = search.flowAt(levels[box]! - outM, guess)
      guess = flowM3PerS || guess
      return Math.min(ready, tubeFroude(uprightBoreM, open * flowM3PerS) - PRIMES_FROUDE)
    },
    nearM: NEAR_M,
    event: { kind: gulps ? 'siphon-gulps' : 'siphon-primes', drainId: drain.id, doubtful },
    becomes: (mode) => ({
      ...mode,
      siphons: withEntry(mode.siphons, drain.id, {
        runs: gulps ? 'as-it-comes' : 'full',
        breaks: now.breaks,
      }),
    }),
  }
}
