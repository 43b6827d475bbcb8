import { brent } from '../../numeric/brent.ts'
import { speedForFlow } from '../../network/speed.ts'
import { nextSizeUp, seriesSize } from '../../pipe/size.ts'
import { sentence, type Sentence } from '../../quantity/sentence.ts'
import type { Edit } from '../edit.ts'
import type { BasinDesign } from '../design.ts'
import type { Fix, Solving } from './finding.ts'
import { fixForFlow, flowWith } from './try-out.ts'

const PIECES = ['returnSide', 'run', 'pieces'] as const
/** A controller's step; speeds are rounded to it, away from trouble (choice). */
const SPEED_STEP = 0.01
/** A fix for more flow must bring at least this much more to be worth showing (choice). */
const WORTH_SHARE = 0.02

/** One fix that makes the water move again, with the flow it brings. */
export function startFixes(design: BasinDesign, label: Sentence, edits: readonly Edit[]): Fix[] {
  return [fixForFlow(design, label, edits)]
}

/** What brings more flow: more speed, an open valve, a wider run. */
export function reachFixes(solving: Solving): Fix[] {
  const { design, returnSide } = solving
  const now = Math.max(0, returnSide.flowM3PerS)
  return [fasterFix(solving), openValvesFix(solving), widerFix(design)]
    .filter((fix) => fix !== null)
    .filter((fix) => flowWith(design, fix.edits) > now * (1 + WORTH_SHARE))
}

/** What brings the flow down to the wanted one: a slower pump, else a valve. */
export function overspeedFixes(solving: Solving): Fix[] {
  const { design, layout, tank } = solving
  if (layout.part.control === 'controllable') {
    const speed = speedForFlow(layout.problem, tank.wantedFlowM3PerS)
    const least = layout.part.leastSpeed
    if (speed !== null && speed >= least) return [speedFix(design, stepped(speed, Math.round))]
  }
  return throttleFix(solving)
}

function fasterFix({ design, layout, tank }: Solving): Fix | null {
  if (layout.part.control === 'fixed-speed' || layout.problem.speed >= 1) return null
  const speed = speedForFlow(layout.problem, tank.wantedFlowM3PerS)
  return speedFix(design, speed === null ? 1 : stepped(speed, Math.ceil))
}

function stepped(speed: number, round: (steps: number) => number): number {
  // 1e-9 keeps a speed that already stands on a step from being pushed to the next one.
  return Math.min(1, round(speed / SPEED_STEP - 1e-9) * SPEED_STEP)
}

function speedFix(design: BasinDesign, speed: number): Fix {
  return fixForFlow(design, sentence('Run the pump at {speed}', { speed: ['share', speed] }), [
    { op: 'set', path: ['returnSide', 'speed'], to: speed },
  ])
}

function openValvesFix({ design }: Solving): Fix | null {
  const edits = design.returnSide.run.pieces.flatMap((piece, index): Edit[] =>
    piece.kind === 'valve' && piece.opening < 1
      ? [{ op: 'set', path: [...PIECES, index, 'opening'], to: 1 }]
      : [],
  )
  return edits.length > 0 ? fixForFlow(design, sentence('Open the valve fully'), edits) : null
}

/** Every size of the run one step up; null when the series ends. */
function widerFix(design: BasinDesign): Fix | null {
  const { run } = design.returnSide
  const size = nextSizeUp(run.size)
  if (!size || run.pieces.some((piece) => piece.kind === 'reducer')) return null
  const label = sentence(`Run it in ${seriesSize(size)!.size} (bore {bore})`, {
    bore: ['length', seriesSize(size)!.boreM],
  })
  return fixForFlow(design, label, [{ op: 'set', path: ['returnSide', 'run', 'size'], to: size }])
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
