import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyNetwork } from './any-network.ts'
import { linkHead, searchOf } from '../../src/network/laws.ts'
import { inOneLine, makeLine } from '../../src/network/line.ts'
import { makeNetwork } from '../../src/network/network.ts'
import type { NetworkLink, NetworkProblem, NetworkSolution } from '../../src/network/problem.ts'
import { solveWithLosses } from '../../src/network/solved-flows.ts'
import { MOST_ITERATIONS, solveNetwork } from '../../src/network/solve-network.ts'

const SEED = 20261123
const settings = (numRuns: number) => ({ seed: SEED, numRuns })

function solved(problem: NetworkProblem, from?: number[]): NetworkSolution {
  const outcome = solveNetwork(makeNetwork(problem), from)
  if (!outcome.ok) throw new Error(`${outcome.reason} at ${outcome.linkId}`)
  return outcome.value
}

/** Flows, and the head at the end of a link: its node's, or that of its leg of the tee there. */
function solvedLegs(problem: NetworkProblem) {
  const network = makeNetwork(problem)
  const { flows } = solveWithLosses(network)
  const { flowsM3PerS, headsM, tees } = flows
  const legHeadM = (node: number, link: number) => {
    const tee = tees.find((solvedTee) => solvedTee.node === node)
    const leg = problem.nodes[node]!.tee?.legs.indexOf(link)
    const own = tee?.legs.find((solvedLeg) => solvedLeg.leg === leg)
    const lossM = own?.lossM ?? 0
    return headsM[node]! + (tee?.dividing ? -lossM : lossM)
  }
  return { flowsM3PerS, legHeadM }
}

function headOf(problem: NetworkProblem, l: number, flow: number): number {
  const into = { headM: 0, slope: 0 }
  linkHead(searchOf(problem.links[l]!, problem.water), flow, into)
  return into.headM
}

/** A ring without any loss may carry any flow round itself: only links with a loss have one answer. */
const isLossy = ({ line, tables, pump }: NetworkLink) =>
  line.walls.length + line.quad + line.linear + tables.length > 0 || (pump?.stopped ?? false)

describe('any network', () => {
  test('settles within the iterations allowed: ten thousand of them', () => {
    const taken: number[] = []
    fc.assert(
      fc.property(anyNetwork, (problem) => {
        const outcome = solveNetwork(makeNetwork(problem))
        expect(outcome).toMatchObject({ ok: true })
        taken.push(outcome.iterations)
      }),
      settings(10_000),
    )
    // Where the tees are brought in by and by, it is more; that is seldom.
    expect(taken.filter((iterations) => iterations > MOST_ITERATIONS).length).toBeLessThan(20)
    taken.sort((a, b) => a - b)
    expect(taken[9_000]).toBeLessThanOrEqual(15)
  }, 120_000)

  test('what comes to a junction leaves it', () => {
    fc.assert(
      fc.property(anyNetwork, (problem) => {
        const { flowsM3PerS } = solved(problem)
        problem.nodes.forEach((node, n) => {
          if (node.headM !== null) return
          const left = problem.links.reduce(
            (sum, link, l) =>
              sum + (link.to === n ? flowsM3PerS[l]! : 0) - (link.from === n ? flowsM3PerS[l]! : 0),
            0,
          )
          expect(Math.abs(left)).toBeLessThan(1e-9)
        })
      }),
      settings(500),
    )
  })

  test('nothing passes a check valve backwards or a shut valve at all', () => {
    fc.assert(
      fc.property(anyNetwork, (problem) => {
        const { flowsM3PerS } = solved(problem)
        problem.links.forEach((link, l) => {
          if (link.oneWay) expect(flowsM3PerS[l]).toBeGreaterThanOrEqual(0)
          if (link.shut) expect(flowsM3PerS[l]).toBe(0)
        })
      }),
      settings(500),
    )
  })

  test('heads balance along every link, so round every path', () => {
    fc.assert(
      fc.property(anyNetwork, (problem) => {
        const { flowsM3PerS, legHeadM } = solvedLegs(problem)
        problem.links.forEach((link, l) => {
          const drop = legHeadM(link.from, l) - legHeadM(link.to, l)
          if (link.shut || Number.isNaN(drop)) return
          const still = link.oneWay && Math.abs(flowsM3PerS[l]!) < 1e-12
          const lost = headOf(problem, l, flowsM3PerS[l]!)
          // Behind a valve that stands at rest the head is known less well.
          if (still) expect(drop).toBeLessThan(lost + 1e-2)
          else expect(Math.abs(drop - lost)).toBeLessThan(1e-5)
        })
      }),
      settings(500),
    )
  })

  test('has one answer, wherever the search begins', () => {
    const start = fc.array(fc.double({ min: -0.01, max: 0.01, noNaN: true }), {
      minLength: 40,
      maxLength: 40,
    })
    fc.assert(
      fc.property(anyNetwork, start, (problem, guess) => {
        const one = solved(problem).flowsM3PerS
        const other = solved(problem, Array.from(guess)).flowsM3PerS
        problem.links.forEach((link, l) => {
          if (isLossy(link)) expect(Math.abs(one[l]! - other[l]!)).toBeLessThan(1e-6)
        })
      }),
      settings(500),
    )
  })
})

describe('a loss added anywhere', () => {
  test('lets no more flow through its own link', () => {
    fc.assert(
      fc.property(
        anyNetwork,
        fc.nat(),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (given, at, k) => {
          const l = at % given.links.length
          const before = solved(given).flowsM3PerS[l]!
          const link = given.links[l]!
          if (!isLossy(link)) return
          const added = makeLine([], [{ boreM: 0.02, loss: { km: 0, k }, kind: 'fitting' }])
          const links = given.links.map((original, i) =>
            i === l ? { ...link, line: inOneLine(link.line, added) } : original,
          )
          const after = solved({ ...given, links }).flowsM3PerS[l]!
          expect(Math.abs(after)).toBeLessThanOrEqual(Math.abs(before) + 1e-8)
        },
      ),
      settings(500),
    )
  })
})
