import { type BasinDesign, type Edit, setTo } from '../../design/index.ts'
import type { SolvedMatch } from '../../figures/index.ts'

/** Sets a siphon's valve to what matches its flow, to a thousandth of its stroke; nothing where no setting does. */
export function tuneValve(
  { drains }: BasinDesign,
  drainIndex: number,
  { pieceId, opening }: SolvedMatch,
): Edit[] {
  if (opening === null) return []
  const at = drains[drainIndex]!.run.pieces.findIndex(({ id }) => id === pieceId)
  const rounded = Math.round(opening * 1000) / 1000
  return [setTo(['drains', drainIndex, 'run', 'pieces', at, 'opening'], rounded)]
}
