import fc from 'fast-check'
import { anyNetwork } from './any-network.ts'
import { makeLine } from '../../src/network/line.ts'
import type { NetworkLink, NetworkNode, NetworkProblem } from '../../src/network/problem.ts'
import { AA, AB, BA, BB, TEE_SLOPES } from '../../src/network/slopes.ts'
import { TreeMatrix } from '../../src/network/tree-matrix.ts'
import { BRANCHES, DRIVEN, treeOf } from '../../src/network/tree.ts'
import { zeros } from '../../src/numeric/zeros.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { describe, expect, test } from '@jest/globals'

const WATER = waterAt({ salinityPpt: 35, temperatureC: 25 })
const line = makeLine([], [{ boreM: 0.02, loss: { km: 0, k: 5 }, kind: 'fitting' }])

function link(id: string, from: number, to: number, shut = false): NetworkLink {
  return { id, from, to, line, tables: [], pump: null, oneWay: false, shut }
}
const known = (id: string, headM: number): NetworkNode => ({ id, headM, tee: null })
const joint = (id: string, ...legs: [number, number, number]): NetworkNode => ({
  id,
  headM: null,
  tee: { law: null, legs },
})
const problem = (nodes: NetworkNode[], links: NetworkLink[]): NetworkProblem => ({
  nodes,
  links,
  water: WATER,
  tree: null,
})

/** Sump, tee, two ends. */
const FORK = problem(
  [known('sump', 2), joint('tee', 0, 1, 2), known('left', 1), known('right', 0)],
  [link('riser', 0, 1), link('left', 1, 2), link('right', 1, 3)],
)

describe('a network as trees', () => {
  test('hangs on a known head, its tees below their roots', () => {
    const tree = treeOf(FORK)
    expect(tree.live).toEqual([0, 1, 2])
    expect(tree.tees).toHaveLength(1)
    expect(tree.roots).toHaveLength(1)
    expect(tree.tees[0]).toMatchObject({ aKind: BRANCHES, bKind: BRANCHES, driven: false })
    expect(tree.chords).toEqual([])
  })
  test('leaves out a shut link and a dead end, and says where their heads come from', () => {
    const nodes = [
      known('sump', 2),
      joint('tee', 0, 1, 2),
      known('left', 1),
      joint('stub', 2, 3, -1),
      known('shut off', 0),
    ]
    const links = [
      link('riser', 0, 1),
      link('left', 1, 2),
      link('dead', 1, 3),
      link('shut', 3, 4, true),
    ]
    const tree = treeOf(problem(nodes, links))
    expect(tree.live).toEqual([0, 1])
    expect(tree.still).toEqual([{ node: 3, link: 2 }])
  })
  test('what no open link joins to a known head takes no part', () => {
    const nodes = [known('sump', 2), joint('lost', 0, 1, 2), joint('lost too', 0, 1, 2)]
    const links = [link('one', 1, 2), link('two', 1, 2), link('three', 1, 2)]
    const tree = treeOf(problem(nodes, links))
    expect(tree.live).toEqual([])
    expect(tree.still.map(({ link: by }) => by)).toEqual([-1, -1])
  })
  test('a link that closes a loop is a chord', () => {
    const nodes = [known('sump', 2), joint('out', 0, 1, 2), joint('in', 1, 3, 2), known('tank', 1)]
    const links = [
      link('riser', 0, 1),
      link('straight', 1, 2),
      link('bypass', 1, 2),
      link('end', 2, 3),
    ]
    const tree = treeOf(problem(nodes, links))
    expect(tree.chords).toHaveLength(1)
    const kinds = tree.tees.flatMap(({ aKind, bKind }) => [aKind, bKind])
    expect(kinds.filter((kind) => kind === DRIVEN)).toHaveLength(2)
  })
  test('more than three links at one place are refused by its name', () => {
    const nodes = [
      known('sump', 2),
      joint('cross', 0, 1, 2),
      known('a', 1),
      known('b', 1),
      known('c', 0),
    ]
    const links = [link('riser', 0, 1), link('a', 1, 2), link('b', 1, 3), link('c', 1, 4)]
    expect(() => treeOf(problem(nodes, links))).toThrow(/cross/)
  })
})

/** Random slopes and sides on a network's tree. */
function filled(given: NetworkProblem, random: () => number) {
  const tree = treeOf(given)
  const matrix = new TreeMatrix(tree, given.nodes.length)
  tree.live.forEach((_, i) => (matrix.slope[i] = 1e3 + 1e5 * random()))
  matrix.tees.forEach((_, i) => (matrix.tees[i] = 400 * (random() - 0.5)))
  const sides = {
    link: zeros(tree.live.length).map(() => random() - 0.5),
    legs: zeros(2 * tree.tees.length).map(() => 0.1 * (random() - 0.5)),
    surplus: zeros(tree.tees.length).map(() => 1e-4 * (random() - 0.5)),
    known: given.nodes.map(({ headM }) => headM ?? NaN),
  }
  matrix.factor()
  matrix.solve(sides)
  return { tree, matrix, sides }
}

describe('the matrix of a tree', () => {
  test('of any network: its answer is continuous at every tee and balances along every branch', () => {
    fc.assert(
      fc.property(anyNetwork, fc.integer({ min: 1, max: 1e6 }), (given, seed) => {
        let state = seed
        const random = () => (state = (state * 48271) % 2147483647) / 2147483647
        const { tree, matrix, sides } = filled(given, random)
        tree.tees.forEach(({ up, a, b, aKind, bKind, aSign, bSign }, t) => {
          const isChord = (at: number) => tree.chords.some((chord) => chord.link === at)
          const down = (at: number, sign: number) =>
            at < 0 ? 0 : (isChord(at) ? sign : 1) * matrix.flow[at]!
          const left = down(a, aSign) + down(b, bSign) - matrix.flow[up]! - sides.surplus[t]!
          expect(Math.abs(left)).toBeLessThan(1e-9)
          const legM = (kind: number, own: 'a' | 'b') => {
            const at = own === 'a' ? a : b
            if (kind !== BRANCHES) return
            const [byA, byB] = own === 'a' ? [AA, AB] : [BA, BB]
            const slopes = matrix.tees.slice(TEE_SLOPES * t)
            const moved = slopes[byA]! * down(a, aSign) + slopes[byB]! * down(b, bSign)
            const below = tree.below[at]!
            const lowerM = below < 0 ? sides.known[tree.farNode[at]!]! : matrix.head[below]!
            const lostM = sides.link[at]! + matrix.slope[at]! * matrix.flow[at]!
            const upperM = matrix.head[t]! + sides.legs[own === 'a' ? 2 * t : 2 * t + 1]! + moved
            expect(Math.abs(upperM - lowerM - lostM)).toBeLessThan(1e-6)
          }
          legM(aKind, 'a')
          legM(bKind, 'b')
        })
        tree.chords.forEach(({ link: at }, k) => {
          const lostM = sides.link[at]! + matrix.slope[at]! * matrix.flow[at]!
          expect(Math.abs(matrix.chordFrom[k]! - matrix.chordTo[k]! - lostM)).toBeLessThan(1e-6)
        })
      }),
      { seed: 77, numRuns: 300 },
    )
  })
})
