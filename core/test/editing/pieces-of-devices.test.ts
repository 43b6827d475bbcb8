import { describe, expect, test } from '@jest/globals'
import { aDevice, aSterilizer, withDevices } from '../a-device.ts'
import { aLine } from '../a-basin.ts'
import { aLoop } from '../a-loop.ts'
import { applyEdits, type BasinDesign, type Edit, setTo } from '../../src/design/index.ts'
import { devicesOfPieces, newDevice, withFollowing } from '../../src/editing/index.ts'
import { devicePiece } from '../../src/editing/run/new-piece.ts'

/** One device, once: at its stop and in its line. */
const LOOP = aLoop()
const changed = (design: BasinDesign, ...edits: readonly Edit[]) =>
  applyEdits(design, withFollowing(design, edits))
const LAMP = aSterilizer({ lineId: null })
const APART = withDevices(LOOP, LAMP)
const lineId = LOOP.returnSide.lines[0]!.id
const AT = ['sump', 'devices', 0] as const
const RUN = ['returnSide', 'lines', 0, 'run', 'pieces'] as const
const inLine = changed(APART, setTo([...AT, 'lineId'], lineId))
const piecesIn = ({ returnSide }: BasinDesign) =>
  returnSide.lines.flatMap(({ run }) => run.pieces.filter((piece) => piece.kind === 'device'))
const lamp = ({ sump }: BasinDesign) => sump.devices[0]!
const withPiece = (
  design: BasinDesign,
  id = 'drawn',
  use: 'sterilizer' | 'reactor' = 'sterilizer',
) =>
  setTo(RUN, [...design.returnSide.lines[0]!.run.pieces, devicePiece(id, use, { name: 'Drawn' })])

describe('a device that is put into a line', () => {
  test('is a piece of it, by its name, and with a loss', () => {
    const [piece] = piecesIn(inLine)
    expect(piece).toMatchObject({ kind: 'device', use: 'sterilizer', name: LAMP.name })
    expect(lamp(inLine).pieceId).toBe(piece!.id)
    expect(piece!.k).toBeGreaterThan(0)
  })
  test('takes its piece along when it goes out of the line', () => {
    const out = changed(inLine, setTo([...AT, 'lineId'], null))
    expect(piecesIn(out)).toEqual([])
    expect(lamp(out)).toMatchObject({ lineId: null, pieceId: null })
  })
  test('takes its piece along into another line', () => {
    const other = aLine(
      'other',
      LOOP.returnSide.lines[0]!.start,
      'up 0.5 m',
      LOOP.returnSide.lines[0]!.end,
    )
    const two = changed(inLine, setTo(['returnSide', 'lines'], [...inLine.returnSide.lines, other]))
    const moved = changed(two, setTo([...AT, 'lineId'], 'other'))
    expect(moved.returnSide.lines[0]!.run.pieces.some(({ kind }) => kind === 'device')).toBe(false)
    expect(moved.returnSide.lines[1]!.run.pieces.some(({ kind }) => kind === 'device')).toBe(true)
    expect(lamp(moved).lineId).toBe('other')
  })
  test('takes its piece along when it is taken out of the design', () => {
    expect(piecesIn(changed(inLine, setTo(['sump', 'devices'], [])))).toEqual([])
  })
  test('is called alike at both ends, whichever was changed', () => {
    const renamed = changed(inLine, setTo([...AT, 'name'], 'Night lamp'))
    expect(piecesIn(renamed)[0]!.name).toBe('Night lamp')
    const at = inLine.returnSide.lines[0]!.run.pieces.findIndex(({ kind }) => kind === 'device')
    const there = changed(
      inLine,
      setTo([...RUN, at], { ...piecesIn(inLine)[0]!, name: 'Lamp two' }),
    )
    expect(lamp(there).name).toBe('Lamp two')
  })
  test('stays, in no line, where its piece is taken away', () => {
    const left = inLine.returnSide.lines[0]!.run.pieces.filter(({ kind }) => kind !== 'device')
    const after = changed(inLine, setTo(RUN, left))
    expect(lamp(after)).toMatchObject({ id: LAMP.id, lineId: null, pieceId: null })
  })
  test('a change of something else touches neither', () => {
    const after = changed(inLine, setTo(['tanks', 0, 'name'], 'Other'))
    expect(after.sump.devices).toBe(inLine.sump.devices)
    expect(after.returnSide.lines).toBe(inLine.returnSide.lines)
  })
})

describe('a piece that is drawn into a line', () => {
  test('is the device of its kind that stands in none', () => {
    const drawn = changed(APART, withPiece(APART))
    expect(lamp(drawn)).toMatchObject({ lineId, pieceId: 'drawn' })
    expect(piecesIn(drawn)).toHaveLength(1)
    expect(piecesIn(drawn)[0]!.name).toBe(LAMP.name)
  })
  test('of another kind is not', () => {
    expect(lamp(changed(APART, withPiece(APART, 'drawn', 'reactor'))).lineId).toBeNull()
  })
  test('that is typed anew is the same device again', () => {
    const old = inLine.returnSide.lines[0]!.run.pieces
    const anew = old.map((piece) => ({ ...piece, id: `${piece.id}-anew` }))
    const after = changed(inLine, setTo(RUN, anew))
    expect(lamp(after)).toMatchObject({ lineId, pieceId: `${lamp(inLine).pieceId}-anew` })
  })
  test('is a new device, of the part that suits the flow, where none waits', () => {
    const window = (least: number, most: number) => ({ leastM3PerS: least, mostM3PerS: most })
    const part = (id: string, least: number) =>
      aDevice({ made: { id, name: id, kind: 'reactor', window: window(least, least * 2) } }).part
    const parts = [part('small', 1e-5), part('right', 1e-4), part('large', 1e-3), LAMP.part]
    const after = applyEdits(LOOP, [withPiece(LOOP, 'drawn', 'reactor')])
    const how = { parts, returnM3PerS: 1.5e-3, newId: () => 'new' }
    const made = applyEdits(after, devicesOfPieces(LOOP, after, how))
    expect(made.sump.devices.at(-1)).toMatchObject({ id: 'new', name: 'Drawn', pieceId: 'drawn' })
    expect(made.sump.devices.at(-1)!.part.id).toBe('right')
    expect(devicesOfPieces(after, after, how)).toEqual([])
    expect(devicesOfPieces(LOOP, after, { ...how, parts: [LAMP.part] })).toEqual([])
  })
  test('waits for the device that is added at its stop', () => {
    const drawn = changed(LOOP, withPiece(LOOP))
    const added = newDevice(drawn, LAMP.part, 'added')
    const after = changed(drawn, setTo(['sump', 'devices'], [added]))
    expect(after.sump.devices[0]).toMatchObject({ lineId, pieceId: 'drawn' })
    expect(piecesIn(after)).toHaveLength(1)
    expect(newDevice(after, LAMP.part, 'second').lineId).toBeNull()
  })
})
