import {
  applyEdits,
  type BasinDesign,
  type Drain,
  type Edit,
  editing,
  setTo,
} from '@yew-basin/core'

/** What follows of itself: what stands in a chamber goes with it; a valve kept at the flow's match is turned. */
export function following(now: BasinDesign | null, edits: readonly Edit[]): readonly Edit[] {
  if (!now) return []
  const changed = applyEdits(now, edits)
  const kept = editing.keepDevices(now, changed)
  return [...kept, ...editing.matchEdits(applyEdits(changed, kept))]
}

/** A design with changes made, and what follows of them. */
export function withEdits(now: BasinDesign, edits: readonly Edit[]): BasinDesign {
  return applyEdits(now, [...edits, ...following(now, edits)])
}

/** A change made by hand: who turns a valve that is kept at its match takes it into his own hands. */
export function turnedByHand(now: BasinDesign | null, edit: Edit): readonly Edit[] {
  if (!now) return [edit]
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
