import { applyEdits, type BasinDesign, type Drain, type Edit, setTo } from '../design/index.ts'
import { matchEdits } from './gravity/keep-tuned.ts'
import { keepDevices } from './keep-devices.ts'

/** What follows of edits by itself: what stands in a chamber goes with it; a valve kept at the flow's match is turned. */
export function following(now: BasinDesign, edits: readonly Edit[]): readonly Edit[] {
  const changed = applyEdits(now, edits)
  const kept = keepDevices(now, changed)
  return [...kept, ...matchEdits(applyEdits(changed, kept))]
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
