import type { SumpBox, SumpChamber, SumpWall } from '../../design/index.ts'
import { outWallOf } from '../../editing/index.ts'
import type { SolvedChamber } from '../../figures/index.ts'
import type { Case } from '../rule.ts'
import type { Whole } from './whole.ts'

/** A chamber of a sump with sizes. */
export interface ChamberCase extends Case {
  readonly whole: Whole
  readonly box: SumpBox
  readonly index: number
  readonly chamber: SumpChamber
  readonly solved: SolvedChamber
  /** Place of the wall its water leaves by; −1: it is the return chamber. */
  readonly outWall: number
}

/** Every chamber; none while the sump has no sizes. */
export function chamberCases(whole: Whole): ChamberCase[] {
  const { design, sump, steady } = whole
  const { box } = design.sump
  const { returnIndex } = steady
  if (!box) return []
  return design.sump.chambers.map((chamber, index) => ({
    whole,
    box,
    index,
    chamber,
    solved: sump.chambers[index]!,
    outWall: outWallOf(index, returnIndex),
    where: { chamberId: chamber.id },
  }))
}

/** That wall; undefined: it is the return chamber. */
export function wallOf({ whole, outWall }: ChamberCase): SumpWall | undefined {
  return whole.design.sump.walls[outWall]
}
