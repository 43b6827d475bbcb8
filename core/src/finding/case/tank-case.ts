import type { BasinDesign, DisplayTank } from '../../design/index.ts'
import type { SolvedTank } from '../../figures/index.ts'
import type { Case } from '../rule.ts'
import type { Whole } from './whole.ts'

/** One tank of the design, by its place in the list. */
export interface TankCase extends Case {
  readonly whole: Whole
  readonly index: number
  readonly tank: DisplayTank
  readonly solved: SolvedTank
  /** "Lower tank: " where there are several. */
  readonly words: string
}

/** Every tank. */
export function tankCases(whole: Whole): TankCase[] {
  const { design, tanks } = whole
  return design.tanks.map((tank, index) => ({
    whole,
    index,
    tank,
    solved: tanks[index]!,
    words: tankWords(design, tank),
    where: { tankId: tank.id },
  }))
}

/** "Lower tank: " in front of what is said, where a design has more than one. */
export function tankWords({ tanks }: BasinDesign, { name }: DisplayTank): string {
  return tanks.length > 1 ? `${name}: ` : ''
}
