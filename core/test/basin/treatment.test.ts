import { withChanges } from '../changes.ts'
import {
  AT,
  CABINET,
  codesAt,
  FROM_M,
  INSIDE,
  LOOP,
  named,
  set,
  solvedWith,
} from '../a-treated-loop.ts'
import { fixesOf } from '../found.ts'
import { aDevice, aSkimmer, aSterilizer, withDevices } from '../a-device.ts'
import { L_PER_H } from '../tables.ts'
import { setTo } from '../../src/design/edit.ts'
import { applyEdits, type Device, QUOTED_TARGETS, solveBasin } from '../../src/index.ts'
import { say } from '../../src/quantity/sentence.ts'
import { describe, expect, test } from '@jest/globals'

describe('a skimmer in its chamber', () => {
  test('is matched to the flow there and the water there is', () => {
    const { treatment, sump } = solvedWith(aSkimmer({}, INSIDE))
    const [skimmer] = treatment.skimmers
    const through = sump.chambers[AT]!.throughM3PerS
    expect(skimmer!.shareOfThroughflow).toBeCloseTo((400 * L_PER_H) / through, 9)
    expect(skimmer!.systemVolumesPerH).toBeCloseTo(0.4 / treatment.load.systemVolumeM3, 9)
    expect(skimmer!.depth!.depthM).toBeCloseTo(sump.chambers[AT]!.depthM!, 12)
  })
  test('takes its room of the water', () => {
    const bare = solveBasin(LOOP).sump.chambers[AT]!
    const filled = solvedWith(aSkimmer({}, INSIDE)).sump.chambers[AT]!
    expect(bare.areaM2! - filled.areaM2!).toBeCloseTo(0.008, 12)
  })
  test('beside the sump takes none', () => {
    const bare = solveBasin(LOOP).sump.chambers[AT]!
    const outside = solvedWith(aSkimmer({ form: 'external', wantsDepth: null }, INSIDE))
    expect(outside.sump.chambers[AT]!.areaM2).toBe(bare.areaM2)
    expect(outside.treatment.devices[0]!.clearance).toMatchObject({ inWater: false, handM: null })
  })
  test('gives its water back in a power cut', () => {
    const outage = (givesBackM3: number) =>
      solvedWith(aSkimmer({ givesBackM3 }, INSIDE)).sump.outage!
    const more = outage(0.004).drainBack.totalM3 - outage(0).drainBack.totalM3
    expect(more).toBeCloseTo(0.004, 12)
    expect(outage(0.004).fillLineM!).toBeLessThan(outage(0).fillLineM!)
  })
  test('that stands too deep gets a stand that fixes it, and a wall', () => {
    const design = withDevices(LOOP, aSkimmer({ wantsDepth: { leastM: 0.1, mostM: 0.12 } }, INSIDE))
    const fixes = fixesOf(design, 'skimmer-depth')
    expect(fixes.length).toBeGreaterThan(0)
    for (const { edits } of fixes) {
      const device = aSkimmer({ wantsDepth: { leastM: 0.1, mostM: 0.12 } }, INSIDE)
      const after = solveBasin(applyEdits(withDevices(LOOP, device), edits))
      expect(after.treatment.skimmers[0]!.depth!.says).toBe('right')
    }
  })
  test('is judged by the school in force, the other one said beside it', () => {
    const design = withDevices(LOOP, aSkimmer({}, INSIDE))
    const match = solveBasin(set(design, ['treatment', 'school'], 'match'))
    const over = solveBasin(
      applyEdits(design, [
        setTo(['treatment', 'school'], 'oversize'),
        setTo(['treatment', 'oversizeFrom'], 4),
        setTo(['treatment', 'oversizeTo'], 4),
      ]),
    )
    expect(codesAt(match.findings, 'skimmer')).toContain('skimmer-fits')
    expect(codesAt(over.findings, 'skimmer')).toContain('skimmer-too-small')
    expect(say(named(over.findings, 'skimmer-too-small').reason, 'metric')).toMatch(
      /other school says it fits/,
    )
  })
  test('at a heavier load is rated for less', () => {
    const design = withDevices(LOOP, aSkimmer({}, INSIDE))
    const feeds = [
      { id: 'd', name: 'Dry', form: 'dry', perDay: 10, mostPerDay: null, massKg: 0.002 },
    ]
    const fed = solveBasin(set(design, ['treatment', 'feeds'], feeds)).treatment
    expect(fed.load.most.loadClass).toBe('heavy')
    expect(fed.skimmers[0]!.inForce.ratedM3).toBe(0.3)
  })
})

test('a stand says what it leaves over the cup', () => {
  const device = aSkimmer({ wantsDepth: { leastM: 0.1, mostM: 0.12 } }, INSIDE)
  const design = set(withDevices(LOOP, device), ['sump', 'cabinet'], CABINET)
  const [stand] = fixesOf(design, 'skimmer-depth')
  const after = solveBasin(applyEdits(design, stand!.edits)).treatment.skimmers[0]!
  expect((stand!.brings.values.left as readonly [string, number])[1]).toBeCloseTo(
    after.aboveCupM!,
    9,
  )
})

test('a skimmer in no chamber is asked for one, and nothing else of its place', () => {
  const said = codesAt(solvedWith(aSkimmer()).findings, 'skimmer')
  expect(said).toContain('skimmer-without-water')
  expect(said).not.toContain('devices-collide')
})

