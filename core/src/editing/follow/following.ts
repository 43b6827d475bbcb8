import { applyEdits, type BasinDesign, type Drain, type Edit, setTo } from '../../design/index.ts'
import { matchEdits } from '../gravity/keep-tuned.ts'
import { areEndsMoved, followDrains, followLines, followLips } from './follow-ends.ts'
import { followSump } from './follow-sump.ts'
import { followTanks, makeRoom } from './follow-tanks.ts'
import { keepDevices } from './keep-devices.ts'
import { piecesOfDevices } from './pieces-of-devices.ts'

/** One thing that follows of a change, after those before it. */
type Follower = (before: BasinDesign, after: BasinDesign) => readonly Edit[]

/** What belongs to what was moved. */
const BELONGING: readonly Follower[] = [
  makeRoom,
  followTanks,
  followSump,
  keepDevices,
  piecesOfDevices,
]

/** What goes along with a change by itself. */
export interface GoesAlong {
  /** A tank's overflow and its drains, pumps and devices of a chamber: without them the design would fall apart. */
  readonly belongs: readonly Edit[]
  /** Lines that lead on to where they ended: a keeper may rather leave them. */
  readonly leads: readonly Edit[]
}

/** What goes along with a change by itself: what belongs to what was moved, and what leads there. */
export function goesAlong(now: BasinDesign, edits: readonly Edit[]): GoesAlong {
  const changed = applyEdits(now, edits)
  const belonging = inTurn(BELONGING, now, changed)
  const moved = applyEdits(changed, belonging)
  if (!areEndsMoved(now, moved)) return { belongs: belonging, leads: [] }
  const drains = inTurn([followLips, followDrains], now, moved)
  return { belongs: [...belonging, ...drains], leads: followLines(now, applyEdits(moved, drains)) }
}

function inTurn(followers: readonly Follower[], before: BasinDesign, after: BasinDesign): Edit[] {
  const edits: Edit[] = []
  for (const follower of followers) edits.push(...follower(before, applyEdits(after, edits)))
  return edits
}

/** A valve kept at the flow's match is turned after a change. */
export const tuned = (now: BasinDesign, edits: readonly Edit[]): readonly Edit[] =>
  matchEdits(applyEdits(now, edits))

/** What follows of edits by itself: what goes along, and a valve kept at the flow's match is turned. */
export function following(now: BasinDesign, edits: readonly Edit[]): readonly Edit[] {
  const { belongs, leads } = goesAlong(now, edits)
  const along = [...belongs, ...leads]
  return [...along, ...tuned(now, [...edits, ...along])]
}

/** Edits, and what follows of them by itself. */
export const withFollowing = (now: BasinDesign, edits: readonly Edit[]): readonly Edit[] => [
  ...edits,
  ...following(now, edits),
]

/** An edit made by hand: who turns a valve that is kept at its match takes it into his own hands. */
export function turnedByHand(now: BasinDesign, edit: Edit): readonly Edit[] {
  const { drains } = applyEdits(now, [edit])
  const turned = now.drains.flatMap((drain, i): Edit[] => {
    const after = drains[i]
    const same = !after || openings(after) === openings(drain)
    return same || !drain.keepsMatch ? [] : [setTo(['drains', i, 'keepsMatch'], false)]
  })
  return [edit, ...turned]
}

const openings = ({ run }: Drain) =>
  run.pieces.map((piece) => (piece.kind === 'valve' ? piece.opening : '')).join(' ')
