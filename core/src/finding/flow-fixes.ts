import type { Edit } from '../design/index.ts'
import { holdFlows, LEAST_OPENING, openingFor, settingValve, valveLossM } from '../editing/index.ts'
import { pathTo } from '../layout/index.ts'
import type { SteadyState } from '../loop/index.ts'
import { brent } from '../numeric/index.ts'
import { nextSizeUp, sizeWords } from '../pipe/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import type { Fix, LineCase } from './finding.ts'
import { fixForFlow, fixOfFlow, flowAtSpeeds, flowWith, type Of } from './try-out.ts'

/** A flow within this share below the wanted one counts as met: a turnover target is no finer (choice). */
export const SHORT_SHARE = 0.1

/** A controller's step; speeds are rounded to it, away from trouble (choice). */
const SPEED_STEP = 0.01
/** A fix for more flow must bring at least this much more to be worth showing (choice). */
const WORTH_SHARE = 0.02

/** A flow that a fix is to bring, and the line through which it comes. */
export interface Wish {
  readonly line: LineCase
  readonly of: Of
  readonly nowM3PerS: number
  readonly wantedM3PerS: number
}

/** A change in words and as edits, before its worth is known. */
interface Change {
  readonly label: Sentence
  readonly edits: readonly Edit[]
}

/** What brings more flow: more speed, an open valve, a wider line; and all of it where one is not enough. */
export function reachFixes(wish: Wish): Fix[] {
  const { steady } = wish.line.solving
  const worthM3PerS = Math.max(0, wish.nowM3PerS) * (1 + WORTH_SHARE)
  const found = [faster(wish), openedValves(wish), wider(wish)]
    .filter((change) => change !== null)
    .map((change) => ({ ...change, flowM3PerS: flowWith(steady, change.edits, wish.of) }))
    .filter(({ flowM3PerS }) => flowM3PerS > worthM3PerS)
  const enough = found.some(({ flowM3PerS }) => flowM3PerS >= (1 - SHORT_SHARE) * wish.wantedM3PerS)
  const together = found.length > 1 && !enough ? [allOf(steady, found, wish.of)] : []
  return [...found, ...together].map(({ label, edits, flowM3PerS }) =>
    fixOfFlow(label, edits, flowM3PerS),
  )
}

function allOf(steady: SteadyState, changes: readonly Change[], of: Of) {
  const edits = changes.flatMap((change) => change.edits)
  return {
    label: together(changes.map((change) => change.label)),
    edits,
    flowM3PerS: flowWith(steady, edits, of),
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

/** What brings the flow down to the wanted one: a slower pump, else a valve. */
export function overspeedFixes(wish: Wish): Fix[] {
  const { part } = wish.line.pump
  if (part.control === 'controllable') {
    const speed = speedFor(wish)
    if (speed !== null && speed >= part.leastSpeed) {
      const change = speedChange(wish.line, stepped(speed, Math.round))
      return [fixForFlow(wish.line.solving.steady, change.label, change.edits, wish.of)]
    }
  }
  return throttleFix(wish)
}

function faster(wish: Wish): Change | null {
  const { pump } = wish.line
  if (pump.part.control === 'fixed-speed' || (pump.speed >= 1 && !pump.placed.stopped)) return null
  const speed = speedFor(wish)
  return speedChange(wish.line, speed === null ? 1 : stepped(speed, Math.ceil))
}

/** The speed of the line's pump that brings the wanted flow; null when full speed does not. */
function speedFor({ line, of, wantedM3PerS }: Wish): number | null {
  const flow = flowAtSpeeds(line.solving.layout, line.pump, of)
  const at = (speed: number) => flow(speed) - wantedM3PerS
  if (at(1) < 0) return null
  const least = line.pump.part.leastSpeed
  if (at(least) >= 0) return least
  const found = brent(at, least, 1, { tolerance: SPEED_STEP / 20 })
  return found.ok ? found.value : null
}

function stepped(speed: number, round: (steps: number) => number): number {
  // 1e-3 of a step keeps a speed that already stands on one from being pushed to the next.
  return Math.min(1, round(speed / SPEED_STEP - 1e-3) * SPEED_STEP)
}

function speedChange({ design, pump }: LineCase, speed: number): Change {
  const at = design.returnSide.pumps.indexOf(pump.placed)
  return {
    label: sentence('Run the pump at {speed}', { speed: ['share', speed] }),
    edits: [
      { op: 'set', path: ['returnSide', 'pumps', at, 'speed'], to: speed },
      ...(pump.placed.stopped
        ? [{ op: 'set' as const, path: ['returnSide', 'pumps', at, 'stopped'], to: false }]
        : []),
    ],
  }
}

/** Every part-closed valve on the way from the pump. */
export function openedValves({ line }: Pick<Wish, 'line'>): Change | null {
  const { layout } = line.solving
  const edits = pathTo(layout, line.laid.index).flatMap(({ lineIndex, segments }) =>
    segments.flatMap(({ firstPiece, endPiece }) =>
      layout.lines[lineIndex]!.placed.slice(firstPiece, endPiece).flatMap(({ piece }, i): Edit[] =>
        piece.kind === 'valve' && piece.opening < 1
          ? [{ op: 'set', path: valvePath(lineIndex, firstPiece + i), to: 1 }]
          : [],
      ),
    ),
  )
  const label = edits.length > 1 ? 'Open the valves fully' : 'Open the valve fully'
  return edits.length > 0 ? { label: sentence(label), edits } : null
}

export function valvePath(lineIndex: number, piece: number): (string | number)[] {
  return ['returnSide', 'lines', lineIndex, 'run', 'pieces', piece, 'opening']
}

/** Every size of the line one step up; null when the series ends. */
function wider({ line }: Wish): Change | null {
  const { run } = line.laid.line
  const size = nextSizeUp(run.size)
  if (!size || run.pieces.some((piece) => piece.kind === 'reducer')) return null
  return {
    label: sentence(`Run it in ${sizeWords(size)}`),
    edits: [{ op: 'set', path: ['returnSide', 'lines', line.laid.index, 'run', 'size'], to: size }],
  }
}

/** The opening of the line's last throttling valve that brings the wanted flow. */
export function throttleFix({ line, of, nowM3PerS, wantedM3PerS }: Wish): Fix[] {
  const { layout } = line.solving
  const setting = settingValve(layout, line.laid.index)
  if (!setting || line.solved.flowM3PerS <= 0) return []
  // What a tank is to lose, this line loses; the tank's other lines take up a little of it.
  const target = line.solved.flowM3PerS - (nowM3PerS - wantedM3PerS)
  if (target <= 0) return []
  const held = holdFlows(layout, layout.problem.links, [{ link: setting.link, flowM3PerS: target }])
  const nowM = valveLossM(layout, setting, setting.valve.opening, target)
  const found = openingFor(layout, setting, nowM + held.extraLossM[0]!, target)
  const opening = Math.round(found * 1e4) / 1e4
  const label = sentence('Turn the valve to {opening} open', { opening: ['share', opening] })
  const edits: Edit[] = [
    { op: 'set', path: valvePath(line.laid.index, setting.piece), to: opening },
  ]
  // A valve that holds its own line's flow brings that flow; at the end of its travel, or with
  // other lines into the same tank, the design is solved again.
  const holds = 'lineId' in of && opening > LEAST_OPENING && opening < 1
  return [
    holds ? fixOfFlow(label, edits, target) : fixForFlow(line.solving.steady, label, edits, of),
  ]
}
