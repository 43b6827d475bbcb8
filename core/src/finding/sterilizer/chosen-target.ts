import type { AgainstTarget } from '../../figures/index.ts'
import { sentence, type Sentence } from '../../quantity/index.ts'
import type { DoseTarget } from '../../uv/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'

/** A sterilizer against the target that it is for. */
export interface ChosenTarget {
  readonly target: DoseTarget
  readonly against: AgainstTarget
  readonly doseJPerM2: number
  readonly doseBandJPerM2: number
}

/** null: no target is chosen, or no water passes. */
export function chosenTarget({ whole, sterilizer }: SterilizerCase): ChosenTarget | null {
  const { targets, targetId } = whole.design.treatment
  const target = targets.find(({ id }) => id === targetId)
  const against = sterilizer.targets.find((row) => row.targetId === targetId)
  const { doseJPerM2, doseBandJPerM2 } = sterilizer
  return target && against && doseJPerM2 !== null
    ? { target, against, doseJPerM2, doseBandJPerM2: doseBandJPerM2 ?? 0 }
    : null
}

/** The dose, what is quoted and the flow that gives it, as a sentence needs them. */
export function doseValues({ target, against, doseJPerM2, doseBandJPerM2 }: ChosenTarget) {
  return {
    dose: ['dose', doseJPerM2, doseBandJPerM2],
    most: ['dose', target.mostJPerM2],
    flow: ['flow', against.flowForItM3PerS],
    organism: target.organism,
  } as const
}

/** What it does in the tank, to stand behind a sentence. */
export function inTheTank({ against: { halfLifeS, halfLifeBandS } }: ChosenTarget): Sentence {
  if (halfLifeS === null) return sentence('')
  return sentence(' In the tank their number falls by half in {half}.', {
    half: ['duration', halfLifeS, halfLifeBandS],
  })
}
