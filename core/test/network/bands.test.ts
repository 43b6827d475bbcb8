import { coverage, type EndCoverage, MODELS } from '../../../tools/bands/coverage.ts'
import { randomNetwork } from '../../../tools/bands/random-network.ts'
import { checkProblem, CHECK_NETWORKS } from './check-network.ts'
import { Bands } from '../../src/network/bands.ts'
import { makeNetwork } from '../../src/network/network.ts'
import type { NetworkProblem } from '../../src/network/problem.ts'
import { solveNetwork } from '../../src/network/solve-network.ts'
import { makePchip } from '../../src/numeric/pchip.ts'
import { describe, expect, test } from '@jest/globals'

const DRAWS = 200
const NETWORKS = 60

describe('bands, drawn by lot', () => {
  const ends: EndCoverage[] = Array.from({ length: NETWORKS }, (_, i) =>
    coverage(randomNetwork(i + 1), DRAWS, 1000 + i),
  ).flat()

  test.each(MODELS)('hold at every end where errors go %s', (model) => {
    expect(ends.length).toBeGreaterThan(150)
    for (const { network, end, inside } of ends) {
      if (inside[model] < 89) throw new Error(`${network}, ${end}: ${inside[model]} of 100`)
    }
    const mean = ends.reduce((sum, { inside }) => sum + inside[model], 0) / ends.length
    expect(mean).toBeGreaterThanOrEqual(94)
  })
  test('are no wider than they must be', () => {
    const widths = ends.map(({ width }) => width).sort((a, b) => a - b)
    expect(widths[Math.floor(widths.length / 2)]).toBeLessThanOrEqual(1.3)
  })
})

/** More head lost along the flow of a link: a device that takes a little. */
function withLoss(problem: NetworkProblem, link: number, headM: number): NetworkProblem {
  const links = problem.links.map((given, l) =>
    l === link
      ? { ...given, tables: [...given.tables, makePchip([0, 1e-9, 1], [0, headM, headM])] }
      : given,
  )
  return { ...problem, links }
}

describe('a sensitivity', () => {
  test.each(CHECK_NETWORKS.map((given) => [given.id, given] as const))(
    'of %s is what a little more loss does to every flow',
    (_, given) => {
      const problem = checkProblem(given)
      const network = makeNetwork(problem)
      const outcome = solveNetwork(network)
      if (!outcome.ok) throw new Error(outcome.reason)
      const here = outcome.value.flowsM3PerS
      const bands = new Bands(network)
      const headM = 1e-6
      problem.links.forEach((__, l) => {
        if (Math.abs(here[l]!) < 1e-6) return
        const moved = solveNetwork(makeNetwork(withLoss(problem, l, headM)), here.slice())
        if (!moved.ok) throw new Error(moved.reason)
        problem.links.forEach((___, e) => {
          if (here[e] === 0) return
          const measured = (moved.value.flowsM3PerS[e]! - here[e]!) / headM
          const told = bands.sensitivity(e, l)
          expect(Math.abs(measured - told)).toBeLessThan(1e-3 * Math.abs(told) + 1e-8)
        })
      })
    },
  )
})
