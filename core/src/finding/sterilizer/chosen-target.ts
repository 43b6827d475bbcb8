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

/** The dose as it is, and whose it is, as a title needs them; written out, as a spread takes many times as long. */
export function doseWords({ target, doseJPerM2, doseBandJPerM2 }: ChosenTarget, device: string) {
  return {
    device,
    dose: ['dose', doseJPerM2, doseBandJPerM2],
    organism: target.organism,
  } as const
}

/** What is quoted, the flow that gives it and what that does in the tank, as a reason needs them. */
export function quotedWords(chosen: ChosenTarget, band = sentence('')) {
  return {
    most: ['dose', chosen.target.mostJPerM2],
    flow: ['flow', chosen.against.flowForItM3PerS],
    inTheTank: inTheTank(chosen),
    band,
  } as const
}

/** What it does in the tank, to stand behind a sentence. */
function inTheTank({ against: { halfLifeS, halfLifeBandS } }: ChosenTarget): Sentence {
  if (halfLifeS === null) return sentence('')
  return sentence(' In the tank their number falls by half in {half}.', {
    half: ['duration', halfLifeS, halfLifeBandS],
  })
}
