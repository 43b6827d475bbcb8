import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { rule } from '../rule.ts'

export const topOffGivesUp = rule({
  code: 'top-off-gives-up',
  station: 'own',
  severities: ['watch'],
  holds: 'The top-off’s run limit is shorter than it takes to fill a skimmer again.',
  condition: ({ skimmer: { pastRunLimit, topOffRunsS: runsS }, whole }: SkimmerCase) => {
    const limitS = whole.design.sump.topOff?.runLimitS ?? null
    return !pastRunLimit || runsS === null || limitS === null ? [] : [{ runsS, limitS }]
  },
  title: () => sentence('After the skimmer stops and starts, the top-off gives up'),
  reason: ({ skimmer }, { runsS, limitS }) =>
    sentence(
      '{back} falls back and fills it again. If the level was set meanwhile, the top-off runs {runs} to make up for it; its controller stops it after {limit}.',
      {
        back: ['volume', skimmer.givesBackM3],
        runs: ['duration', runsS],
        limit: ['duration', limitS],
      },
    ),
})
