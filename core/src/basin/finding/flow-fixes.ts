import { brent } from '../../numeric/brent.ts'
import { speedForFlow } from '../../network/speed.ts'
import { nextSizeUp, sizeWords } from '../../pipe/size.ts'
import { sentence, type Sentence } from '../../quantity/sentence.ts'
import type { Edit } from '../edit.ts'
import type { BasinDesign } from '../design.ts'
import type { Fix, Solving } from './finding.ts'
import { fixForFlow, fixOfFlow, flowWith } from './try-out.ts'

/** A flow within this share below the wanted one counts as met: a turnover target is no finer (choice). */
export const SHORT_SHARE = 0.1

const PIECES = ['returnSide', 'run', 'pieces'] as const
/** A controller's step; speeds are rounded to it, away from trouble (choice). */
const SPEED_STEP = 0.01
/** A fix for more flow must bring at least this much more to be worth showing (choice). */
const WORTH_SHARE = 0.02

/** One fix that makes the water move again, with the flow it brings. */
export function startFixes(design: BasinDesign, label: Sentence, edits: readonly Edit[]): Fix[] {
  return [fixForFlow(design, label, edits)]
}

/** What brings more flow: more speed, an open valve, a wider run; and all of it where one is not enough. */
export function reachFixes(solving: Solving): Fix[] {
  const { design, tank, returnSide } = solving
  const worthM3PerS = Math.max(0, returnSide.flowM3PerS) * (1 + WORTH_SHARE)
  const found = [faster(solving), openedValves(design), wider(design)]
    .filter((change) => change !== null)
    .map((change) => ({ ...change, flowM3PerS: flowWith(design, change.edits) }))
    .filter(({ flowM3PerS }) => flowM3PerS > worthM3PerS)
  const enough = found.some(
    ({ flowM3PerS }) => flowM3PerS >= (1 - SHORT_SHARE) * tank.wantedFlowM3PerS,
  )
  const together = found.length > 1 && !enough ? [allOf(design, found)] : []
  return [...found, ...together].map(({ label, edits, flowM3PerS }) =>
    fixOfFlow(label, edits, flowM3PerS),
  )
}

function allOf(design: BasinDesign, changes: readonly Change[]) {
  const edits = changes.flatMap((change) => change.edits)
  return {
    label: together(changes.map((change) => change.label)),
    edits,
    flowM3PerS: flowWith(design, edits),
  }
}

/** "Both: run the pump at 100%, run it in 1″ schedule 40", with each label's own quantities. */
function together(labels: readonly Sentence[]): Sentence {
  const parts = labels.map(({ text }, i) =>
    (text.charAt(0).toLowerCase() + text.slice(1)).replace(/\{(\w+)\}/g, `{$1${i}}`),
  )
  const values = labels.flatMap((label, i) =>
    Object.entries(label.values).map(([name, value]) => [`${name}${i}`, value] as const),
  )
  return {
    text: `${labels.length > 2 ? 'All' : 'Both'}: ${parts.join(', ')}`,
    values: Object.fromEntries(values),
  }
}

/** A change in words and as edits, before its worth is known. */
interface Change {
  readonly label: Sentence
  readonly edits: readonly Edit[]
}

/** What brings the flow down to the wanted one: a slower pump, else a valve. */
export function overspeedFixes(solving: Solving): Fix[] {
  const { design, layout, tank } = solving
  if (layout.part.control === 'controllable') {
    const speed = speedForFlow(layout.problem, tank.wantedFlowM3PerS)
    const least = layout.part.leastSpeed
    if (speed !== null && speed >= least)
      return [tried(design, speedChange(stepped(speed, Math.round)))]
  }
  return throttleFix(solving)
}

function faster({ layout, tank }: Solving): Change | null {
  if (layout.part.control === 'fixed-speed' || layout.problem.speed >= 1) return null
  const speed = speedForFlow(layout.problem, tank.wantedFlowM3PerS)
  return speedChange(speed === null ? 1 : stepped(speed, Math.ceil))
}

function stepped(speed: number, round: (steps: number) => number): number {
  // 1e-9 keeps a speed that already stands on a step from being pushed to the next one.
  return Math.min(1, round(speed / SPEED_STEP - 1e-9) * SPEED_STEP)
}

function speedChange(speed: number): Change {
  return {
    label: sentence('Run the pump at {speed}', { speed: ['share', speed] }),
    edits: [{ op: 'set', path: ['returnSide', 'speed'], to: speed }],
  }
}

function openedValves(design: BasinDesign): Change | null {
  const edits = design.returnSide.run.pieces.flatMap((piece, index): Edit[] =>
    piece.kind === 'valve' && piece.opening < 1
      ? [{ op: 'set', path: [...PIECES, index, 'opening'], to: 1 }]
      : [],
  )
  return edits.length > 0 ? { label: sentence('Open the valve fully'), edits } : null
}

/** Every size of the run one step up; null when the series ends. */
function wider(design: BasinDesign): Change | null {
  const { run } = design.returnSide
  const size = nextSizeUp(run.size)
  if (!size || run.pieces.some((piece) => piece.kind === 'reducer')) return null
  return {
    label: sentence(`Run it in ${sizeWords(size)}`),
    edits: [{ op: 'set', path: ['returnSide', 'run', 'size'], to: size }],
  }
}

function tried(design: BasinDesign, { label, edits }: Change): Fix {
  return fixForFlow(design, label, edits)
}

/** The opening of the first throttling valve that brings the wanted flow. */
function throttleFix({ design, tank }: Solving): Fix[] {
  const at = design.returnSide.run.pieces.findIndex(
    (piece) => piece.kind === 'valve' && piece.form !== 'diaphragm',
  )
  if (at < 0) return []
  const turned = (opening: number): Edit[] => [
    { op: 'set', path: [...PIECES, at, 'opening'], to: opening },
  ]
  const found = brent(
    (opening) => flowWith(design, turned(opening)) - tank.wantedFlowM3PerS,
    0,
    1,
    { tolerance: 1e-3 },
  )
  if (!found.ok) return []
  const opening = Math.round(found.value * 100) / 100
  return [
    fixForFlow(
      design,
      sentence('Turn the valve to {opening} open', { opening: ['share', opening] }),
      turned(opening),
    ),
  ]
}
