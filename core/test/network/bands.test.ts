import { coverage, type EndCoverage, MODELS } from '../../../tools/bands/coverage.ts'
import { randomNetwork } from '../../../tools/bands/random-network.ts'
import { anyNetwork } from './any-network.ts'
import { checkProblem, CHECK_NETWORKS } from './check-network.ts'
import { Bands } from '../../src/network/bands.ts'
import { makeNetwork } from '../../src/network/network.ts'
import type { NetworkProblem } from '../../src/network/problem.ts'
import { solveNetwork } from '../../src/network/solve-network.ts'
import { makePchip } from '../../src/numeric/pchip.ts'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'

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

/** A network that rests, with its bands; null: it does not settle. */
function bandsOf(problem: NetworkProblem) {
  const network = makeNetwork(problem)
  const outcome = solveNetwork(network)
  return outcome.ok
    ? { network, bands: new Bands(network), flows: outcome.value.flowsM3PerS }
    : null
}

describe('the band of a flow', () => {
  test('of any network is the same by the sweeps over all flows and by its own answer', () => {
    let compared = 0
    let looped = 0
    fc.assert(
      fc.property(anyNetwork, (problem) => {
        const made = bandsOf(problem)
        if (!made) return
        const { bands, network, flows } = made
        problem.links.forEach((_, link) => {
          if (Math.abs(flows[link]!) < 1e-9) return
          const { band } = bands.ofFlow(link)
          const told = bands.width({ flows: [{ link, by: -3 }] })
          expect(Math.abs(told - 3 * band)).toBeLessThan(1e-8 * band)
          compared++
          if (network.tree.chords.length > 0) looped++
        })
      }),
      { seed: 12, numRuns: 300 },
    )
    expect(compared - looped).toBeGreaterThan(300)
    expect(looped).toBeGreaterThan(300)
  })
  test('adds up from single answers as hydraulics §3 has it', () => {
    const { bands, flows } = bandsOf(checkProblem(CHECK_NETWORKS[0]!))!
    const end = flows.findIndex((flow) => flow > 0)
    const { each, kind, together, pieces, pumps, band } = bands.ofFlow(end)
    expect(pieces).toBe(Math.max(each, kind, together))
    expect(band).toBeCloseTo(Math.hypot(pieces, pumps), 15)
    expect(band).toBeGreaterThan(0)
  })
  test('does not move when the network is solved again elsewhere', () => {
    const problem = checkProblem(CHECK_NETWORKS[0]!)
    const before = bandsOf(problem)!
    const after = bandsOf(problem)!
    const links = problem.links.map((_, link) => link)
    const asked = (bands: Bands) =>
      links.flatMap((link) => [
        bands.width({ flows: [{ link, by: 1 }] }),
        bands.ofFlow(link).band,
        bands.sensitivity(link, 0),
      ])
    const { nodeHead } = after.network
    nodeHead.forEach((headM, n) => (nodeHead[n] = headM + 0.05 * n))
    const moved = solveNetwork(after.network)
    if (!moved.ok) throw new Error(moved.reason)
    expect(moved.value.flowsM3PerS).not.toEqual(after.flows)
    expect(asked(after.bands)).toEqual(asked(before.bands))
  })
  test('of a link that carries nothing is nil', () => {
    const problem = checkProblem(CHECK_NETWORKS[0]!)
    const last = problem.links.length - 1
    const links = problem.links.map((link, l) => (l === last ? { ...link, shut: true } : link))
    const { bands } = bandsOf({ ...problem, links })!
    expect(bands.width({ flows: [{ link: last, by: 1 }] })).toBe(0)
    expect(bands.ofFlow(last).band).toBe(0)
    expect(Math.abs(bands.sensitivity(last, 0))).toBe(0)
  })
})

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
