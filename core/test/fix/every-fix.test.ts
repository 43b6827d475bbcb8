import { steadyFixes } from '../found.ts'
import { aHeatedLoop } from '../a-heated-loop.ts'
import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aSkimmer, aSterilizer, withDevices } from '../a-device.ts'
import { aHungBox, aLoop } from '../a-loop.ts'
import { CABINET, INSIDE, LOOP } from '../a-treated-loop.ts'
import { withChanges } from '../changes.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { applyEdits } from '../../src/design/edit.ts'
import { type Finding, RULES, sameFinding } from '../../src/finding/index.ts'
import { SEVERITIES } from '../../src/finding/severity.ts'
import { say, type Sentence } from '../../src/quantity/index.ts'
import { QUOTED_TARGETS } from '../../src/uv/targets.ts'

const TREATED = withChanges(
  withDevices(LOOP, aSkimmer({}, INSIDE), aSterilizer({ lineId: 'main' })),
  {
    'treatment.targets': QUOTED_TARGETS,
    'treatment.targetId': 'bacteria',
    'sump.cabinet': CABINET,
  },
)

/** Designs with something wrong at every station. */
const TROUBLED: Readonly<Record<string, BasinDesign>> = {
  'a pump too weak': withChanges(aBasin(), { 'tanks.0.turnoverPerH': 25 }),
  'a pump too strong': withChanges(aBasin(), { 'tanks.0.turnoverPerH': 2 }),
  'a pipe too narrow': withChanges(aBasin(), { 'returnSide.lines.0.run.size.boreM': 0.012 }),
  'a mouth under water': withChanges(aBasin(), { 'tanks.0.waterLevelM': 0.9 }),
  'a line that ends beside its tank': withChanges(aBasin(), { 'tanks.0.lengthM': 0.1 }),
  'a nozzle in the middle': aBasin('up 1 m, nozzle 20 mm, elbow, left 300 mm'),
  'elbows in a row': aBasin(`up 1 m, ${'elbow, '.repeat(3)}left 300 mm`),
  'no union at the pump': aBasin('up 700 mm, elbow, left 300 mm, gate'),
  'a shut valve': aBasin('union, up 1 m, elbow, left 300 mm, gate 0%'),
  'a siphon as it was laid': LOOP,
  'a siphon that cannot': withChanges(LOOP, { 'drains.0.run.size.boreM': 0.012 }),
  'a low rim': withChanges(LOOP, { 'tanks.0.rimM': 0.25 }),
  'a short rim': withChanges(LOOP, {
    'tanks.0.overflow.rimLengthM': 0.02,
    'tanks.0.overflow.teeth': null,
  }),
  'a sump too small': withChanges(LOOP, { 'tanks.0.floorHeightM': 1 }),
  'a sump filled too high': withChanges(LOOP, { 'sump.marginM': 0.16 }),
  'a pump that draws air': withChanges(LOOP, { 'returnSide.pumps.0.inletHeightM': 0.19 }),
  'a hung box': withChanges(aHungBox(), { 'tanks.0.floorHeightM': 1 }),
  'vented pipes': aLoop({ school: 'vented-emergency' }),
  'a skimmer too deep': withChanges(TREATED, {
    'sump.devices.0.part.skimmer.wantsDepth': { leastM: 0.05, mostM: 0.08 },
  }),
  'a cup that stays on': withChanges(TREATED, { 'sump.devices.0.part.heightM': 0.8 }),
  'a dose too small': withChanges(TREATED, {
    'sump.devices.1.part.sterilizer.ratedDoseJPerM2': 90,
  }),
  'a cold tank': aHeatedLoop([]),
  'a heater too small': aHeatedLoop([20]),
  'an old lamp': withChanges(TREATED, { 'sump.devices.1.lamp.burnedS': 9e7 }),
}

const same = (finding: Finding, others: readonly Finding[]) =>
  others.find((other) => sameFinding(other, finding))

/** A sentence says something in both families, and no placeholder is left in it. */
function reads(sentence: Sentence): void {
  for (const family of ['metric', 'us'] as const) {
    const words = say(sentence, family)
    expect(words).not.toMatch(/\{\w+\}|undefined|NaN|null/)
  }
}

describe.each(Object.entries(TROUBLED))('%s', (name, design) => {
  const { findings } = solveBasin(design)

  test('is found, each finding in words, at a severity that its rule can have', () => {
    expect(findings.length).toBeGreaterThan(0)
    for (const { code, severity, title, reason } of findings) {
      reads(title)
      reads(reason)
      const severities = RULES.filter((rule) => rule.code === code).flatMap(
        (rule) => rule.severities,
      )
      expect(severities).toContain(severity)
    }
    const order = findings.map(({ severity }) => SEVERITIES.indexOf(severity))
    expect(order).toEqual([...order].sort((a, b) => a - b))
  })

  test('each finding is of something that is there', () => {
    const ids = new Set(
      [
        design.tanks,
        design.drains,
        design.sump.chambers,
        design.sump.devices,
        design.returnSide.lines,
        design.returnSide.lines.flatMap(({ run }) => run.pieces),
        design.drains.flatMap(({ run }) => run.pieces),
      ].flatMap((list) => (list as readonly { id: string }[]).map(({ id }) => id)),
    )
    for (const { tankId, lineId, pieceId, drainId, chamberId, deviceId } of findings) {
      for (const id of [tankId, lineId, pieceId, drainId, chamberId, deviceId]) {
        if (id !== null) expect([name, id, ids.has(id)]).toEqual([name, id, true])
      }
    }
  })

  test('no fix that is offered makes its finding worse, and each says in words what it brings', () => {
    for (const finding of findings) {
      const { fixes, otherwise } = steadyFixes(design, finding)
      if (otherwise) reads(otherwise)
      // What to do otherwise is said only where nothing that was tried helps.
      expect(otherwise === null || fixes.length === 0).toBe(true)
      for (const { label, brings, edits } of fixes) {
        reads(label)
        reads(brings)
        expect(edits.length).toBeGreaterThan(0)
        const after = applyEdits(design, edits)
        expect(after).not.toEqual(design)
        const left = same(finding, solveBasin(after).findings)
        const worse =
          left !== undefined &&
          SEVERITIES.indexOf(left.severity) < SEVERITIES.indexOf(finding.severity)
        expect([finding.code, say(label, 'metric'), worse]).toEqual([
          finding.code,
          say(label, 'metric'),
          false,
        ])
      }
    }
  })
})

test('a finding that is not of this design has no fix here', () => {
  const [finding] = solveBasin(TROUBLED['a pump too weak']!).findings
  const elsewhere = { ...finding!, tankId: 'nobody', lineId: 'nobody' }
  expect(steadyFixes(aBasin(), elsewhere)).toEqual({ fixes: [], otherwise: null })
})
