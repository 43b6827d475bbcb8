import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { aBasin, pieces } from '../a-basin.ts'
import { PIPE_SERIES, SERIES_SIZES } from '../../src/pipe/series.ts'
import { boreOf, nearestSize, nextSizeUp, sizeWords } from '../../src/pipe/size.ts'
import { pieceLosses } from '../../src/run/losses.ts'
import { readNotation, writeNotation } from '../../src/run/notation.ts'
import { mouthOf, placePieces } from '../../src/run/path.ts'
import type { Piece } from '../../src/run/piece.ts'

const START = { xM: 1, yM: 0.2, zM: 0.1 }
const runOf = (line: string) => ({ ...aBasin().returnSide.lines[0]!.run, pieces: pieces(line) })
const none = { size: aBasin().returnSide.lines[0]!.run.size, pieces: [] }
const noId = () => 'x'

describe('the run in its place', () => {
  test('follows the six directions from the pump', () => {
    const placed = placePieces(
      runOf('up 1 m, elbow, left 300 mm, back 20 cm, down 1 ft, right 50 mm, front 10 mm'),
      START,
    )
    const mouth = mouthOf(placed, START)
    expect(mouth.xM).toBeCloseTo(0.75, 12)
    expect(mouth.yM).toBeCloseTo(0.39, 12)
    expect(mouth.zM).toBeCloseTo(1.1 - 0.3048, 12)
  })
  test('without pieces it ends where it starts', () => {
    expect(mouthOf([], START)).toBe(START)
  })
  test('a reducer changes the bore of what follows', () => {
    const placed = placePieces(runOf('up 1 m, to 3/4, up 1 m'), START)
    expect(placed[0]!.boreAfterM).toBeCloseTo(0.034544, 9)
    expect(placed[2]!.boreBeforeM).toBeCloseTo(0.0204216, 9)
    expect(placed[2]!.tradeSizeIn).toBe(0.75)
  })
})

describe('what pieces cost', () => {
  const lossesOf = (line: string) => {
    const run = runOf(line)
    return placePieces(run, START).map((placed) => pieceLosses(placed, run))
  }
  test('a nozzle narrows and then loses its own velocity head', () => {
    const [nozzle] = lossesOf('nozzle 20 mm')
    expect(nozzle!.fittings.map((fitting) => fitting.kind)).toEqual(['fitting', 'exit'])
    expect(nozzle!.fittings.every((fitting) => fitting.boreM === 0.02)).toBe(true)
  })
  test('a bulkhead of another bore counts going in and coming out', () => {
    expect(lossesOf('bulkhead 20 mm')[0]!.fittings).toHaveLength(2)
    expect(lossesOf('bulkhead')[0]!.fittings).toHaveLength(0)
  })
  test('a shut valve lets nothing through, of every form', () => {
    for (const line of ['gate shut', 'ball shut', 'diaphragm shut'])
      expect(lossesOf(line)[0]!.shut).toBe(true)
    expect(lossesOf('diaphragm')[0]!.shut).toBe(false)
  })
  test('ribbed hose carries its factor', () => {
    const [, pipe] = lossesOf('to ribbed hose 25, up 1 m')
    expect(pipe!.friction).toMatchObject({ factor: 2, boreM: 0.025 })
  })
  test('a maker’s Kv replaces the table', () => {
    const table = lossesOf('gate')[0]!.fittings[0]!.loss.k
    expect(lossesOf('gate kv 5')[0]!.fittings[0]!.loss.k).toBeGreaterThan(table)
    expect(lossesOf('swing check kv 5, diaphragm kv 5')[0]!.fittings[0]!.loss.km).toBe(0)
  })
})

