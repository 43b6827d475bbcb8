import { applyEdits, type BasinDesign, type ChamberUse, type Edit } from '../design/index.ts'
import {
  choosePump,
  newSump,
  newSumpBox,
  otherOverflow,
  schoolEdits,
  sumpEdits,
  withFollowing,
} from '../editing/index.ts'
import { figuresOf } from '../figures/index.ts'
import { steadyState } from '../loop/index.ts'
import type { PumpPart } from '../pump/index.ts'
import { balance, targetsOf } from '../sizing/index.ts'
import type { StartAnswers } from './answers.ts'
import { bareDesign, seriesOf } from './bare-design.ts'
import { bestPump } from './best-pump.ts'
import { sizesOf, usualOf } from './usual.ts'

/** Panels of a sump until the keeper says, m (choice). */
const PANEL_M = 0.008
const FOUR: readonly ChamberUse[] = ['socks', 'skimmer', 'refugium', 'trap', 'trap', 'return']
const THREE: readonly ChamberUse[] = ['socks', 'skimmer', 'trap', 'trap', 'return']
const TWO: readonly ChamberUse[] = ['socks', 'return']
/** So long must a sump be for four chambers, and for three, m (choice). */
const FOUR_FROM_M = 0.95
const THREE_FROM_M = 0.7
const BEHIND: readonly ChamberUse[] = ['socks', 'media', 'return']

/**
 * A whole loop for what a keeper said, laid by the laws that judge it; for the pump's flow alone a pump
 * and its line.
 *
 * @param shelf the pumps there are; at least one
 */
export function layStart(answers: StartAnswers, shelf: readonly PumpPart[]): BasinDesign {
  const [any] = shelf
  if (!answers.pump && !any) throw new RangeError('there is no pump to begin with')
  const first = bareDesign(answers, answers.pump ?? any!, 0)
  const wantedM3PerS = wantedOf(first).reduce((sum, wanted) => sum + wanted, 0)
  const bare = bareDesign(answers, answers.pump ?? any!, wantedM3PerS)
  const pumped = answers.pump ? bare : withPump(bare, bestPump(bare, shelf, wantedM3PerS))
  if (answers.kind === 'pump-only') return pumped
  return drained(tuned(withSump(skimmed(pumped, answers), answers)), answers)
}

const wantedOf = (design: BasinDesign) =>
  figuresOf(steadyState(design)).tanks.map(({ wantedFlowM3PerS }) => wantedFlowM3PerS)

const edited = (design: BasinDesign, edits: readonly Edit[]) =>
  applyEdits(design, withFollowing(design, edits))

const withPump = (design: BasinDesign, part: PumpPart) =>
  edited(design, choosePump(design, 0, part, 1))

/** Every tank with its overflow. */
function skimmed(design: BasinDesign, { kind }: StartAnswers): BasinDesign {
  const form = kind === 'all-in-one' ? 'rear-chambers' : 'outer-box'
  return design.tanks.reduce(
    (laid, _, i) => edited(laid, otherOverflow(laid, i, { form, place: 'back' })),
    design,
  )
}

function withSump(design: BasinDesign, answers: StartAnswers): BasinDesign {
  const usual = usualOf(answers.units)
  const isBehind = answers.kind === 'all-in-one'
  const sizes = isBehind
    ? {
        lengthM: sizesOf(answers, 0).lengthM,
        widthM: answers.sump?.widthM ?? usual.behindM,
        heightM: sizesOf(answers, 0).heightM,
      }
    : (answers.sump ?? usual.sump)
  const box = newSumpBox(design, { make: 'bought', ...sizes, panelM: PANEL_M })
  const uses = isBehind ? BEHIND : usesIn(sizes.lengthM)
  return edited(design, sumpEdits(design, newSump(design.sump, box, uses)))
}

const usesIn = (lengthM: number) =>
  lengthM >= FOUR_FROM_M ? FOUR : lengthM >= THREE_FROM_M ? THREE : TWO

/** A pump that can be controlled runs as fast as is wanted; the valves of several tanks share its water out. */
function tuned(design: BasinDesign): BasinDesign {
  const wanted = wantedOf(design)
  const byTank = Object.fromEntries(design.tanks.map(({ id }, i) => [id, wanted[i]!]))
  const options = balance(design, targetsOf(design, byTank)).filter(
    ({ hypothetical, school }) => !hypothetical && (school !== 'valves' || design.tanks.length > 1),
  )
  const isOne = design.tanks.length === 1
  const best = options.find(({ school }) => school === (isOne ? 'speed' : 'both')) ?? options[0]
  return best ? edited(design, best.edits) : design
}

/** The drains of every tank that has a box. */
function drained(design: BasinDesign, answers: StartAnswers): BasinDesign {
  const school = answers.school ?? 'siphon-trickle-emergency'
  return design.tanks.reduce(
    (laid, { overflow }, i) =>
      overflow?.box
        ? edited(laid, schoolEdits(laid, i, { school, series: seriesOf(answers) }))
        : laid,
    design,
  )
}
