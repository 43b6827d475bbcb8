import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { CHECK_NETWORKS, checkProblem } from './check-network.ts'
import { makeNetwork } from '../../src/network/network.ts'
import { solveNetwork } from '../../src/network/solve-network.ts'

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
    },
  )
})
