import { checkPumps } from '../check-pump.ts'
import { anyNetwork } from './any-network.ts'
import { linkHead, type LinkHead, linkHeads, searchOf } from '../../src/network/laws.ts'
import { makeNetwork } from '../../src/network/network.ts'
import type { NetworkLink, NetworkProblem } from '../../src/network/problem.ts'
import {
  beginFriction,
  FACTOR,
  FRICTION_ROOM,
  frictionAside,
  frictionAt,
  frictionFactor,
  SLOPE,
} from '../../src/pipe/friction.ts'
import { zeros } from '../../src/numeric/zeros.ts'
import { pumpCurve } from '../../src/pump/curve.ts'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })

function headAt(problem: NetworkProblem, link: NetworkLink, flow: number): LinkHead {
  const into = { headM: 0, slope: 0 }
  linkHead(searchOf(link, problem.water), flow, into)
  return into
}
/** A search along a wall of a roughness, from the start of a list of its own. */
function searchAlong(rough: number): number[] {
  const list = zeros(FRICTION_ROOM)
  beginFriction(list, 0, rough)
  return list
}
/** Slope of a function by differences on both sides. */
function slopeOf(of: (x: number) => number, x: number, step: number): number {
  return (of(x + step) - of(x - step)) / (2 * step)
}

describe('friction with its slope', () => {
  test('is the same factor, and its slope is the slope', () => {
    fc.assert(
      fc.property(number(50, 2e5), number(0, 0.01), number(0.1, 9), (re, rough, near) => {
        const into = zeros(2)
        const search = searchAlong(rough)
        frictionAt(near * re, search, 0, into)
        frictionAt(re, search, 0, into)
        expect(Math.abs(into[FACTOR]! - frictionFactor(re, rough))).toBeLessThan(1e-9)
        // A difference may not straddle the corners at 2 000 and 4 000, where only f and f' agree.
        const step = re * 1e-5
        if (Math.abs(re - 2000) < step || Math.abs(re - 4000) < step) return
        // df/d(ln Re) = Re df/dRe.
        const measured = re * slopeOf((at) => frictionFactor(at, rough), re, step)
        expect(Math.abs(into[SLOPE]! - measured)).toBeLessThan(1e-3 * Math.abs(measured) + 1e-6)
      }),
      { seed: 5, numRuns: 400 },
    )
  })
  test('asked a thousand times on end, from far and from near, it is still the same to rounding', () => {
    const rough = 3e-4
    const search = searchAlong(rough)
    const into = zeros(2)
    for (let i = 0; i < 3000; i++) {
      // Slowly up and down, with a leap now and then.
      const re = 4000 + 3e4 * (1 + Math.sin(i / 40)) + (i % 97 === 0 ? 2e5 : 0)
      frictionAt(re, search, 0, into)
      const off = Math.abs(into[FACTOR]! / frictionFactor(re, rough) - 1)
      if (off > 1e-13) throw new Error(`${off} off at the ${i}th, Re ${re}`)
      const step = re * 1e-5
      const measured = re * slopeOf((at) => frictionFactor(at, rough), re, step)
      expect(Math.abs(into[SLOPE]! / measured - 1)).toBeLessThan(1e-6)
    }
  })
})

/** Of a Reynolds number: as far as a series reaches and beyond, or as near as a last step leads. */
const share = fc.oneof(number(0.9, 1.1), number(1 - 4e-5, 1 + 4e-5))

