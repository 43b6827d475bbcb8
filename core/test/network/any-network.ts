import fc from 'fast-check'
import { checkPumps } from '../check-pump.ts'
import { constantLoss } from '../../src/fitting/loss.ts'
import { teeLaw } from '../../src/fitting/tee-law.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { makeLine } from '../../src/network/line.ts'
import type { NetworkLink, NetworkNode, NetworkProblem } from '../../src/network/problem.ts'
import { makePchip } from '../../src/numeric/pchip.ts'
import { pumpCurve } from '../../src/pump/curve.ts'

const WATER = waterAt({ salinityPpt: 35, temperatureC: 25 })
const CURVES = Object.values(checkPumps()).map((part) => ({
  curve: pumpCurve(part),
  outletBoreM: part.outletBoreM,
}))
const BORES = [0.0158, 0.0209, 0.0266, 0.0351, 0.0409]

const some = <T>(list: readonly T[]) => fc.constantFrom(...list)
const between = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true })

const pump = fc.record({
  of: some(CURVES),
  speed: between(0.15, 1),
  stopped: fc.boolean(),
})

/** What a link is made of, before its ends are known. */
const body = fc.record({
  boreM: some(BORES),
  lengthM: fc.oneof(fc.constant(0), between(0.02, 6)),
  rough: some([1.5e-6, 1e-4]),
  k: fc.oneof(fc.constant(0), between(0, 30), between(100, 1e5)),
  km: some([0, 800]),
  table: fc.option(between(0.05, 2), { nil: null, freq: 8 }),
  oneWay: fc.boolean(),
  shut: fc.integer({ min: 0, max: 9 }).map((n) => n === 0),
  pump: fc.option(pump, { nil: null, freq: 3 }),
  reversed: fc.boolean(),
})

/**
 * Any network a keeper could plumb, and many none would: up to five known heads, up to eighteen
 * tees of any two bores, up to forty links, loops, idle pumps, shut valves, links without losses.
 */
export const anyNetwork: fc.Arbitrary<NetworkProblem> = fc
  .record({
    known: fc.array(between(-0.2, 2.5), { minLength: 1, maxLength: 5 }),
    tees: fc.array(
      fc.tuple(some(BORES), some(BORES), fc.integer({ min: 0, max: 2 }), fc.boolean()),
      {
        minLength: 1,
        maxLength: 18,
      },
    ),
    first: body,
    trunk: fc.array(fc.tuple(body, fc.nat()), { minLength: 18, maxLength: 18 }),
    extra: fc.array(fc.tuple(body, fc.nat(), fc.nat()), { maxLength: 30 }),
  })
  .map(({ known, tees, first, trunk, extra }) => {
    const links: NetworkLink[] = []
    const legs = tees.map(() => [-1, -1, -1])
    const free: { tee: number; leg: number }[] = []
    /** A link onto a leg of a tee, or onto a known head. */
    const join = (made: Body, a: Place, b: Place) => {
      const node = ({ tee, at }: Place) => (tee === undefined ? at! : known.length + tee.tee)
      for (const { tee } of [a, b]) if (tee) legs[tee.tee]![tee.leg] = links.length
      links.push(linkOf(`link ${links.length}`, made, node(a), node(b)))
    }
    tees.forEach(([, , entry], t) => {
      const [made, back] = trunk[t]!
      const from = t === 0 ? { at: 0 } : { tee: free.splice(back % free.length, 1)[0]! }
      join(t === 0 ? first : made, from, { tee: { tee: t, leg: entry } })
      for (let leg = 0; leg < 3; leg++) if (leg !== entry) free.push({ tee: t, leg })
    })
    for (const [made, a, b] of extra) {
      if (free.length === 0) break
      const from = { tee: free.splice(a % free.length, 1)[0]! }
      const ends = free.length + 2 * known.length
      const at = b % ends
      if (at >= free.length) join(made, from, { at: (at - free.length) % known.length })
      else if (free[at]!.tee !== from.tee.tee) join(made, from, { tee: free.splice(at, 1)[0]! })
    }
    const nodes: NetworkNode[] = [
      ...known.map((headM, n) => ({ id: `known ${n}`, headM, tee: null })),
      ...tees.map(([run, branch, , plain], t) => ({
        id: `tee ${t}`,
        headM: null,
        tee: {
          law: plain && run === branch ? null : teeLaw(run, branch),
          legs: legs[t] as unknown as readonly [number, number, number],
        },
      })),
    ]
    return { nodes, links, water: WATER, tree: null }
  })

/** Where a link ends: on a leg of a tee, or at a known head. */
interface Place {
  readonly tee?: { readonly tee: number; readonly leg: number }
  readonly at?: number
}

type Body = typeof body extends fc.Arbitrary<infer T> ? T : never

function linkOf(id: string, made: Body, from: number, to: number): NetworkLink {
  const { boreM, lengthM, rough, k, km, table } = made
  // Every link a keeper can draw costs something: a pipe, a tee, an end, or at least a pump.
  const lossless = lengthM === 0 && k + km === 0 && !made.pump
  const friction = { boreM, lengthM, roughnessM: rough, factor: 1, ribbed: false }
  const loss = {
    boreM,
    loss: { ...constantLoss(lossless ? 0.1 : k), km },
    kind: 'fitting' as const,
  }
  return {
    id,
    from: made.reversed ? to : from,
    to: made.reversed ? from : to,
    line: makeLine(lengthM > 0 ? [friction] : [], k + km > 0 || lossless ? [loss] : []),
    tables: table === null ? [] : [makePchip([0, 2e-4, 5e-4], [0, 0.3 * table, table])],
    pump: made.pump && { ...made.pump.of, speed: made.pump.speed, stopped: made.pump.stopped },
    oneWay: made.oneWay,
    shut: made.shut,
  }
}
