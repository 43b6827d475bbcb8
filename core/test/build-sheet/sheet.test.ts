import { describe, expect, test } from '@jest/globals'
import { buildFindings, sheetOf } from '../../src/basin/building.ts'
import { plumbingOf } from '../../src/build-sheet/index.ts'
import { BODY_GROUP } from '../../src/build-sheet/list/names.ts'
import { TAKE_OFF_OF } from '../../src/build-sheet/route/body.ts'
import { routesOf } from '../../src/build-sheet/route/routes.ts'
import { takeOffOf } from '../../src/fitting/take-off.ts'
import { type BasinDesign, solveBasin } from '../../src/index.ts'
import { isHose } from '../../src/pipe/index.ts'
import { aLoop } from '../a-loop.ts'
import { randomDesign } from '../judge/random-design.ts'

/** Designs by lot, and one that is known. */
const DESIGNS: readonly (readonly [string, BasinDesign])[] = [
  ['a loop', aLoop()],
  ...Array.from({ length: 16 }, (_, seed) => [`lot ${seed}`, randomDesign(seed)] as const),
]
const sheet = (design: BasinDesign) => sheetOf(design, solveBasin(design))

describe.each(DESIGNS)('%s', (_, design) => {
  const { routes, joints, cuts } = plumbingOf(design)
  const { list, plans } = sheet(design)

  test('has every drawn piece once: a body, or in pipe and hose', () => {
    const drawn = [...design.returnSide.lines, ...design.drains].flatMap(({ run }) => run.pieces)
    for (const { id, kind } of drawn) {
      const bodies = routes.flatMap((route) => route.bodies.filter((body) => body.id === id))
      const segments = routes.flatMap((route) =>
        route.segments.filter(({ pieceIds }) => pieceIds.includes(id)),
      )
      const isLong = kind === 'pipe' || kind === 'free-hose'
      // A pipe that passes a floor is cut there, and a hose bends without a fitting.
      const times = isLong ? [0, segments.length] : [1 - segments.length, segments.length]
      expect([id, bodies.length, segments.length]).toEqual([id, ...times])
      expect(bodies.length + Math.min(1, segments.length)).toBe(1)
    }
  })

  test('lists every body that is bought, once', () => {
    const bought = routes.flatMap(({ bodies }) =>
      bodies.filter(({ kind }) => BODY_GROUP[kind] !== undefined),
    )
    const adapters = joints.filter(({ adapterAt }) => adapterAt === 'pipe').length
    const couplings = cuts.reduce((sum, { parts }) => sum + parts - 1, 0)
    expect(joints.filter(({ bodyId }) => bodyId.includes('-coupling-')).length).toBe(2 * couplings)
    const plugs = list.find(({ name }) => name === 'plug')?.count ?? 0
    const listed = list
      .filter(({ group }) => ['adapters', 'fittings', 'valves', 'bulkheads'].includes(group))
      .reduce((sum, { count }) => sum + count, 0)
    expect(listed).toBe(bought.length + adapters + couplings + plugs)
    expect(new Set(list.map(({ key }) => key)).size).toBe(list.length)
  })

  test('has joints of their own names, each of two halves or found to have none', () => {
    expect(new Set(joints.map(({ id }) => id)).size).toBe(joints.length)
    const torn = joints.filter(({ isWhole }) => !isWhole).length
    const found = buildFindings(design).filter(({ code }) => code === 'no-single-adapter').length
    expect(found).toBe(torn)
  })

  test('cuts and the arms of their ends are as long as each run is drawn, to 0.1 mm', () => {
    const drawnRoutes = routesOf(design)
    routes.forEach((route, n) => {
      const own = cuts.filter(({ routeId, kind }) => routeId === route.id && kind === 'pipe')
      const made = own.reduce((sum, { cutM, zM }) => sum + cutM + zM[0] + zM[1], 0)
      const drawn = drawnRoutes[n]!.segments.filter(({ kind }) => kind === 'pipe').reduce(
        (sum, { lengthM }) => sum + lengthM,
        0,
      )
      expect(Math.abs(made - drawn)).toBeLessThan(1e-4)
    })
  })

  test('needs no fewer stocks than the bound, and no more than the plain rule', () => {
    for (const { nesting, marks } of plans) {
      if (!nesting) continue
      expect(nesting.stocks.length).toBeGreaterThanOrEqual(nesting.lowerBound)
      expect(nesting.stocks.length).toBeLessThanOrEqual(nesting.byRule)
      expect(nesting.stocks.flat().length).toBe(marks.length)
      for (const [i, stock] of nesting.stocks.entries()) {
        expect(stock.length).toBeGreaterThan(0)
        expect(nesting.offcutsM[i]).toBeGreaterThanOrEqual(0)
      }
    }
  })
})

test('drawn runs are as long as their pipes; an elbow turned down stands higher than its lip', () => {
  for (const [, design] of DESIGNS) {
    const lengths = routesOf(design).map(({ segments }) =>
      segments.reduce((sum, { lengthM }) => sum + lengthM, 0),
    )
    const runs = [...design.returnSide.lines, ...design.drains]
    runs.forEach(({ run }, i) => {
      const drawn = run.pieces.reduce(
        (sum, piece) =>
          sum + (piece.kind === 'pipe' || piece.kind === 'free-hose' ? piece.lengthM : 0),
        0,
      )
      const drain = design.drains[i - design.returnSide.lines.length]
      const isDown = drain?.inlet.form === 'turned-down' && !isHose(run.size.series)
      const elbow = isDown ? takeOffOf(TAKE_OFF_OF['elbow-90'], run.size) : { zM: 0, depthM: 0 }
      expect(lengths[i]).toBeCloseTo(drawn + elbow.zM + elbow.depthM, 9)
    })
  }
})
