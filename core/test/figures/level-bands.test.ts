import { aLoop, NARROW_EMERGENCY } from '../a-loop.ts'
import { withChanges } from '../changes.ts'
import { solveBasin } from '../../src/index.ts'
import { rimLevelBandM } from '../../src/figures/gravity/level-bands.ts'
import { keyFigures } from '../../src/key-figures/index.ts'
import { describe, expect, test } from '@jest/globals'

const LOOP = aLoop()

describe('how well a level is known', () => {
  test('two thirds of how well its rim and its flow are', () => {
    expect(rimLevelBandM(0.02, 0)).toBeCloseTo(0.002, 12)
    expect(rimLevelBandM(0.04, 0)).toBeCloseTo((2 / 3) * 0.04 * 0.05, 12)
    expect(rimLevelBandM(0.02, 0.2)).toBeCloseTo((2 / 3) * 0.02 * 0.25, 12)
    expect(rimLevelBandM(-0.01, 0.2)).toBe(0)
  })
  test('of the tank, its box and each chamber stands beside it; where the keeper fills to, there is none', () => {
    const { overflows, sump, tanks } = solveBasin(LOOP)
    const [overflow] = overflows
    const share = tanks[0]!.flowBandM3PerS / tanks[0]!.flowM3PerS
    expect(overflow!.headBandM).toBeCloseTo(rimLevelBandM(overflow!.headM, share), 12)
    expect(overflow!.surfaceBandM).toBeGreaterThanOrEqual(overflow!.headBandM)
    expect(overflow!.boxBandM).toBeGreaterThan(0)
    const bands = sump.chambers.map(({ levelBandM }) => levelBandM)
    const at = sump.chambers.findIndex(({ chamberId }) => chamberId === sump.returnChamberId)
    expect(bands[at]).toBe(0)
    for (const [i, band] of bands.entries()) {
      if (i === at) continue
      expect(band).toBeGreaterThan(0)
      expect(band).toBeLessThan(0.02)
    }
  })
  test('stands beside every margin, small beside a large one', () => {
    const { overflows, sump } = solveBasin(LOOP)
    for (const { blocked } of overflows) {
      for (const { marginM, marginBandM } of blocked) {
        expect(marginBandM).toBeGreaterThan(0)
        expect(marginBandM).toBeLessThan(Math.max(marginM, 0.2))
      }
    }
    expect(sump.outage!.marginBandM).toBeGreaterThan(0)
    expect(sump.outage!.marginBandM).toBeLessThan(0.02)
  })
  test('is on the strip, and its figure is shown no finer', () => {
    const figures = keyFigures(solveBasin(LOOP))
    for (const id of ['flow', 'turnover', 'head', 'drain', 'outage'] as const) {
      const figure = figures.find((known) => known.id === id)!
      expect(figure.value.bandSi).toBeGreaterThan(0)
    }
  })
})

describe('a margin inside its band is not called fine', () => {
  const finding = (changes: Record<string, unknown>, code: string) =>
    solveBasin(withChanges(LOOP, changes)).findings.find((found) => found.code === code)

  test('of a blocked pipe', () => {
    // So far under the rim that the emergency carries all by its open mouth: nothing else is doubtful.
    const rimM = 0.58
    const { overflows } = solveBasin(withChanges(LOOP, { 'tanks.0.rimM': rimM }))
    const worst = overflows[0]!.blocked.reduce((a, b) => (b.marginM < a.marginM ? b : a))
    expect(finding({ 'tanks.0.rimM': rimM }, 'blocked-pipe-held')!.severity).toBe('fine')
    const lower = rimM - worst.marginM + worst.marginBandM / 2
    const near = finding({ 'tanks.0.rimM': lower }, 'blocked-pipe-held')!
    expect(near.severity).toBe('watch')
    expect(near.title.text).toContain('too near to call')
  })
  test('of one that rests on an emergency that must run full', () => {
    const found = finding(NARROW_EMERGENCY, 'blocked-pipe-held')!
    expect(found.severity).toBe('watch')
    expect(found.title.text).toContain('if the emergency does as it is meant to')
  })
  test('of a power cut', () => {
    expect(finding({}, 'outage-held')!.severity).toBe('fine')
    // The tank made longer step by step until the margin is smaller than how well it is known.
    for (let lengthM = 1; lengthM < 10; lengthM *= 1.01) {
      const changes = { 'tanks.0.lengthM': lengthM, 'sump.marginM': 0 }
      const { marginM, marginBandM } = solveBasin(withChanges(LOOP, changes)).sump.outage!
      if (marginM >= marginBandM) continue
      expect(finding(changes, 'outage-held')?.severity ?? 'none').not.toBe('fine')
      return
    }
    throw new Error('no tank was long enough')
  })
})
