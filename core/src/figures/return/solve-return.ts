import { rootSumSquares } from '../../numeric/index.ts'
import type { BasinDesign } from '../../design/index.ts'
import { endLink, type Layout, tankFlow } from '../../layout/index.ts'
import type { SteadyState } from '../../loop/index.ts'
import type { BandedFlow } from '../flow-share.ts'
import { type Banded, halfWidth, withBands } from './bands.ts'
import { solveLine } from './solve-line.ts'
import { solvePumps } from './solve-pumps.ts'
import type { SolvedLine, SolvedReturn } from './solved.ts'

const HOUR_S = 3600

/** The whole return side as it runs, and what reaches each tank with its band. */
export interface RanReturn {
  readonly returnSide: SolvedReturn
  readonly intoTank: (tankId: string) => BandedFlow
}

/** Lines, pumps and their bands. */
export function solveReturn(
  { design, layout, network, solution }: SteadyState,
  netVolumeM3: number,
): RanReturn {
  const banded = withBands(network, solution)
  const pumps = solvePumps(layout, banded, {
    tariff: design.tariff,
    ownShare: design.returnSide.ownShare,
  })
  const lines = layout.lines.map((_, index) => solveLine(layout, index, banded, pumps))
  const all = into(layout, banded, null)
  const perVolume = netVolumeM3 > 0 ? HOUR_S / netVolumeM3 : null
  const total = (of: 'wirePowerW' | 'energyPerYearJ' | 'heatToWaterW') =>
    pumps.reduce((sum, pump) => sum + pump[of], 0)
  const lead = leadLine(design, lines)
  const returnSide: SolvedReturn = {
    status: lead.status,
    leadLineId: lead.lineId,
    flowM3PerS: all.flowM3PerS,
    flowBandM3PerS: all.flowBandM3PerS,
    turnoverPerH: perVolume === null ? null : all.flowM3PerS * perVolume,
    turnoverBandPerH: perVolume === null ? null : all.flowBandM3PerS * perVolume,
    wirePowerW: total('wirePowerW'),
    // Each pump's is known by itself: where two share an end, their flows move against each other.
    wirePowerBandW: rootSumSquares(pumps, ({ wirePowerBandW }) => wirePowerBandW),
    powerIsScaled: pumps.some((pump) => pump.powerIsScaled),
    energyPerYearJ: total('energyPerYearJ'),
    costPerYear: pumps.reduce<number | null>(
      (sum, { costPerYear }) => (sum === null || costPerYear === null ? null : sum + costPerYear),
      0,
    ),
    heatToWaterW: total('heatToWaterW'),
    unsettledLineId: unsettledLine(layout, banded),
    iterations: banded.solution.iterations,
    pumps,
    lines,
  }
  const intoEach = new Map(design.tanks.map(({ id }) => [id, into(layout, banded, id)]))
  return { returnSide, intoTank: (tankId) => intoEach.get(tankId)! }
}

/** What the lines bring into a tank, or into all of them, with its band. */
function into(layout: Layout, banded: Banded, tankId: string | null): BandedFlow {
  const ends = layout.lines.filter(
    ({ line: { end } }) => end.at === 'tank' && (tankId === null || end.id === tankId),
  )
  const flows = ends.map(({ index }) => ({ link: endLink(layout, index), by: 1 }))
  return {
    flowM3PerS: tankFlow(layout, banded.solution.flows, tankId),
    flowBandM3PerS: halfWidth(banded, { flows }),
  }
}

/** The line a design is known by: the first into its first tank, else into any, else the first. */
function leadLine(design: BasinDesign, lines: readonly SolvedLine[]): SolvedLine {
  const { lines: drawn } = design.returnSide
  const first = drawn.findIndex(({ end }) => end.at === 'tank' && end.id === design.tanks[0]!.id)
  const any = drawn.findIndex(({ end }) => end.at === 'tank')
  return lines[first >= 0 ? first : Math.max(0, any)]!
}

function unsettledLine(layout: Layout, { solution }: Banded): string | null {
  if (solution.unsettledLinkId === null) return null
  const link = layout.problem.links.findIndex(({ id }) => id === solution.unsettledLinkId)
  const segment = layout.segments.flat().find((laid) => laid.link === link)!
  return layout.lines[segment.lineIndex]!.line.id
}
