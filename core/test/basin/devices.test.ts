import { keepDevices } from '../../src/editing/follow/keep-devices.ts'
import { verdictOf } from '../../src/drill/verdict.ts'
import {
  AT,
  CABINET,
  CHAMBER,
  codesAt,
  FROM_M,
  INSIDE,
  LOOP,
  named,
  set,
  solvedWith,
} from '../a-treated-loop.ts'
import { fixed, fixesOf, steadyFixes } from '../found.ts'
import { aDevice, aSkimmer, aSterilizer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { L_PER_H } from '../tables.ts'
import { setTo } from '../../src/design/edit.ts'
import {
  allDrills,
  applyEdits,
  asItRuns,
  chamberSpans,
  type Device,
  QUOTED_TARGETS,
  removalCurve,
  skimmerCandidates,
  solveBasin,
  steadyState,
  takeOutOf,
} from '../../src/index.ts'
import { simulateDrill } from '../../src/lab.ts'
import { deviceSwappedIn, newCabinet, newDevice, reordered } from '../../src/editing/index.ts'
import { describe, expect, test } from '@jest/globals'

describe('a skimmer that stops', () => {
  const drilled = (runLimitS: number | null) =>
    applyEdits(withDevices(LOOP, aSkimmer({ givesBackM3: 0.002 }, INSIDE)), [
      setTo(['sump', 'topOff'], { flowM3PerS: 1e-5, canM3: 0.02, runLimitS }),
    ])
  test('raises the return chamber by what falls back, and it settles again after', () => {
    const design = withDevices(LOOP, aSkimmer({ givesBackM3: 0.002 }, INSIDE))
    const steady = steadyState(design)
    const drill = allDrills(steady).find(({ id }) => id === 'skimmer-off')!
    const run = simulateDrill(steady, drill)
    expect(run.unaccounted).toBeLessThan(1e-9)
    const { id } = steady.design.sump.chambers[steady.returnIndex]!
    const there = verdictOf(run).vessels.find(({ vesselId }) => vesselId === id)!
    const before = steady.chambers[steady.returnIndex]!.levelM
    expect(there.highestM).toBeGreaterThan(before + 0.004)
  })
  test('is no drill where none gives water back', () => {
    const steady = steadyState(withDevices(LOOP, aSkimmer({ givesBackM3: 0 }, INSIDE)))
    expect(allDrills(steady).map(({ id }) => id)).not.toContain('skimmer-off')
  })
  test('sends the top-off past its limit where that is short', () => {
    expect(codesAt(solveBasin(drilled(120)).findings, 'skimmer')).toContain('top-off-gives-up')
    expect(codesAt(solveBasin(drilled(300)).findings, 'skimmer')).not.toContain('top-off-gives-up')
    expect(solveBasin(drilled(null)).treatment.skimmers[0]!.topOffRunsS).toBeCloseTo(200, 9)
  })
})

describe('a device stays with its chamber', () => {
  const design = withDevices(LOOP, aSkimmer({}, { ...INSIDE, lineId: 'main' }))
  const after = (edits: Parameters<typeof applyEdits>[1]) => {
    const edited = applyEdits(design, edits)
    return applyEdits(edited, keepDevices(design, edited)).sump.devices[0]!
  }
  test('that changes its place', () => {
    const ids = design.sump.chambers.map(({ id }) => id)
    const moved = reordered(design.sump, [ids[1]!, ids[0]!, ...ids.slice(2)])
    const device = after([setTo(['sump'], moved)])
    expect(device.chamberId).toBe(CHAMBER)
    expect(device.xM).toBeCloseTo(0.02, 9)
  })
  test('goes to another of its use, or to none, when its own is gone', () => {
    const { chambers } = design.sump
    const renamed = chambers.map((chamber) =>
      chamber.id === CHAMBER ? { ...chamber, id: 'new' } : chamber,
    )
    expect(after([setTo(['sump', 'chambers'], renamed)]).chamberId).toBe('new')
    const other = renamed.map((chamber) =>
      chamber.id === 'new' ? { ...chamber, use: 'media' as const } : chamber,
    )
    expect(after([setTo(['sump', 'chambers'], other)]).chamberId).toBeNull()
  })
  test('and is let go by a line that is gone', () => {
    const lines = design.returnSide.lines.map((line) => ({ ...line, id: `${line.id} anew` }))
    expect(after([setTo(['returnSide', 'lines'], lines)]).lineId).toBeNull()
  })
  test('is left alone by every other change', () => {
    const edited = set(design, ['tanks', 0, 'lengthM'], 1)
    expect(keepDevices(design, edited)).toEqual([])
    const away = set(design, ['sump', 'walls', AT - 1, 'atM'], FROM_M - 0.05)
    expect(keepDevices(design, away)).toEqual([])
  })
  test('is pushed by a wall that would run into it, and keeps its room to that wall', () => {
    const { thicknessM, atM } = design.sump.walls[AT - 1]!
    const moved = after([setTo(['sump', 'walls', AT - 1, 'atM'], atM + 0.03)])
    expect(moved.xM).toBeCloseTo(atM + 0.03 + thicknessM + 0.02, 9)
  })
})

describe('a device that is added', () => {
  const { part } = aSkimmer()
  const { box } = LOOP.sump
  test('stands in the middle of its chamber', () => {
    const { chamberId, xM, yM } = newDevice(LOOP, part, 'new')
    const span = chamberSpans(LOOP.sump, box!.lengthM)[AT]!
    expect(chamberId).toBe(CHAMBER)
    expect(xM + part.lengthM / 2).toBeCloseTo((span.fromM + span.toM) / 2, 9)
    expect(yM + part.widthM / 2).toBeCloseTo(box!.widthM / 2, 9)
  })
  test('goes behind the sump where it stands in no water, and meets nothing there', () => {
    for (const made of [aSkimmer({ form: 'external', wantsDepth: null }), aSterilizer()]) {
      const device = newDevice(LOOP, made.part, 'new')
      expect(device.yM).toBeGreaterThan(box!.widthM)
      expect(solvedWith(device).findings.map(({ code }) => code)).not.toContain('devices-collide')
    }
  })
  test('of another form in its place goes there too', () => {
    const outside = aSkimmer({ form: 'hung', wantsDepth: null }).part
    const swapped = deviceSwappedIn(LOOP, aSkimmer({}, INSIDE), outside, 0)
    expect(swapped.yM).toBeGreaterThan(box!.widthM)
    expect(swapped.chamberId).toBe(CHAMBER)
  })
  test('has a cabinet round it to begin with that lets the sump out', () => {
    const raised = set(LOOP, ['tanks', 0, 'floorHeightM'], 0.9)
    const design = set(raised, ['sump', 'cabinet'], newCabinet(raised, 'door'))
    expect(takeOutOf(design)!.way).not.toBeNull()
  })
})

describe('a skimmer that is too tall', () => {
  const wantsDepth = { leastM: 0.12, mostM: 0.14 }
  const tall = (standM: number, topM: number) =>
    set(withDevices(LOOP, aSkimmer({ wantsDepth }, { ...INSIDE, standM })), ['sump', 'cabinet'], {
      ...CABINET,
      topM,
    })
  const depthM = solveBasin(LOOP).sump.chambers[AT]!.depthM!
  // On the stand that suits it.
  const standM = Math.round((depthM - 0.13) * 1000) / 1000
  const clearM = 0.02 + standM + 0.4 + 0.08
  test.each([0.005, 0.015])('by %d m is offered the stand, and the wall, that fix it', (shortM) => {
    const design = tall(standM, clearM - shortM)
    const fixes = fixesOf(design, 'cup-stays-on')
    expect(fixes).toHaveLength(1)
    const [after] = solveBasin(applyEdits(design, fixes[0]!.edits)).treatment.skimmers
    expect(after!.aboveCupM).toBeGreaterThanOrEqual(-1e-9)
    expect(after!.depth!.says).toBe('right')
  })
  test('that nothing fixes is said so', () => {
    const none = named(solveBasin(tall(0, 0.45)).findings, 'cup-stays-on')
    const { fixes, otherwise } = steadyFixes(tall(0, 0.45), none)
    expect(fixes).toEqual([])
    expect(otherwise?.text).toMatch(/shorter one/)
  })
})

describe('a flow meter', () => {
  const meter = (heightM: number, most = 4000) =>
    aDevice({
      lineId: 'main',
      made: {
        kind: 'flow-meter',
        heightM,
        window: { leastM3PerS: 100 * L_PER_H, mostM3PerS: most * L_PER_H },
      },
    })
  const up = Math.max(
    ...LOOP.returnSide.lines[0]!.run.pieces.map((piece) =>
      piece.kind === 'pipe' && piece.direction === 'up' ? piece.lengthM : 0,
    ),
  )
  test('wants a stretch that goes up and is as long as itself', () => {
    const said = (heightM: number) => codesAt(solvedWith(meter(heightM)).findings, 'sterilizer')
    expect(said(up - 0.01)).not.toContain('meter-not-upright')
    expect(said(up + 0.01)).toContain('meter-not-upright')
  })
  test('says how it stands wrong in the pipe it is set into, and a pipe that goes up mends it', () => {
    const turned = aLoop({ line: 'union, up 600 mm, elbow, left 300 mm, elbow, down 100 mm' })
    const pipes = turned.returnSide.lines[0]!.run.pieces.filter(({ kind }) => kind === 'pipe')
    const said = (at: number) => {
      const design = withDevices(turned, { ...meter(0.2), pieceId: pipes[at]!.id })
      return solveBasin(design).findings.find(({ code }) => code === 'meter-not-upright')?.title
        .text
    }
    expect(said(0)).toBeUndefined()
    expect(said(1)).toMatch(/level stretch/)
    expect(said(2)).toMatch(/upside down/)
    const lying = withDevices(turned, { ...meter(0.2), pieceId: pipes[1]!.id })
    const mended = fixed(lying, 'meter-not-upright')
    expect(mended.sump.devices[0]!.pieceId).toBe(pipes[0]!.id)
  })
  test('forgets the pipe that was taken out', () => {
    const [first] = LOOP.returnSide.lines[0]!.run.pieces.filter(({ kind }) => kind === 'pipe')
    const before = withDevices(LOOP, { ...meter(0.1), pieceId: first!.id })
    const without = applyEdits(before, [setTo(['returnSide', 'lines', 0, 'run', 'pieces'], [])])
    expect(applyEdits(without, keepDevices(before, without)).sump.devices[0]!.pieceId).toBeNull()
    expect(keepDevices(before, { ...before })).toEqual([])
  })
  test('says when the flow is off its scale', () => {
    expect(codesAt(solvedWith(meter(0.1, 200)).findings, 'sterilizer')).toContain('meter-off-scale')
    expect(codesAt(solvedWith(meter(0.1)).findings, 'sterilizer')).not.toContain('meter-off-scale')
  })
})

describe('a device beside the sump', () => {
  const lamp = (more: Parameters<typeof aSterilizer>[0], doors: readonly object[] = []) =>
    solveBasin(
      set(withDevices(LOOP, aSterilizer({ lineId: 'main', ...more })), ['sump', 'cabinet'], {
        ...CABINET,
        doors,
      }),
    )
  const codesOf = (...given: Parameters<typeof lamp>) =>
    codesAt(lamp(...given).findings, 'sterilizer')
  test('may not stand where the sump stands, unless over its rim', () => {
    expect(codesOf({ xM: 0.2, yM: 0.3 })).toContain('devices-collide')
    expect(codesOf({ xM: 0.2, yM: 0.3, standM: 0.45 })).not.toContain('devices-collide')
  })
  test.each([
    ['over its rim', { xM: 0.2, yM: 0.3, standM: 0.45 }, true],
    ['as low as the sump', { xM: 0.2, yM: 0.3 }, false],
    ['clear of it', { xM: 0.2, yM: 0.42, standM: 0.45 }, false],
  ])('%s is said to be over the sump or not', (_, place, over) => {
    expect(lamp(place).treatment.devices[0]!.clearance!.overSump).toBe(over)
  })
  test('may not go through the cabinet', () => {
    expect(codesOf({ xM: 1.2, yM: 0.42 })).toContain('device-does-not-fit')
  })
  test('has its lamp drawn to the farther wall, or out of a door', () => {
    // From −0.15 to 1.25 m in the cabinet; the lamp is 0.12 m long and wants 0.4 m.
    expect(lamp({ xM: 0.2, yM: 0.42 }).treatment.devices[0]!.clearance!.pullOutM).toBeCloseTo(
      0.93,
      9,
    )
    const turned = { xM: 0.2, yM: 0.42, turned: true }
    expect(codesOf(turned)).not.toContain('lamp-cannot-be-drawn')
    const behind = { ...turned, yM: 0.2, standM: 0.45 }
    expect(codesOf(behind)).toContain('lamp-cannot-be-drawn')
    const door = { id: 'd', face: 'front', fromM: 0, toM: 1.3, bottomM: 0, topM: 0.9 }
    expect(codesOf(behind, [door])).not.toContain('lamp-cannot-be-drawn')
    expect(codesOf(behind, [{ ...door, topM: 0.7 }])).toContain('lamp-cannot-be-drawn')
  })
})

describe('taking the sump out', () => {
  const door = (id: string, fromM: number, toM: number) =>
    ({ id, face: 'front', fromM, toM, bottomM: 0, topM: 0.6 }) as const
  const through = (doors: readonly object[], ...devices: Device[]) =>
    takeOutOf(
      set(withDevices(LOOP, ...devices), ['sump', 'cabinet'], { ...CABINET, topM: 1, doors }),
    )!
  test('goes through a door that is wide enough', () => {
    const { way } = through([door('a', 0, 1.2)])
    expect(way).toMatchObject({ doorIds: ['a'], passes: true })
    expect(way!.needsM).toBeCloseTo(1.1 + 2 * 0.008, 12)
  })
  test('wants the brace out where only both doors together are', () => {
    const two = [door('a', 0, 0.58), door('b', 0.64, 1.25)]
    expect(through(two).way!.doorIds).toEqual(['a', 'b'])
  })
  test('has no way where even that is too little', () => {
    expect(through([door('a', 0, 0.4), door('b', 0.5, 0.9)]).way).toBeNull()
  })
  test('wants out first what is taller than the door, or stands before it', () => {
    const tall = aSkimmer({}, { ...INSIDE, made: { heightM: 0.62 } })
    const before = aDevice({ id: 'before', xM: 0.2, yM: -0.2 })
    const beside = aDevice({ id: 'beside', xM: 1.5, yM: 0 })
    expect(through([door('a', 0, 1.2)], tall, before, beside).firstOut).toEqual([
      'skimmer',
      'before',
    ])
  })
})

describe('other skimmers in its place', () => {
  const design = withDevices(LOOP, aSkimmer({}, INSIDE))
  const solved = solveBasin(design)
  const small = aSkimmer({}, { made: { id: 'small', sectionM2: 0.004, powerW: 6, lengthM: 0.08 } })
  const wide = aSkimmer({}, { made: { id: 'wide', lengthM: 1 } })
  const found = skimmerCandidates(asItRuns(design, solved), solved, 'skimmer', [
    small.part,
    wide.part,
    aDevice().part,
  ])
  test('say what they free, and whether they stand', () => {
    expect(found.map(({ part }) => part.id)).toEqual(['small', 'wide'])
    expect(found[0]).toMatchObject({ fits: true, savesW: 4 })
    expect(found[0]!.freesM2).toBeCloseTo(0.004, 12)
    expect(found[1]!.fits).toBe(false)
  })
  test('stand on what brings the water to the middle of what they want', () => {
    const { depth } = found[0]!.skimmer
    expect(depth!.depthM).toBeCloseTo(Math.min(0.16, depth!.depthM + found[0]!.standM), 3)
  })
})

test('removal rises with flow, dose falls, and both meet the tank’s own figures', () => {
  const [target] = QUOTED_TARGETS
  const range = { fromM3PerS: 1e-5, toM3PerS: 1e-3, points: 21 }
  const curve = removalCurve(
    target!,
    { doseFlow: 0.19, flowM3PerS: 0, path: 'sump-to-sump', overflowM3PerS: 5e-4 },
    { displayM3: 0.4, sumpM3: 0.1 },
    range,
  )
  expect(curve).toHaveLength(21)
  expect(curve[20]!.flowM3PerS).toBeCloseTo(1e-3, 12)
  for (let i = 1; i < curve.length; i++) {
    expect(curve[i]!.doseJPerM2).toBeLessThan(curve[i - 1]!.doseJPerM2)
    expect(curve[i]!.removalPerS).toBeGreaterThanOrEqual(curve[i - 1]!.removalPerS)
  }
})