describe('a friction search', () => {
  test('asked aside tells the same and stays where it was', () => {
    fc.assert(
      fc.property(number(50, 2e5), number(0, 0.01), share, fc.nat(15), (re, rough, near, times) => {
        const search = searchAlong(rough)
        const into = zeros(2)
        for (let i = 0; i <= times; i++) frictionAt(re, search, 0, into)
        const before = search.slice()
        frictionAside(near * re, search, 0, into)
        expect(search).toEqual(before)
        const anew = zeros(2)
        frictionAt(near * re, searchAlong(rough), 0, anew)
        expect(Math.abs(into[FACTOR]! / anew[FACTOR]! - 1)).toBeLessThan(5e-11)
        expect(Math.abs(into[SLOPE]! / anew[SLOPE]! - 1)).toBeLessThan(1e-4)
      }),
      { seed: 8, numRuns: 400 },
    )
  })
  test('leaves its neighbours in the list alone', () => {
    const list = zeros(3 * FRICTION_ROOM)
    list.forEach((_, i) => (list[i] = i + 0.5))
    beginFriction(list, FRICTION_ROOM, 1e-4)
    const into = zeros(2)
    for (let re = 100; re < 1e5; re *= 1.02) frictionAt(re, list, FRICTION_ROOM, into)
    for (let i = 0; i < 20; i++) frictionAt(5e4, list, FRICTION_ROOM, into)
    expect(into[FACTOR]! / frictionFactor(5e4, 1e-4)).toBeCloseTo(1, 12)
    for (let i = 0; i < FRICTION_ROOM; i++) {
      expect(list[i]).toBe(i + 0.5)
      expect(list[2 * FRICTION_ROOM + i]).toBe(2 * FRICTION_ROOM + i + 0.5)
    }
  })
})

describe('a link’s law', () => {
  test('of many links at once is that of each alone', () => {
    fc.assert(
      fc.property(anyNetwork, fc.nat(), ({ links, water, ...rest }, seed) => {
        const { searches } = makeNetwork({ links, water, ...rest })
        const flow = zeros(searches.length)
        flow.forEach((_, i) => (flow[i] = 2e-3 * Math.sin(seed + 7 * i) ** 3))
        const head = zeros(searches.length)
        const slope = zeros(searches.length)
        linkHeads(searches, flow, head, slope)
        searches.forEach(({ line, tables, pump, oneWay }, i) => {
          const alone = { headM: 0, slope: 0 }
          linkHead(searchOf({ line, tables, pump }, water, oneWay), flow[i]!, alone)
          expect(Math.abs(head[i]! - alone.headM)).toBeLessThan(1e-12 * (1 + Math.abs(alone.headM)))
          expect(Math.abs(slope[i]! - alone.slope)).toBeLessThan(1e-9 * (1 + alone.slope))
        })
      }),
      { seed: 9, numRuns: 200 },
    )
  })
  test('rises with the flow, and its slope is the slope', () => {
    fc.assert(
      fc.property(anyNetwork, fc.nat(), number(-0.004, 0.004), (problem, at, flow) => {
        const link = problem.links[at % problem.links.length]!
        const here = headAt(problem, link, flow)
        const step = Math.max(1e-9, Math.abs(flow) * 1e-5)
        const further = headAt(problem, link, flow + 100 * step)
        expect(further.headM).toBeGreaterThanOrEqual(here.headM - 1e-12)
        if (Math.abs(flow) < 1e-6) return
        const measured = slopeOf((q) => headAt(problem, link, q).headM, flow, step)
        expect(Math.abs(here.slope - measured)).toBeLessThan(2e-2 * Math.abs(measured) + 0.5)
      }),
      { seed: 6, numRuns: 400 },
    )
  })
  test('without a pump it costs the same both ways', () => {
    fc.assert(
      fc.property(anyNetwork, fc.nat(), number(0, 0.004), (problem, at, flow) => {
        const link = { ...problem.links[at % problem.links.length]!, pump: null, oneWay: false }
        const [there, back] = [headAt(problem, link, flow), headAt(problem, link, -flow)]
        expect(there.headM).toBeCloseTo(-back.headM, 12)
      }),
      { seed: 7, numRuns: 200 },
    )
  })
})

test('a pump’s curve tells its slope, inside its points and beyond', () => {
  for (const part of Object.values(checkPumps())) {
    const curve = pumpCurve(part)
    for (const share of [0.07, 0.31, 0.55, 0.83, 1.3]) {
      const flow = share * curve.knownToM3PerS
      const measured = slopeOf(curve.headAtFullSpeedM, flow, flow * 1e-6)
      expect(Math.abs(curve.slopeAtFullSpeed(flow) - measured)).toBeLessThan(
        1e-3 * Math.abs(measured) + 1e-3,
      )
    }
  }
})
