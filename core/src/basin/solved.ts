import type {
  SolvedDevice,
  SolvedDrain,
  SolvedDrainPiece,
  SolvedHeat,
  SolvedLine,
  SolvedPiece,
  SolvedPower,
  SolvedPump,
  SolvedSkimmer,
  SolvedSterilizer,
  SolvedTank,
  SolvedWater,
} from '../figures/index.ts'
import type { SolvedOverflow } from '../judge/index.ts'

/** What is solved of each part of a design. */
interface SolvedParts {
  readonly tank: SolvedTank
  readonly water: SolvedWater
  readonly overflow: SolvedOverflow
  readonly drain: SolvedDrain
  readonly 'drain-piece': SolvedDrainPiece
  readonly line: SolvedLine
  readonly piece: SolvedPiece
  readonly pump: SolvedPump
  readonly device: SolvedDevice
  readonly skimmer: SolvedSkimmer
  readonly sterilizer: SolvedSterilizer
  readonly heat: SolvedHeat
  readonly power: SolvedPower
}

/** A part of a design as it was solved, SI: `Solved<'line'>`. */
export type Solved<Part extends keyof SolvedParts> = SolvedParts[Part]
