import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { L_PER_H } from '../tables.ts'
import { CHECK_NETWORKS, type CheckNetwork, checkProblem } from './check-network.ts'
import { Bands } from '../../src/network/bands.ts'
import { makeNetwork } from '../../src/network/network.ts'
import type { NetworkProblem } from '../../src/network/problem.ts'
import { solveWithLosses } from '../../src/network/solved-flows.ts'
import { solveNetwork } from '../../src/network/solve-network.ts'

const LEGS = ['run1', 'run2', 'branch'] as const

function expectTees({ id, result }: CheckNetwork, problem: NetworkProblem): void {
  const { tees } = solveWithLosses(makeNetwork(problem)).flows
  for (const [name, wanted] of Object.entries(result.tees ?? {})) {
    const node = problem.nodes.findIndex((known) => known.id === name)
    const { common, legs } = tees.find((tee) => tee.node === node)!
    expect(LEGS[common]).toBe(wanted.common_leg)
    for (const { leg, k } of legs) {
      const want = wanted.K[LEGS[leg]]
      if (want === undefined) continue
      if (want === 0) expect(Math.abs(k)).toBeLessThan(1e-9)
      else expectClose(`${id} ${name} ${LEGS[leg]} K`, k, want, 1e-5)
    }
  }
}

function expectBands({ id, result }: CheckNetwork, problem: NetworkProblem): void {
  const network = makeNetwork(problem)
  solveNetwork(network)
  const bands = new Bands(network)
  for (const [name, wanted] of Object.entries(result.bands ?? {})) {
    const band = bands.ofFlow(problem.links.findIndex((link) => link.id === name))
    const close = (what: string, got: number, want: number) =>
      Math.abs(want) < 1e-9
        ? expect(Math.abs(got)).toBeLessThan(1e-9)
        : expectClose(`${id} ${name} ${what}`, got, want, 1e-4)
    close('band', band.band / L_PER_H, wanted.flow_band_L_h)
    close('each', band.each / L_PER_H, wanted.band_each_L_h)
    close('kind', band.kind / L_PER_H, wanted.band_kind_L_h)
    close('together', band.together / L_PER_H, wanted.band_together_L_h)
    close('pumps', band.pumps / L_PER_H, wanted.band_pumps_L_h)
    for (const [kind, share] of Object.entries(band.shareOfKind)) {
      close(kind, share, wanted.squared_share[kind.replaceAll('-', '_')]!)
    }
    for (const { link, share } of band.shareOfPump) {
      close('pump', share, wanted.squared_share[`pump:${problem.links[link]!.id}`]!)
    }
  }
}

describe('networks against the check table', () => {
  test.each(CHECK_NETWORKS.map((given) => [`${given.id} ${given.comment}`, given] as const))(
    '%s',
    (name, given) => {
      const problem = checkProblem(given)
      const outcome = solveNetwork(makeNetwork(problem))
      if (!outcome.ok) throw new Error(`${outcome.reason} at ${outcome.linkId}`)
      const { flowsM3PerS, headsM } = outcome.value
      problem.links.forEach((link, l) => {
        const wanted = given.result.link_flow_m3_s[link.id]!
        if (wanted === 0) expect(flowsM3PerS[l]).toBeCloseTo(0, 12)
        else expectClose(`${name} ${link.id}`, flowsM3PerS[l]!, wanted, 1e-5)
        const peer = given.result.peer_link_flow_m3_s?.[link.id]
        // The other engine lets a shut end seep; that is no flow to compare with.
        if (peer && Math.abs(peer) > 1e-8)
          expectClose(`${name} ${link.id}, peer`, flowsM3PerS[l]!, peer, 0.01)
      })
      problem.nodes.forEach((node, n) => {
        const wanted = given.result.node_head_m[node.id]!
        expect(Math.abs(headsM[n]! - wanted)).toBeLessThan(1e-5 * Math.max(1, Math.abs(wanted)))
      })
      expectTees(given, problem)
      expectBands(given, problem)
    },
  )
})
