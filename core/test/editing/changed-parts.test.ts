import { describe, expect, test } from '@jest/globals'
import { TEST_PUMP } from '../a-basin.ts'
import { aSkimmer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { applyEdits, type BasinDesign } from '../../src/design/index.ts'
import { changedParts, choosePump, type KeptParts } from '../../src/editing/index.ts'

const PART = { ...TEST_PUMP, id: 'mine', partId: 'mine' }
const LOOP = aLoop()
const DESIGN: BasinDesign = applyEdits(LOOP, choosePump(LOOP, 0, PART, 0.5))
const NONE: KeptParts = { pumps: [], devices: [], circulation: [] }
const among = (more: Partial<KeptParts>): KeptParts => ({ ...NONE, ...more })
const taken = (design: BasinDesign, kept: KeptParts) =>
  applyEdits(
    design,
    changedParts(design, kept).flatMap(({ edits }) => edits),
  )

describe('a pump’s part that was changed since the design took it', () => {
  test('is none while it is as it was, or while it is not kept', () => {
    expect(changedParts(DESIGN, among({ pumps: [PART] }))).toEqual([])
    expect(changedParts(DESIGN, NONE)).toEqual([])
  })
  test('is named with the figures that are others, a curve as one of them', () => {
    const curve = PART.curve.map(({ flowM3PerS, headM }) => ({ flowM3PerS, headM: headM * 1.1 }))
    const now = { ...PART, name: 'Mine, measured', curve, ratedPowerW: 44 }
    const [changed] = changedParts(DESIGN, among({ pumps: [now] }))
    expect(changed!.name).toBe('Mine, measured')
    expect(changed!.changes.map(({ path }) => path.join('.')).sort()).toEqual([
      'curve',
      'name',
      'ratedPowerW',
    ])
    const after = taken(DESIGN, among({ pumps: [now] }))
    expect(after.pumps.find(({ id }) => id === 'mine')).toEqual(now)
    expect(changedParts(after, among({ pumps: [now] }))).toEqual([])
  })
  test('keeps a speed that it can still run at, and no other', () => {
    const speedWith = (more: Partial<typeof PART>) =>
      taken(DESIGN, among({ pumps: [{ ...PART, ...more }] })).returnSide.pumps[0]!.speed
    expect(speedWith({ ratedPowerW: 44 })).toBe(0.5)
    expect(speedWith({ leastSpeed: 0.7 })).toBe(0.7)
    expect(speedWith({ control: 'fixed-speed', leastSpeed: 1 })).toBe(1)
  })
  test('is none for a pump that was entered here', () => {
    const entered = { ...DESIGN, pumps: [{ ...PART, partId: null }] }
    expect(changedParts(entered, among({ pumps: [{ ...PART, ratedPowerW: 44 }] }))).toEqual([])
  })
})

describe('a device’s part', () => {
  const skimmer = aSkimmer()
  const twice = withDevices(LOOP, skimmer, { ...skimmer, id: 'second' })
  const now = { ...skimmer.part, powerW: 99, skimmer: { ...skimmer.part.skimmer!, cupLiftM: 0.2 } }
  test('that stands twice is one part, taken over at both', () => {
    const changed = changedParts(twice, among({ devices: [now] }))
    expect(changed).toHaveLength(1)
    expect(changed[0]!.changes.map(({ path }) => path.join('.'))).toEqual([
      'powerW',
      'skimmer.cupLiftM',
    ])
    const { devices } = taken(twice, among({ devices: [now] })).sump
    expect(devices.map(({ part }) => part)).toEqual([now, now])
  })
  test('of another kind by the same id is another part', () => {
    expect(changedParts(twice, among({ devices: [{ ...now, kind: 'heater' }] }))).toEqual([])
  })
})
