import { domainOf, judgeField, planField, solveBasin, type FlowDomain } from '@yew-basin/core'
import { gridsApart, simulateFields } from '@yew-basin/core/lab'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'

/** Tank time that both grids are watched for, s; NaN: as the view does. */
const [watchS, ...names] = [Number(process.argv[2]), ...process.argv.slice(3)]

const close = DEMO_BASINS.filter(({ name }) => names.length === 0 || names.includes(name)).flatMap(
  ({ name, design }) => {
    const solved = solveBasin(design)
    return design.tanks.map((tank, i) =>
      compare(`${name}, ${tank.name}`, domainOf(design, solved, i)),
    )
  },
)
process.exitCode = close.length > 0 && close.every(Boolean) ? 0 : 1

/** Runs the coarse and the standard grid of a tank, and prints what each says and how far they are apart; says whether that is close. */
function compare(title: string, domain: FlowDomain): boolean {
  const plan = planField(domain, 'standard')
  if (!plan?.begins) return false
  const long = <Plan extends { readonly stepS: number; readonly watchSteps: number }>(own: Plan) =>
    watchS > 0 ? { ...own, watchSteps: Math.round(watchS / own.stepS) } : own
  const watched = simulateFields({ ...long(plan), begins: long(plan.begins) }).slice(-2)
  const [coarse, standard] = [watched[0]!, watched[1]!]
  console.log(`${title}, watched for ${standard.field.watchedS.toFixed(0)} s`)
  for (const { field } of watched) {
    const { zones, deadShare, meanMPerS } = judgeField(field, domain)
    const shares = zones.map(
      (zone) => `${zone.zone} ${percent(zone.inside)} as wanted, ${percent(zone.tooSlow)} too slow`,
    )
    console.log(
      `  ${field.fineness}: ${[...shares, `${percent(deadShare)} dead`, `mean ${(100 * meanMPerS).toFixed(2)} cm/s`].join('; ')}`,
    )
  }
  const { share, mean, wander, isClose } = gridsApart(standard, coarse, domain)
  console.log(
    `  apart: ${(100 * share).toFixed(1)} points, mean speed ${percent(mean)}; standard's shares known to ${(100 * wander).toFixed(1)} points${isClose ? '' : ': past 5 points or 10 %'}`,
  )
  return isClose
}

function percent(share: number): string {
  return `${(100 * share).toFixed(1)} %`
}
