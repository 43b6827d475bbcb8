/** What came of a round: what is not as it must be, and a line about it. */
export interface Outcome {
  readonly failures: readonly string[]
  readonly told: string
}

export const outcome = (failures: readonly string[], told: string): Outcome => ({ failures, told })
