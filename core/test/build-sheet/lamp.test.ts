import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aSterilizer, withDevices } from '../a-device.ts'
import { A_SUMP, aLoop } from '../a-loop.ts'
import { withChanges } from '../changes.ts'
import { apartRows } from '../../src/build-sheet/assembly/apart-rows.ts'
import { thingsOf } from '../../src/build-sheet/assembly/things.ts'
import { buildFindings } from '../../src/basin/building.ts'
import { AS_USUAL } from '../../src/run/index.ts'
import type { BasinDesign } from '../../src/design/design.ts'

const design = withDevices(aLoop(), aSterilizer())
const [device] = design.sump.devices
const spec = device!.part.sterilizer!
const lampOf = (of: BasinDesign) => apartRows(of).find(({ thing }) => thing.kind === 'lamp')!
/** A cabinet that leaves so much beyond the sterilizer's right end, and none beyond its left. */
function cabinet(beyondM: number): BasinDesign {
  const { box } = design.sump
  const longM = device!.turned ? device!.part.widthM : device!.part.lengthM
  return withChanges(design, {
    'sump.cabinet': {
      xM: box!.xM + device!.xM,
      yM: box!.yM - 0.2,
      lengthM: longM + beyondM,
      widthM: 2,
      topM: 2,
      doors: [],
    },
  })
}

describe('a lamp', () => {
  test('is a thing of its own, next to its sterilizer', () => {
    const kinds = thingsOf(design).map(({ kind }) => kind)
    expect(kinds.indexOf('lamp')).toBe(kinds.indexOf('sterilizer') + 1)
    expect(kinds.filter((kind) => kind === 'lamp')).toHaveLength(1)
  })
  test('is drawn out by itself where no cabinet is in its way', () => {
    const { thing, isFree, standsFree } = lampOf(design)
    expect([isFree, standsFree]).toEqual([true, true])
    expect(thing.drawn).toEqual({ wantsM: spec.pullOutM, freeM: null })
  })
  test('and where the cabinet leaves its length', () => {
    const { thing, standsFree } = lampOf(cabinet(spec.pullOutM + 0.05))
    expect(standsFree).toBe(true)
    expect(thing.drawn!.freeM).toBeGreaterThanOrEqual(spec.pullOutM)
  })
  test('comes out with the whole sterilizer where it does not', () => {
    const tight = cabinet(spec.pullOutM / 2)
    const lamp = thingsOf(tight).find(({ kind }) => kind === 'lamp')!
    const whole = thingsOf(tight).find(({ kind }) => kind === 'sterilizer')!
    expect(lamp.drawn!.freeM).toBeLessThan(spec.pullOutM)
    expect(lamp.parts).toEqual(whole.parts)
    // It is no stop of its own: that its lamp can't be drawn is said of the sterilizer.
    const held = buildFindings(tight).filter(({ code }) => code === 'cannot-come-out')
    expect(held.some(({ title }) => JSON.stringify(title).includes('Lamp of'))).toBe(false)
  })
})

test('a thing that only an unreachable union would let go is held, and the union is named', () => {
  const pump = aBasin('up 100 mm, union, up 900 mm, elbow, left 300 mm, bulkhead, left 100 mm')
  const { outlet } = pump.returnSide.pumps[0]!
  const inSump = (widthM: number) =>
    apartRows(
      withChanges(pump, {
        'sump.box': { ...A_SUMP, yM: outlet.yM - widthM / 2, widthM },
        'returnSide.lines.0.run.pieces.3.made': { ...AS_USUAL, isClipped: true },
      }),
    ).find(({ thing }) => thing.kind === 'pump')!
  const [narrow, wide] = [inSump(0.1), inSump(0.3)]
  expect([narrow.isFree, wide.isFree]).toEqual([false, true])
  expect(narrow.unreached.map(({ name }) => name)).toEqual([expect.stringContaining('union')])
  expect(wide.undo.map(({ kind }) => kind)).toContain('union')
  expect(wide.unreached).toEqual([])
})

describe('free of its pipes, a thing may still be shut in', () => {
  const inCabinet = (topM: number, doorToM: number) =>
    withChanges(aLoop(), {
      'sump.cabinet': {
        xM: A_SUMP.xM - 0.1,
        yM: A_SUMP.yM - 0.1,
        lengthM: A_SUMP.lengthM + 0.2,
        widthM: A_SUMP.widthM + 0.2,
        topM,
        doors: [{ id: 'door', face: 'front', fromM: 0.02, toM: doorToM, bottomM: 0, topM }],
      },
    })
  const sumpOf = (of: BasinDesign) => thingsOf(of).find(({ kind }) => kind === 'sump')!
  test('a sump by the cabinet’s doors', () => {
    expect(sumpOf(inCabinet(0.8, 0.4)).shutInBy).toBe('doors')
    expect(sumpOf(inCabinet(0.8, A_SUMP.lengthM + 0.15)).shutInBy).toBeNull()
    expect(sumpOf(aLoop()).shutInBy).toBeNull()
  })
  test('a device in it by the cabinet’s top', () => {
    const inIt = (topM: number, kind: 'skimmer' | 'heater') => {
      const design = inCabinet(topM, 1)
      const chamberId = design.sump.chambers[0]!.id
      const inWater = { ...device!, chamberId, lineId: null, pieceId: null, lamp: null }
      const part = { ...device!.part, kind, sterilizer: null }
      return thingsOf(withDevices(design, { ...inWater, part })).find(
        ({ kind }) => kind === 'device',
      )!
    }
    const highM = A_SUMP.floorHeightM + A_SUMP.heightM + device!.part.heightM
    expect(inIt(highM - 0.05, 'skimmer').shutInBy).toBe('top')
    expect(inIt(highM + 0.05, 'skimmer').shutInBy).toBeNull()
    // A rod is tilted.
    expect(inIt(highM - 0.05, 'heater').shutInBy).toBeNull()
  })
})
