import { solveBasin } from '../basin/index.ts'
import { applyEdits } from '../design/index.ts'
import { FAST_M_PER_S } from '../finding/index.ts'
import { boreOf, sizeWords } from '../pipe/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import { soundness } from './sound.ts'
import type { SizedOption, SizingWish, Values } from './wish.ts'

/** A candidate in its rank, with why it stands there. */
export interface RankedOption extends SizedOption {
  /** Half widths, as the whole design is solved with it. */
  readonly flowBandM3PerS: number
  readonly wirePowerBandW: number
  readonly label: Sentence
  readonly reasons: readonly Sentence[]
  /** Lower is better; only for comparing within one search. */
  readonly score: number
}

/** So many are shown, */
const SHOWN = 8
/** of so many whose drills are run (choice). */
const MOST_TRIED = 24
/** A miss of the target counts by this whatever the keeper values. */
const MISS_WEIGHT = 4
/** What pipe of the usual bore adds to the price penalty (choice). */
const PIPE_WEIGHT = 0.15
const USUAL_BORE_M = 0.03
/** Price class of a pump that tells none. */
const MIDDLE_PRICE = 3

/** The best of each pump and size, ranked by what the keeper values. */
export function rank(
  wish: SizingWish,
  candidates: readonly SizedOption[],
  progress: (share: number) => void = () => undefined,
): RankedOption[] {
  if (candidates.length === 0) return []
  const least = extremes(candidates)
  const best = new Map<string, { candidate: SizedOption; score: number }>()
  for (const candidate of candidates) {
    const score = scoreOf(candidate, wish.values, least)
    const key = `${candidate.part.id}/${candidate.size.size}/${candidate.nozzles}`
    const known = best.get(key)
    if (!known || score < known.score) best.set(key, { candidate, score })
  }
  return soundOf(
    wish,
    [...best.values()].sort((a, b) => a.score - b.score),
    progress,
  ).map(({ candidate, score }) => {
    const { flowBandM3PerS, wirePowerBandW } = solvedWith(wish, candidate)
    return {
      ...candidate,
      flowBandM3PerS,
      wirePowerBandW,
      score,
      label: labelOf(candidate),
      reasons: reasonsOf(wish, candidate, least),
    }
  })
}

/** The best of them that add no stop and wet no floor. */
function soundOf<Ranked extends { readonly candidate: SizedOption }>(
  { design }: SizingWish,
  ranked: readonly Ranked[],
  progress: (share: number) => void,
): Ranked[] {
  const isSound = soundness(design)
  const found: Ranked[] = []
  const tried = ranked.slice(0, MOST_TRIED)
  for (const [i, one] of tried.entries()) {
    if (found.length >= SHOWN) break
    if (isSound(one.candidate.edits)) found.push(one)
    progress(Math.max((i + 1) / tried.length, found.length / SHOWN))
  }
  return found
}

/** The return side with an option taken: the few that are shown are known as well as the design itself. */
const solvedWith = ({ design }: SizingWish, { edits }: SizedOption) =>
  solveBasin(applyEdits(design, edits)).returnSide

interface Extremes {
  readonly powerW: number
  readonly rankedPowerW: number
  readonly fastestMPerS: number
  readonly price: number
  readonly reserve: number
  readonly sizes: number
}

function extremes(candidates: readonly SizedOption[]): Extremes {
  const least = (of: (option: SizedOption) => number) =>
    candidates.reduce((low, option) => Math.min(low, of(option)), Infinity)
  return {
    powerW: least((option) => option.wirePowerW),
    rankedPowerW: least((option) => option.rankedPowerW),
    fastestMPerS: least((option) => option.fastestMPerS),
    price: least(priceOf),
    reserve: -least((option) => -option.reserve),
    sizes: least((option) => option.sizes),
  }
}

function priceOf({ part }: SizedOption): number {
  return part.priceClass ?? MIDDLE_PRICE
}

/** Each value as a penalty of about 0 to 1, times how much the keeper cares. */
function scoreOf(option: SizedOption, values: Values, least: Extremes): number {
  const heard = Math.max(0, option.fastestMPerS / FAST_M_PER_S - 0.4)
  const power = option.rankedPowerW / Math.max(least.rankedPowerW, 0.1) - 1
  // Pipe and fittings cost about with the square of their bore.
  const price =
    (priceOf(option) - 1) / 4 + PIPE_WEIGHT * (boreOf(option.size).boreM / USUAL_BORE_M) ** 2
  const reserve = Math.max(0, 1.25 - option.reserve) * 2
  const sizes = (option.sizes - 1) / 3
  const miss = Math.abs(option.met - 1.02)
  return (
    MISS_WEIGHT * miss +
    values.quiet * heard +
    values.power * Math.min(power, 3) +
    values.price * price +
    values.reserve * reserve +
    values.fewSizes * sizes
  )
}

function labelOf({ part, speed, size, nozzles, opening }: SizedOption): Sentence {
  const two = nozzles === 2 ? ', two nozzles' : ''
  const valve =
    opening < 1 ? sentence(', valve {opening} open', { opening: ['share', opening] }) : ''
  const at =
    part.control === 'controllable' ? sentence(' at {speed}', { speed: ['share', speed] }) : ''
  return sentence('{part}{at}, {size}{two}{valve}', {
    part: part.name,
    at,
    size: sizeWords(size),
    two,
    valve,
  })
}

/** What speaks for it and what against it, the strongest first. */
function reasonsOf(
  { design, pumpIndex }: SizingWish,
  option: SizedOption,
  least: Extremes,
): Sentence[] {
  const placed = design.returnSide.pumps[pumpIndex]!
  const close = (value: number, best: number) => value <= best * 1.02
  const said: (Sentence | null)[] = [
    close(option.wirePowerW, least.powerW)
      ? sentence('least power of all that reach it')
      : sentence('{more} more power than the thriftiest', {
          more: ['power', option.wirePowerW - least.powerW],
        }),
    close(option.fastestMPerS, least.fastestMPerS)
      ? sentence('slowest water, so the quietest line')
      : option.fastestMPerS > FAST_M_PER_S
        ? sentence('its water is heard at {speed}', { speed: ['speed', option.fastestMPerS] })
        : sentence('quiet at {speed}', { speed: ['speed', option.fastestMPerS] }),
    option.reserve >= 1
      ? sentence('reaches it fouled, with {spare} to spare', {
          spare: ['share', option.reserve - 1],
        })
      : sentence('fouled, it falls {short} short at full speed', {
          short: ['share', 1 - option.reserve],
        }),
    priceOf(option) === least.price ? sentence('of the lowest price class that reaches it') : null,
    option.sizes === least.sizes ? sentence('no size of pipe more than needed') : null,
    option.part.id === placed.pumpId ? sentence('keeps your pump') : null,
    option.opening < 1 ? sentence('a valve eats part of the head') : null,
  ]
  return said.filter((reason) => reason !== null)
}
