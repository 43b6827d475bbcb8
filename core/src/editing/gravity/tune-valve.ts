import { type BasinDesign, type Edit, setAlike, setTo } from '../../design/index.ts'
import type { SolvedMatch } from '../../figures/index.ts'

/** Sets a siphon's valve to what matches its flow, to a thousandth of its stroke; nothing where no setting does. */
export function tuneValve(
  { drains }: BasinDesign,
  drainIndex: number,
  { pieceId, opening }: SolvedMatch,
): Edit[] {
  if (opening === null) return []
  const at = drains[drainIndex]!.run.pieces.findIndex(({ id }) => id === pieceId)
  return [setTo(['drains', drainIndex, 'run', 'pieces', at, 'opening'], asSet(opening))]
}

/** Sets the valves of a tank's siphons alike, where they join and are matched together. */
export function tuneAlike(
  design: BasinDesign,
  tankId: string,
  { opening }: Pick<SolvedMatch, 'opening'>,
): Edit[] {
  return opening === null ? [] : setAlike(design, tankId, asSet(opening))
}

/** To a thousandth of its stroke. */
const asSet = (opening: number) => Math.round(opening * 1000) / 1000
