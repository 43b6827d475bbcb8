import { circularRimFlow, orificeFlow } from '../weir/index.ts'
import { type Fall, fallFlow, FallSearch } from './fall.ts'
import { AIR_SWEPT_FROUDE, tubeFroude } from './hung.ts'
import { FILLED, ventedFlow } from './vented.ts'

/** A siphon's pipe, as it matters while it has air in it. */
export interface StartingSiphon {
  /** Of the inlet itself. */
  readonly inletBoreM: number
  /** The least that it passes, bulkhead and elbows included. */
  readonly leastBoreM: number
  /** Of its first upright stretch. */
  readonly uprightBoreM: number
  readonly fall: Fall
  /** From its inlet down to its end, or to the water that its end stands in. */
  readonly dropM: number
}

/** What holds a siphon with air in it back. */
export type UnprimedRuledBy = 'rim' | 'orifice' | 'third-full' | 'full-pipe' | 'air-lock'

/** What a siphon carries with air in it. */
export interface Unprimed {
  readonly flowM3PerS: number
  readonly ruledBy: UnprimedRuledBy
}

/** A siphon with air in it, to be asked again and again as the levels move; never shared. */
export class UnprimedSearch {
  readonly #inletBoreM: number
  readonly #mostM3PerS: number
  readonly #pipe: FallSearch
  #guess = 1e-4
  flowM3PerS = 0
  ruledBy: UnprimedRuledBy = 'rim'
  /** What more water over the inlet, and a longer drop, would add, m²/s. */
  perLevel = 0
  perDrop = 0

  constructor({ inletBoreM, leastBoreM, fall }: Omit<StartingSiphon, 'dropM' | 'uprightBoreM'>) {
    this.#inletBoreM = inletBoreM
    this.#mostM3PerS = ventedFlow(leastBoreM, FILLED.most)
    this.#pipe = new FallSearch(fall)
  }

  /** With so much water over its inlet, and nothing that locks its air in. */
  at(overInletM: number, dropM: number): void {
    const rim = circularRimFlow(this.#inletBoreM, overInletM)
    const mouth = orificeFlow(this.#inletBoreM, overInletM)
    if (rim <= mouth) this.#is('rim', rim, (1.5 * rim) / overInletM)
    else this.#is('orifice', mouth, (0.5 * mouth) / overInletM)
    if (this.#mostM3PerS < this.flowM3PerS) this.#is('third-full', this.#mostM3PerS, 0)
    if (!this.#pipe.fall.shut && dropM > 0 && this.#pipe.headM(this.flowM3PerS) <= dropM) return
    const { flowM3PerS, perHead } = this.#pipe.flowAt(dropM, this.#guess)
    if (flowM3PerS > 0) this.#guess = flowM3PerS
    this.#is('full-pipe', flowM3PerS, 0, perHead)
  }

  #is(ruledBy: UnprimedRuledBy, flowM3PerS: number, perLevel: number, perDrop = 0): void {
    this.ruledBy = ruledBy
    this.flowM3PerS = flowM3PerS
    this.perLevel = perLevel
    this.perDrop = perDrop
  }
}

/**
 * What a siphon carries with air in it and so much water over its inlet (hydraulics reference, §7): the
 * least of its open mouth, a third of the pipe by the vented law, and the full pipe under a column
 * from its end up to its inlet; nothing while its end stands deeper under water than that.
 */
export function unprimedFlow(
  siphon: StartingSiphon,
  overInletM: number,
  endUnderM: number,
): Unprimed {
  if (endUnderM > overInletM) return { flowM3PerS: 0, ruledBy: 'air-lock' }
  const search = new UnprimedSearch(siphon)
  search.at(overInletM, siphon.dropM)
  return { flowM3PerS: search.flowM3PerS, ruledBy: search.ruledBy }
}

/** From here on a falling stream drags its air along and the pipe fills. */
export const PRIMES_FROUDE = 0.4
/** With its end so many bores under water it starts again, and may. */
const END_EASY_BORES = 1.5
const END_MOST_BORES = 4

/** Does a siphon with air in it fill with one bore of water over its inlet? */
export interface Priming {
  readonly primes: 'yes' | 'no' | 'air-locked' | 'never-drowned'
  readonly unprimedM3PerS: number
  /** What it would take once full, and V/√(gD) there. */
  readonly flowThenM3PerS: number
  readonly froudeThen: number
}

/** Whether it primes once its inlet is drowned by one bore, with so much water coming. */
export function primingOf(siphon: StartingSiphon, comesM3PerS: number, endUnderM: number): Priming {
  const { inletBoreM, uprightBoreM, fall, dropM } = siphon
  const unprimedM3PerS = unprimedFlow(siphon, inletBoreM, endUnderM).flowM3PerS
  const flowThenM3PerS = fallFlow(fall, Math.max(0, dropM + inletBoreM))
  const froudeThen = tubeFroude(uprightBoreM, flowThenM3PerS)
  const fills = froudeThen >= PRIMES_FROUDE ? 'yes' : 'no'
  const primes =
    comesM3PerS <= unprimedM3PerS ? 'never-drowned' : endUnderM > inletBoreM ? 'air-locked' : fills
  return { primes, unprimedM3PerS, flowThenM3PerS, froudeThen }
}

/** yes, doubtful or no: worse in this order. */
export type Restart = 'yes' | 'doubtful' | 'no'

const ORDER: readonly Restart[] = ['yes', 'doubtful', 'no']

/** By how deep its end stands under water alone. */
export function restartByEnd(uprightBoreM: number, endUnderM: number): Restart {
  const bores = endUnderM / uprightBoreM
  return bores <= END_EASY_BORES ? 'yes' : bores <= END_MOST_BORES ? 'doubtful' : 'no'
}

/** The most by which an end may stand under water for it to be sure, or to be at all possible, m. */
export function endMayBeUnderM(uprightBoreM: number, onlySure: boolean): number {
  return (onlySure ? END_EASY_BORES : END_MOST_BORES) * uprightBoreM
}

/** Does a siphon start again by itself, at its running flow and with its end so deep while it runs? */
export interface Restarts {
  readonly froude: number
  readonly byFroude: Restart
  readonly byEnd: Restart
  /** The worse of the two. */
  readonly restart: Restart
}

/** Its air must be dragged down by the water, and pushed out at its end. */
export function restartOf(
  { uprightBoreM }: Pick<StartingSiphon, 'uprightBoreM'>,
  runsM3PerS: number,
  endUnderM: number,
): Restarts {
  const froude = tubeFroude(uprightBoreM, runsM3PerS)
  const byFroude = froude >= AIR_SWEPT_FROUDE ? 'yes' : froude >= PRIMES_FROUDE ? 'doubtful' : 'no'
  const byEnd = restartByEnd(uprightBoreM, endUnderM)
  return {
    froude,
    byFroude,
    byEnd,
    restart: ORDER.indexOf(byFroude) > ORDER.indexOf(byEnd) ? byFroude : byEnd,
  }
}
