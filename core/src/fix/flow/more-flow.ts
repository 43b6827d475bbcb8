import { type Edit, setTo } from '../../design/index.ts'
import { valvePath } from '../../editing/index.ts'
import { type LineCase, meetsWanted } from '../../finding/index.ts'
import { pathTo } from '../../layout/index.ts'
import { nextSizeUp, sizeWords } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { FindingCandidate } from '../finding-fix.ts'
import { type Change, inOne } from '../lever/change.ts'
import type { Trials } from '../trial.ts'
import { atSpeed, speedFor, speedWords, stepped } from './speed.ts'
import { givingFlow, type Wish } from './wish.ts'

/** A change for more flow must bring at least this much more to be worth showing (choice). */
const WORTH_SHARE = 0.02

/** What brings more flow: more speed, an open valve, a wider line; and all of it where one is not enough. */
export function moreFlow(wish: Wish, trials: Trials): FindingCandidate[] {
  const worthM3PerS = Math.max(0, wish.nowM3PerS) * (1 + WORTH_SHARE)
  const flowOf = ({ edits }: Change) => trials.of(edits).flow(wish.place)
  const found = [faster(wish), openedValves(wish.line), wider(wish.line)]
    .filter((change) => change !== null)
    .filter((change) => flowOf(change) > worthM3PerS)
  const enough = found.some((change) => meetsWanted(flowOf(change), wish.wantedM3PerS))
  const all = found.length > 1 && !enough ? [inOne(found)] : []
  return [...found, ...all].map(({ label, edits }) => givingFlow(label, edits, wish.place))
}

function faster(wish: Wish): Change | null {
  const { pump } = wish.line
  if (pump.part.control === 'fixed-speed' || (pump.speed >= 1 && !pump.placed.stopped)) return null
  const found = speedFor(wish)
  const speed = found === null ? 1 : stepped(found, Math.ceil)
  return { label: speedWords(speed), edits: atSpeed(wish.line, speed) }
}

/** Every part-closed valve on the way from the pump; null where none is. */
export function openedValves({ whole: { layout }, laid }: LineCase): Change | null {
  const edits = pathTo(layout, laid.index).flatMap(({ lineIndex, segments }) =>
    segments.flatMap(({ firstPiece, endPiece }) =>
      layout.lines[lineIndex]!.placed.slice(firstPiece, endPiece).flatMap(({ piece }, i): Edit[] =>
        piece.kind === 'valve' && piece.opening < 1
          ? [setTo(valvePath(lineIndex, firstPiece + i), 1)]
          : [],
      ),
    ),
  )
  const label = edits.length > 1 ? 'Open the valves fully' : 'Open the valve fully'
  return edits.length > 0 ? { label: sentence(label), edits } : null
}

/** Every size of the line one step up; null when the series ends. */
function wider({ laid }: LineCase): Change | null {
  const { run } = laid.line
  const size = nextSizeUp(run.size)
  if (!size || run.pieces.some((piece) => piece.kind === 'reducer')) return null
  return {
    label: sentence('Run it in {size}', { size: sizeWords(size) }),
    edits: [setTo(['returnSide', 'lines', laid.index, 'run', 'size'], size)],
  }
}
