import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { A_SUMP, aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { applyEdits } from '../../src/design/edit.ts'
import {
  addPump,
  asTree,
  choosePump,
  DRAIN_SCHOOLS,
  hangingOn,
  newSump,
  oneMoreDrain,
  otherOverflow,
  reordered,
  schoolEdits,
  sumpEdits,
  teeOff,
  tuneAlike,
  tuneValve,
  tryLayout,
  withChamber,
  withHeight,
  withLength,
  withoutChamber,
  withoutLine,
  withFollowing,
  withoutOverflow,
} from '../../src/editing/index.ts'
import { SERIES_SIZES } from '../../src/pipe/series.ts'

/** What a keeper asks for in one word is a design that still hangs together. */

/** Every id that something names is there, and each once. */
function hangsTogether(design: BasinDesign): void {
  const { tanks, drains, sump, returnSide, pumps } = design
  const chambers = new Set(sump.chambers.map(({ id }) => id))
  const tankIds = new Set(tanks.map(({ id }) => id))
  const tees = (runs: readonly { run: { pieces: readonly { id: string; kind: string }[] } }[]) =>
    new Set(
      runs.flatMap(({ run }) => run.pieces.flatMap(({ id, kind }) => (kind === 'tee' ? [id] : []))),
    )
  const returnTees = tees(returnSide.lines)
  const drainTees = tees(drains)
  for (const { tankId, end } of drains) {
    expect(tankIds.has(tankId)).toBe(true)
    expect(end.at === 'chamber' ? chambers.has(end.id) : drainTees.has(end.id)).toBe(true)
  }
  const placed = new Set(returnSide.pumps.map(({ id }) => id))
  for (const { start, end } of returnSide.lines) {
    expect(start.at === 'pump' ? placed.has(start.id) : returnTees.has(start.id)).toBe(true)
    if (end.at === 'tank') expect(tankIds.has(end.id!)).toBe(true)
    if (end.at === 'chamber') expect(chambers.has(end.id!)).toBe(true)
    if (end.at === 'tee') expect(returnTees.has(end.id!)).toBe(true)
  }
  for (const { pumpId, chamberId } of returnSide.pumps) {
    expect(pumps.some(({ id }) => id === pumpId)).toBe(true)
    expect(chambers.has(chamberId)).toBe(true)
  }
  for (const { chamberId } of sump.devices) {
    if (chamberId !== null) expect(chambers.has(chamberId)).toBe(true)
  }
  if (sump.box) expect(sump.walls).toHaveLength(sump.chambers.length - 1)
  for (const list of [
    tanks,
    drains,
    sump.chambers,
    sump.walls,
    returnSide.lines,
    returnSide.pumps,
  ]) {
    const ids = (list as readonly { id: string }[]).map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
  }
}

const ids = (() => {
  let n = 0
  return () => `made-${++n}`
})()

describe('draining a box', () => {
  test.each(DRAIN_SCHOOLS.map(({ school }) => school))('by %s carries what comes', (school) => {
    const design = aLoop({ school })
    hangsTogether(design)
    expect(design.drains.length).toBeGreaterThan(0)
    const { tanks, drains } = solveBasin(design)
    const down = drains.reduce((sum, { flowM3PerS }) => sum + flowM3PerS, 0)
    expect(down).toBeCloseTo(tanks[0]!.flowM3PerS, 6)
  })
  test('every school says what it wins and what it costs', () => {
    const words = DRAIN_SCHOOLS.map((school) => JSON.stringify(school))
    expect(new Set(words).size).toBe(words.length)
  })
  test('by one pipe more leaves the others as they are', () => {
    const before = aLoop()
    const wish = {
      tankId: before.tanks[0]!.id,
      school: 'siphon-trickle-emergency',
      chamberId: before.sump.chambers[0]!.id,
      series: 'pn-16',
      flowM3PerS: 8e-4,
    } as const
    const drain = oneMoreDrain(before, wish, 'vented')
    expect(drain.role).toBe('vented')
    const after: BasinDesign = { ...before, drains: [...before.drains, drain] }
    hangsTogether(after)
    expect(after.drains.slice(0, -1)).toEqual(before.drains)
  })
  test('tuned, a siphon carries what comes and no more; all alike stand alike', () => {
    const design = aLoop()
    const match = solveBasin(design).drains[0]!.match!
    const tuned = applyEdits(design, tuneValve(design, 0, match))
    hangsTogether(tuned)
    expect(solveBasin(tuned).drains[0]!.state).toBe('full')
    const alike = applyEdits(design, tuneAlike(design, design.tanks[0]!.id, { opening: 0.4 }))
    const openings = alike.drains.flatMap(({ role, run }) =>
      role === 'siphon'
        ? run.pieces.flatMap((piece) => (piece.kind === 'valve' ? [piece.opening] : []))
        : [],
    )
    expect(openings.length).toBeGreaterThan(0)
    for (const opening of openings) expect(opening).toBeCloseTo(0.4, 3)
  })
})

describe('an overflow', () => {
  test.each([
    ['inner-box', 'back'],
    ['outer-box', 'back'],
    ['inner-box', 'left'],
    ['hung-box', 'back'],
  ] as const)('made %s at the %s keeps the tank together', (form, place) => {
    const before = aLoop()
    const after = applyEdits(before, otherOverflow(before, 0, { form, place }))
    hangsTogether(after)
    expect(after.tanks[0]!.overflow).toMatchObject({ form, place })
    expect(Number.isFinite(solveBasin(after).tanks[0]!.flowM3PerS)).toBe(true)
  })
  test('taken away takes its drains along, and nothing else', () => {
    const before = aLoop()
    const after = applyEdits(before, withoutOverflow(before, 0))
    hangsTogether(after)
    expect([after.tanks[0]!.overflow, after.drains]).toEqual([null, []])
    expect(after.returnSide).toEqual(before.returnSide)
  })
})

describe('a school that is laid', () => {
  const loop = aLoop()
  test.each(DRAIN_SCHOOLS.map(({ school, roles }) => [school, roles.length] as const))(
    '%s has its %d pipes in place of those before, and no stop',
    (school, pipes) => {
      const laid = schoolEdits(loop, 0, { school, series: 'pn-16' })
      const after = applyEdits(loop, withFollowing(loop, laid))
      hangsTogether(after)
      expect(after.drains).toHaveLength(pipes)
      const stops = solveBasin(after).findings.filter(({ severity }) => severity === 'stop')
      expect(stops.map(({ code }) => code)).toEqual([])
      // One that stands alone is watched by a sensor.
      expect(after.tanks[0]!.overflow!.sensorM !== null).toBe(pipes === 1)
    },
  )
  test('a sensor that is there already stays where it is', () => {
    const own = { ...loop.tanks[0]!.overflow!, sensorM: 0.41 }
    const held = { ...loop, tanks: [{ ...loop.tanks[0]!, overflow: own }] }
    const laid = schoolEdits(held, 0, { school: 'vented-standpipe', series: 'pn-16' })
    expect(applyEdits(held, laid).tanks[0]!.overflow!.sensorM).toBe(0.41)
  })
})

describe('a sump', () => {
  const before = aLoop()
  test.each([
    ['return'],
    ['skimmer,return'],
    ['socks,skimmer,trap,trap,return'],
    ['socks,skimmer,refugium,trap,trap,return'],
  ])('of %s has its walls, and its return chamber can be drawn from', (words) => {
    const uses = words.split(',') as Parameters<typeof newSump>[2]
    const plain = aBasin()
    const made = applyEdits(plain, sumpEdits(plain, newSump(plain.sump, A_SUMP, uses)))
    hangsTogether(made)
    expect(made.sump.chambers.map(({ use }) => use)).toEqual(uses)
    for (const { atM } of made.sump.walls) {
      expect(atM).toBeGreaterThan(0)
      expect(atM).toBeLessThan(A_SUMP.lengthM)
    }
  })
  test('laid out after the drains takes them to its drain chamber', () => {
    const open = { ...before, sump: { ...before.sump, box: null, walls: [] } }
    const [only] = open.sump.chambers.filter(({ use }) => use === 'return')
    const bare = {
      ...open,
      sump: { ...open.sump, chambers: [only!] },
      drains: open.drains.map((drain) => ({ ...drain, end: { ...drain.end, id: only!.id } })),
    }
    const made = newSump(bare.sump, A_SUMP, ['socks', 'skimmer', 'return'])
    const after = applyEdits(bare, sumpEdits(bare, made))
    expect(after.drains.map(({ end }) => end.id)).toEqual(bare.drains.map(() => 'socks'))
    const codes = solveBasin(after).findings.map(({ code }) => code)
    expect(codes).not.toContain('end-outside-chamber')
    expect(codes).not.toContain('chamber-without-flow')
  })
  test('tried in another layout says what each chamber is left with, and changes nothing', () => {
    const tried = tryLayout(before, before.sump.box!, ['socks', 'skimmer', 'return'])
    expect(tried.sump.chambers).toHaveLength(3)
    expect(tried.solved.chambers).toHaveLength(3)
    const lengths = tried.solved.chambers.reduce((sum, { lengthM }) => sum + lengthM!, 0)
    expect(lengths).toBeLessThanOrEqual(A_SUMP.lengthM + 1e-9)
    hangsTogether(applyEdits(before, sumpEdits(before, tried.sump)))
  })
  test('a chamber is parted in two, moved past another, and taken out again', () => {
    const parted = withChamber(before.sump, 2, 'media', ids)
    const more = applyEdits(before, sumpEdits(before, parted!))
    hangsTogether(more)
    expect(more.sump.chambers).toHaveLength(before.sump.chambers.length + 1)
    const order = more.sump.chambers.map(({ id }) => id)
    const turned = [order[0]!, order[2]!, order[1]!, ...order.slice(3)]
    const moved = applyEdits(more, sumpEdits(more, reordered(more.sump, turned)))
    hangsTogether(moved)
    expect(moved.sump.chambers.map(({ id }) => id)).toEqual(turned)
    const less = applyEdits(moved, sumpEdits(moved, withoutChamber(moved.sump, 1)))
    hangsTogether(less)
    expect(less.sump.chambers).toHaveLength(before.sump.chambers.length)
  })
  test('made longer or higher keeps its walls inside it', () => {
    for (const lengthM of [0.9, 1.1, 1.6]) {
      const sump = withLength(before.sump, lengthM)
      const after = applyEdits(before, sumpEdits(before, sump))
      hangsTogether(after)
      expect(after.sump.box!.lengthM).toBeCloseTo(lengthM, 9)
      for (const { atM, thicknessM } of after.sump.walls) {
        expect(atM + thicknessM).toBeLessThan(lengthM)
      }
    }
    for (const heightM of [0.3, 0.38, 0.5]) {
      const after = applyEdits(before, sumpEdits(before, withHeight(before.sump, heightM)))
      hangsTogether(after)
      for (const { topM } of after.sump.walls) expect(topM).toBeLessThanOrEqual(heightM + 1e-9)
    }
  })
})

describe('lines', () => {
  const before = aLoop()
  const solved = solveBasin(before)
  const { chambers } = before.sump
  test.each([
    ['a takeoff', { what: 'takeoff', chamberId: chambers[2]!.id } as const],
    ['a second nozzle', { what: 'nozzle', tankId: before.tanks[0]!.id } as const],
    ['a capped spare', { what: 'spare' } as const],
  ])('%s leaves at a tee, hangs on its line, and goes without a trace', (_, kind) => {
    const made = teeOff(before, solved, { lineIndex: 0, afterPiece: 0, kind, newId: ids })
    const after = applyEdits(before, made.edits)
    hangsTogether(after)
    expect(after.returnSide.lines.map(({ id }) => id)).toContain(made.lineId)
    expect(hangingOn(after, before.returnSide.lines[0]!.id).has(made.lineId)).toBe(true)
    expect(asTree(after).map(({ depth }) => depth)).toEqual([0, 1])
    const gone = applyEdits(after, withoutLine(after, made.lineId))
    hangsTogether(gone)
    expect(gone.returnSide.lines.map(({ id }) => id)).toEqual(
      before.returnSide.lines.map(({ id }) => id),
    )
  })
  test('a second pump joins the first line behind a check valve, and brings more', () => {
    const { edits, lineId } = addPump(before, solved, 'join', ids)
    const after = applyEdits(before, edits)
    hangsTogether(after)
    const line = after.returnSide.lines.find(({ id }) => id === lineId)!
    expect([line.end.at, line.run.pieces.some(({ kind }) => kind === 'check-valve')]).toEqual([
      'tee',
      true,
    ])
    expect(solveBasin(after).tanks[0]!.flowM3PerS).toBeGreaterThan(solved.tanks[0]!.flowM3PerS)
  })
  test('a second pump of its own takes nothing from the tank', () => {
    const { edits, lineId } = addPump(before, solved, 'own', ids)
    const after = applyEdits(before, edits)
    hangsTogether(after)
    const { returnSide, tanks } = solveBasin(after)
    expect(returnSide.lines.find((line) => line.lineId === lineId)!.flowM3PerS).toBeGreaterThan(0)
    expect(tanks[0]!.flowM3PerS).toBeCloseTo(solved.tanks[0]!.flowM3PerS, 5)
  })
  test('another pump is chosen with its part, and the one that nobody uses goes', () => {
    const [part] = before.pumps
    const strong = { ...part!, id: 'strong', control: 'fixed-speed' as const, leastSpeed: 1 }
    const after = applyEdits(before, choosePump(before, 0, strong))
    hangsTogether(after)
    expect(after.pumps.map(({ id }) => id)).toEqual(['strong'])
    // A pump of one speed runs at it.
    expect(after.returnSide.pumps[0]!.speed).toBe(1)
  })
})

test('every size that is offered has a bore, each wider than the last', () => {
  for (const [series, sizes] of Object.entries(SERIES_SIZES)) {
    const bores = sizes.map(({ boreM }) => boreM)
    expect([series, bores.every((bore) => bore > 0.003 && bore < 0.3)]).toEqual([series, true])
    expect([series, bores]).toEqual([series, [...bores].sort((a, b) => a - b)])
  }
})
