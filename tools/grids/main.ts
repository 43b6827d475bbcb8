import { domainOf, judgeField, planField, solveBasin, type FlowDomain } from '@yew-basin/core'
import { gridsApart, simulateFields } from '@yew-basin/core/lab'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'

/** Tank time that both grids are watched for: the water wanders from minute to minute. */
const WATCH_S = 600

const names = process.argv.slice(2)
for (const { name, design } of DEMO_BASINS) {
  if (names.length > 0 && !names.includes(name)) continue
  const solved = solveBasin(design)
  design.tanks.forEach((tank, i) => compare(`${name}, ${tank.name}`, domainOf(design, solved, i)))
}

/** Runs the coarse and the standard grid of a tank, and prints what each says and how far they are apart. */
function compare(title: string, domain: FlowDomain): void {
  const plan = planField(domain, 'standard')
  if (!plan?.begins) return
  const long = <Plan extends { readonly stepS: number }>(own: Plan) => ({
    ...own,
    watchSteps: Math.round(WATCH_S / own.stepS),
  })
  const watched = simulateFields({ ...long(plan), begins: long(plan.begins) }).slice(-2)
  const [coarse, standard] = [watched[0]!, watched[1]!]
  console.log(title)
  for (const { field } of watched) {
    const { zones, deadShare, meanMPerS } = judgeField(field, domain)
    const shares = zones.map(
      (zone) => `${zone.zone} ${percent(zone.inside)} as wanted, ${percent(zone.tooSlow)} too slow`,
    )
    console.log(
      `  ${field.fineness}: ${[...shares, `${percent(deadShare)} dead`, `mean ${(100 * meanMPerS).toFixed(2)} cm/s`].join('; ')}`,
    )
  }
  const { share, mean, wander } = gridsApart(standard, coarse, domain)
  console.log(
    `  apart: ${(100 * share).toFixed(1)} points, mean speed ${percent(mean)}; standard's shares known to ${(100 * wander).toFixed(1)} points`,
  )
}

function percent(share: number): string {
  return `${(100 * share).toFixed(1)} %`
}