describe('room round a device', () => {
  const cabineted = (device: Device, topM: number) =>
    solveBasin(set(withDevices(LOOP, device), ['sump', 'cabinet'], { ...CABINET, topM }))
  test('a cup that meets the cabinet is a stop', () => {
    const tall = aSkimmer({}, INSIDE)
    expect(codesAt(cabineted(tall, 0.45).findings, 'skimmer')).toContain('cup-stays-on')
    expect(codesAt(cabineted(tall, 0.95).findings, 'skimmer')).not.toContain('cup-stays-on')
    const { aboveCupM } = cabineted(tall, 0.95).treatment.skimmers[0]!
    expect(aboveCupM).toBeCloseTo(0.95 - (0.02 + 0.4) - 0.08, 12)
  })
  test('a device that the cabinet keeps in the sump is found', () => {
    expect(codesAt(cabineted(aSkimmer({}, INSIDE), 0.6).findings, 'skimmer')).toContain(
      'cannot-lift-out',
    )
  })
  test('two in one place run into each other, and neither does once turned clear', () => {
    const other = aDevice({ ...INSIDE, id: 'other', name: 'Other' })
    const met = solvedWith(aSkimmer({}, INSIDE), other)
    expect(met.treatment.devices[0]!.clearance!.collidesWith).toEqual(['other'])
    const clear = solvedWith(aSkimmer({}, INSIDE), { ...other, yM: 0.25 })
    expect(clear.treatment.devices[0]!.clearance!.collidesWith).toEqual([])
  })
  test('through a wall is a stop', () => {
    const solved = solvedWith(aSkimmer({}, { ...INSIDE, xM: FROM_M - 0.03 }))
    expect(solved.treatment.devices[0]!.clearance!.sticksOutM).toBeCloseTo(0.03, 9)
    expect(codesAt(solved.findings, 'skimmer')).toContain('device-does-not-fit')
  })
  test('a device outside its window is found with the window', () => {
    const window = { leastM3PerS: 1e-6, mostM3PerS: 2e-6 }
    const solved = solvedWith(aDevice({ ...INSIDE, made: { window } }))
    expect(solved.treatment.devices[0]!.window).toBe('above')
    expect(codesAt(solved.findings, 'skimmer')).toContain('outside-window')
  })
})

describe('a sterilizer in a line', () => {
  const lit = (more: Parameters<typeof aSterilizer>[0] = {}, targetId = 'green-water') =>
    applyEdits(withDevices(LOOP, aSterilizer({ lineId: 'main', ...more })), [
      setTo(['treatment', 'targets'], QUOTED_TARGETS),
      setTo(['treatment', 'targetId'], targetId),
    ])
  test('gets its flow from the network, and its dose from that', () => {
    const { treatment, returnSide } = solveBasin(lit())
    const [sterilizer] = treatment.sterilizers
    expect(sterilizer!.flowM3PerS).toBe(returnSide.flowM3PerS)
    const flowLPerH = returnSide.flowM3PerS / L_PER_H
    expect(sterilizer!.doseJPerM2).toBeCloseTo(((450 * 1500) / flowLPerH) * 0.95, 6)
    expect(sterilizer!.doseBandJPerM2).toBeGreaterThan(0)
  })
  test('that is short of its target is set for it by a fix that brings it there', () => {
    // A tank that wants little through its sump leaves the line free for the lamp.
    const design = withChanges(lit({}, 'cryptocaryon'), { 'tanks.0.turnoverPerH': 0.1 })
    const fixes = fixesOf(design, 'dose-short')
    expect(fixes.length).toBeGreaterThan(0)
    const after = solveBasin(applyEdits(design, fixes[0]!.edits))
    const dose = after.treatment.sterilizers[0]!.doseJPerM2!
    expect(dose).toBeGreaterThanOrEqual(2800)
    // A controller goes in steps of 1 %, and near the shut-off head a step is much flow.
    expect(dose).toBeLessThan(2800 * 1.25)
  })
  test('without a line is a stop, and has no dose', () => {
    const solved = solveBasin(lit({ lineId: null }))
    expect(solved.treatment.sterilizers[0]!.doseJPerM2).toBeNull()
    expect(solved.treatment.sterilizers[0]!.targets[0]!.halfLifeS).toBeNull()
    expect(codesAt(solved.findings, 'sterilizer')).toContain('lamp-without-flow')
  })
  test('past its hours is found', () => {
    const old = { ...aSterilizer().lamp!, burnedS: 9500 * 3600 }
    expect(codesAt(solveBasin(lit({ lamp: old })).findings, 'sterilizer')).toContain('lamp-old')
  })
  test('says which chambers its water skips', () => {
    const back = set(lit(), ['returnSide', 'lines', 0, 'end'], {
      at: 'chamber',
      id: LOOP.sump.chambers[0]!.id,
      place: null,
      breakDepthM: null,
    })
    const [sterilizer] = solveBasin(back).treatment.sterilizers
    expect(sterilizer!.fromChamberId).toBe(LOOP.sump.chambers.at(-1)!.id)
    expect(sterilizer!.skips).toEqual(LOOP.sump.chambers.slice(1, -1).map(({ id }) => id))
  })
})
