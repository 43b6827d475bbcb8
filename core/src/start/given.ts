import { askables } from '../assumed/index.ts'
import type { BasinDesign } from '../design/index.ts'
import type { StartAnswers } from './answers.ts'

/** A design laid for answers, with all that was not answered marked as assumed. */
export function marked(design: BasinDesign, answers: StartAnswers): BasinDesign {
  const given = givenNames(design, answers)
  const assumed = askables(design)
    .map(({ name }) => name)
    .filter((name) => !given.has(name))
  return { ...design, assumed }
}

const SIZES = ['lengthM', 'widthM', 'heightM'] as const

/** The names of what was answered, as it stands in the design. */
function givenNames({ tanks, pumps }: BasinDesign, answers: StartAnswers): ReadonlySet<string> {
  const names = new Set<string>()
  const give = (isGiven: boolean, ...of: readonly string[]) => {
    if (isGiven) for (const name of of) names.add(name)
  }
  tanks.forEach(({ id }, i) => {
    const at = (key: string) => `tanks[${id}].${key}`
    give(answers.tanks[i]!.sizes !== null && answers.tanks[i]!.sizesGiven, ...SIZES.map(at))
    give(answers.standM !== null, at('floorHeightM'))
    const wants = answers.turnoverPerH !== null || answers.wantedFlowM3PerS !== null
    give(wants, at('turnoverPerH'))
  })
  give(answers.sump !== null, ...SIZES.map((key) => `sump.box.${key}`))
  give(answers.behindM !== null, 'sump.box.widthM')
  give(answers.pump !== null, 'returnSide.pumps[return-pump].pumpId')
  if (!answers.powerGuessed) pumps.forEach(({ id }) => names.add(`pumps[${id}].ratedPowerW`))
  return names
}
