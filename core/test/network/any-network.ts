import fc from 'fast-check'
import { checkPumps } from '../check-pump.ts'
import { constantLoss } from '../../src/fitting/loss.ts'
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
 * Any network a keeper could plumb, and many none would: up to five known heads, up to
 * eighteen junctions, up to forty links, loops, idle pumps, shut valves, links without losses.
 */
export const anyNetwork: fc.Arbitrary<NetworkProblem> = fc
  .record({
    known: fc.array(between(-0.2, 2.5), { minLength: 1, maxLength: 5 }),
    junctions: fc.integer({ min: 1, max: 18 }),
    first: body,
    extra: fc.array(fc.tuple(body, fc.nat(), fc.nat()), { maxLength: 21 }),
    trunk: fc.array(fc.tuple(body, fc.nat()), { minLength: 18, maxLength: 18 }),
  })
  .map(({ known, junctions, first, extra, trunk }) => {
    const nodes: NetworkNode[] = [
      ...known.map((headM, n) => ({ id: `known ${n}`, headM })),
      ...Array.from({ length: junctions }, (_, n) => ({ id: `junction ${n}`, headM: null })),
    ]
    const links: NetworkLink[] = [linkOf('link 0', first, 0, known.length)]
    trunk.slice(1, junctions).forEach(([made, back], i) => {
      const to = known.length + 1 + i
      links.push(linkOf(`link ${links.length}`, made, back % to, to))
    })
    for (const [made, a, b] of extra) {
      const from = a % nodes.length
      const to = b % nodes.length
      if (from !== to) links.push(linkOf(`link ${links.length}`, made, from, to))
    }
    return { nodes, links, water: WATER }
  })

type Body = typeof body extends fc.Arbitrary<infer T> ? T : never

function linkOf(id: string, made: Body, from: number, to: number): NetworkLink {
  const { boreM, lengthM, rough, k, km, table } = made
  // Every link a keeper can draw costs something: a pipe, a tee, an end, or at least a pump.
  const lossless = lengthM === 0 && k + km === 0 && !made.pump
  const friction = { boreM, lengthM, roughnessM: rough, factor: 1 }
  const loss = { boreM, loss: { ...constantLoss(lossless ? 0.1 : k), km }, exit: false }
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
