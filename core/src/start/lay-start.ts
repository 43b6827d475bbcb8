import { applyEdits, type BasinDesign, type ChamberUse, type Edit, setTo } from '../design/index.ts'
import {
  choosePump,
  newSump,
  newSumpBox,
  otherOverflow,
  schoolEdits,
  sumpEdits,
  turnoverOfFlow,
  withFollowing,
} from '../editing/index.ts'
import { figuresOf, targetsOf } from '../figures/index.ts'
import { steadyState } from '../loop/index.ts'
import type { PumpPart } from '../pump/index.ts'
import { balance } from '../sizing/index.ts'
import type { StartAnswers } from './answers.ts'
import { bareDesign, seriesOf } from './bare-design.ts'
import { bestPump } from './best-pump.ts'
import { tankSizes, usualOf } from './usual.ts'

/** As much as can be wished for. */
const MOST_TURNOVER_PER_H = 60
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
  const { wantedFlowM3PerS } = answers
  if (wantedFlowM3PerS === null) return laid(answers, shelf)
  // How much water there is hangs on the level it runs at: twice is enough.
  const once = wanting(laid(answers, shelf), wantedFlowM3PerS)
  const { turnoverPerH } = once.tanks[0]!
  return wanting(laid({ ...answers, turnoverPerH }, shelf), wantedFlowM3PerS)
}

/** The design with so many net volumes an hour that they come to a flow. */
function wanting(design: BasinDesign, flowM3PerS: number): BasinDesign {
  const netM3 = figuresOf(steadyState(design)).tanks.reduce(
    (sum, tank) => sum + tank.netVolumeM3,
    0,
  )
  const turnoverPerH = turnoverOfFlow(flowM3PerS, netM3)
  return applyEdits(
    design,
    design.tanks.map((_, i) => setTo(['tanks', i, 'turnoverPerH'], turnoverPerH)),
  )
}

function laid(answers: StartAnswers, shelf: readonly PumpPart[]): BasinDesign {
  const [any] = shelf
  if (!answers.pump && !any) throw new RangeError('there is no pump to begin with')
  const first = bareDesign(answers, answers.pump ?? any!, 0)
  const wantedM3PerS = wantedOf(first).reduce((sum, wanted) => sum + wanted, 0)
  const bare = bareDesign(answers, answers.pump ?? any!, wantedM3PerS)
  const pumped = answers.pump ? bare : withPump(bare, bestPump(bare, shelf, wantedM3PerS))
  if (answers.kind === 'pump-only')
    return answers.turnoverPerH === null ? contented(pumped) : pumped
  return drained(tuned(withSump(skimmed(pumped, answers), answers)), answers)
}

const wantedOf = (design: BasinDesign) =>
  figuresOf(steadyState(design)).tanks.map(({ wantedFlowM3PerS }) => wantedFlowM3PerS)

const edited = (design: BasinDesign, edits: readonly Edit[]) =>
  applyEdits(design, withFollowing(design, edits))

const withPump = (design: BasinDesign, part: PumpPart) =>
  edited(design, choosePump(design, 0, part, 1))

/** Who asks for the pump's flow alone wants what it gives. */
function contented(design: BasinDesign): BasinDesign {
  const { flowM3PerS, turnoverPerH } = figuresOf(steadyState(design)).tanks[0]!
  if (turnoverPerH === null || flowM3PerS <= 0) return design
  const wanted = Math.min(MOST_TURNOVER_PER_H, Math.floor(turnoverPerH * 10) / 10)
  return wanted > 0 ? applyEdits(design, [setTo(['tanks', 0, 'turnoverPerH'], wanted)]) : design
}

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
        lengthM: tankSizes(answers, 0).lengthM,
        widthM: answers.behindM ?? usual.behindM,
        heightM: tankSizes(answers, 0).heightM,
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
