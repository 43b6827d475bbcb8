import { applyEdits, type BasinDesign, type Edit } from '../../design/index.ts'
import { figuresOf, joinedMatch, type SolvedDrain } from '../../figures/index.ts'
import { type SteadyState, steadyState } from '../../loop/index.ts'
import { tuneAlike, tuneValve } from './tune-valve.ts'

/** A setting moves the levels, and those the flow: after so many rounds it stands to a thousandth (seen: two). */
const MOST_ROUNDS = 3

/**
 * What sets every valve that is kept at the flow's match; nothing where none is, where all stand, or
 * where no setting matches. Solves once for each round.
 */
export function matchEdits(design: BasinDesign): readonly Edit[] {
  if (!design.drains.some(({ keepsMatch }) => keepsMatch)) return []
  let edits: readonly Edit[] = []
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const next = settings(applyEdits(design, edits))
    if (next.length === 0) break
    edits = next
  }
  return edits
}

function settings(design: BasinDesign): readonly Edit[] {
  const steady = steadyState(design)
  const { drains } = figuresOf(steady)
  return design.drains.flatMap((drain, index): readonly Edit[] => {
    if (!drain.keepsMatch) return []
    const edits = valveAtMatch(steady, drains, index)
    return stands(design, edits) ? [] : edits
  })
}

/** Sets a siphon's valve to what matches the flow; those that join are set alike. Nothing where no setting does. */
export function valveAtMatch(
  steady: SteadyState,
  drains: readonly SolvedDrain[],
  index: number,
): readonly Edit[] {
  const { design } = steady
  const { match } = drains[index]!
  if (match) return tuneValve(design, index, match)
  const joined = joinedMatch(steady, index)
  return joined ? tuneAlike(design, design.drains[index]!.tankId, joined) : []
}

function stands(design: BasinDesign, edits: readonly Edit[]): boolean {
  return JSON.stringify(applyEdits(design, edits).drains) === JSON.stringify(design.drains)
}