describe('the run as one typed line', () => {
  test('reads the sentence of the manual', () => {
    expect(pieces('up 400 mm, elbow, left 25 cm, union, up 3 ft')).toMatchObject([
      { kind: 'pipe', direction: 'up', lengthM: 0.4 },
      { kind: 'elbow', form: 'standard-90' },
      { kind: 'pipe', direction: 'left', lengthM: 0.25 },
      { kind: 'union' },
      { kind: 'pipe', direction: 'up', lengthM: expect.closeTo(0.9144, 9) },
    ])
  })
  test('reads every piece, loosely typed', () => {
    expect(
      pieces(
        'SWEEP; bend\n elbow 45, ball 50% open, gate kv 18 40%, check, spring check kv 9, to pn 16 25 bore 21 mm at 30°, to smooth hose 3/4 in, bulkhead 1 in, nozzle 20mm',
      ),
    ).toMatchObject([
      { form: 'sweep-90' },
      { form: 'hose-bend-90' },
      { form: 'standard-45' },
      { form: 'ball', opening: 0.5 },
      { form: 'gate', opening: 0.4, kvM3PerH: 18 },
      { form: 'swing' },
      { form: 'spring', kvM3PerH: 9 },
      { to: { series: 'pn-16', size: '25', boreM: 0.021 }, angleDeg: 30 },
      { to: { series: 'smooth-hose', size: '3/4 in' } },
      { kind: 'bulkhead', boreM: expect.closeTo(0.0254, 9) },
      { kind: 'nozzle', boreM: 0.02 },
    ])
  })
  test.each([
    ['upp 3 m', /"upp" starts no piece/],
    ['up', /missing/],
    ['up -3 mm', /not a length above zero/],
    ['up 3 parsecs', /not a length/],
    ['gate 150%', /opening from 0 to 100 %/],
    ['to 7/8', /has no size "7\/8"/],
    ['nozzle', /missing/],
    ['gate kv 0', /Kv above zero/],
  ])('"%s" is refused with its place', (text, message) => {
    const read = readNotation(`elbow, ${text}`, 'metric', none, noId)
    expect(read.ok).toBe(false)
    if (!read.ok) {
      expect(read.faults).toHaveLength(1)
      expect(read.faults[0]).toMatchObject({ position: 2 })
      expect(read.faults[0]!.message).toMatch(message)
    }
  })
  test('names every fault at once', () => {
    const read = readNotation('foo, elbow, bar', 'metric', none, noId)
    expect(!read.ok && read.faults.map((fault) => fault.position)).toEqual([1, 3])
  })

  const anyPiece: fc.Arbitrary<Piece> = fc.oneof(
    fc.record({
      id: fc.uuid(),
      kind: fc.constant('pipe' as const),
      direction: fc.constantFrom('up' as const, 'back' as const),
      lengthM: fc.double({ min: 0.01, max: 9, noNaN: true }),
    }),
    fc.record({
      id: fc.uuid(),
      kind: fc.constant('elbow' as const),
      form: fc.constantFrom(
        'standard-90' as const,
        'sweep-90' as const,
        'standard-45' as const,
        'hose-bend-90' as const,
      ),
    }),
    fc.record({ id: fc.uuid(), kind: fc.constant('union' as const) }),
    fc.record({
      id: fc.uuid(),
      kind: fc.constant('valve' as const),
      form: fc.constantFrom('gate' as const, 'ball' as const),
      opening: fc.double({ min: 0, max: 1, noNaN: true }),
      kvM3PerH: fc.option(fc.double({ min: 1, max: 90, noNaN: true })),
    }),
    fc.record({
      id: fc.uuid(),
      kind: fc.constant('reducer' as const),
      angleDeg: fc.option(fc.constant(30)),
      to: fc.constantFrom(
        ...PIPE_SERIES.flatMap((series) =>
          SERIES_SIZES[series].map(({ size }) => ({ series, size, boreM: null })),
        ),
      ),
    }),
    fc.record({
      id: fc.uuid(),
      kind: fc.constant('nozzle' as const),
      boreM: fc.double({ min: 0.004, max: 0.1, noNaN: true }),
    }),
  )
  test('reading back a written line keeps every piece to the last digit', () => {
    fc.assert(
      fc.property(
        fc.array(anyPiece, { maxLength: 12 }),
        fc.constantFrom('metric' as const, 'us' as const),
        (old, family) => {
          const read = readNotation(
            writeNotation(old, family),
            family,
            { size: none.size, pieces: old },
            noId,
          )
          expect(read).toEqual({ ok: true, pieces: old })
        },
      ),
      { seed: 5, numRuns: 200 },
    )
  })
  test('a written line means the same without the old run', () => {
    fc.assert(
      fc.property(fc.array(anyPiece, { maxLength: 8 }), (old) => {
        const read = readNotation(writeNotation(old, 'metric'), 'metric', none, noId)
        expect(read.ok && read.pieces.map((piece) => piece.kind)).toEqual(
          old.map((piece) => piece.kind),
        )
      }),
      { seed: 6, numRuns: 200 },
    )
  })
})

describe('sizes', () => {
  test('bores are computed from outside diameter and wall', () => {
    expect(boreOf({ series: 'schedule-40', size: '1', boreM: null }).boreM).toBeCloseTo(
      0.0261366,
      9,
    )
    expect(boreOf({ series: 'schedule-80', size: '2', boreM: null }).boreM).toBeCloseTo(
      (2.375 - 0.436 - 0.02) * 0.0254,
      9,
    )
    expect(boreOf({ series: 'pn-16', size: '63', boreM: null }).boreM).toBeCloseTo(0.05303, 9)
    expect(boreOf({ series: 'smooth-hose', size: '3/4 in', boreM: null }).boreM).toBeCloseTo(
      0.01905,
      9,
    )
    expect(boreOf({ series: 'pn-10', size: '32', boreM: 0.03 }).boreM).toBe(0.03)
    expect(() => boreOf({ series: 'pn-10', size: '33', boreM: null })).toThrow(/no size 33/)
  })
  test('know the next one up, the nearest, and their names', () => {
    expect(nextSizeUp({ series: 'schedule-40', size: '3/4', boreM: null })?.size).toBe('1')
    expect(nextSizeUp({ series: 'schedule-40', size: '3', boreM: null })).toBeNull()
    expect(nearestSize('pn-16', 0.027, 'mm').size).toBe('32')
    // A hose in inches stays one, though the next millimetre size is nearer.
    expect(nextSizeUp({ series: 'smooth-hose', size: '1 in', boreM: null })?.size).toBe('1 1/4 in')
    expect(nextSizeUp({ series: 'smooth-hose', size: '25', boreM: null })?.size).toBe('32')
    expect(nearestSize('ribbed-hose', 0.0251, 'in').size).toBe('1 in')
    expect(nearestSize('ribbed-hose', 0.0252, 'mm').size).toBe('25')
    expect(sizeWords({ series: 'schedule-40', size: '1 1/4' })).toBe('1 1/4″ schedule 40')
    expect(sizeWords({ series: 'pn-16', size: '25' })).toBe('25 mm pn 16')
    expect(sizeWords({ series: 'smooth-hose', size: '1/2 in' })).toBe('1/2″ smooth hose')
  })
})
