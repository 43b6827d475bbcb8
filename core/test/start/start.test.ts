import { beforeAll, describe, expect, test } from '@jest/globals'
import { askables } from '../../src/assumed/askable.ts'
import { buildFindings } from '../../src/basin/building.ts'
import { lastWord, solveBasin } from '../../src/basin/index.ts'
import { DRAIN_SCHOOLS } from '../../src/editing/gravity/schools.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import type { StartAnswers } from '../../src/start/answers.ts'
import {
  insideOf,
  noAnswers,
  pumpFromBox,
  sizesOfVolume,
  startDesign,
  withoutStops,
} from '../../src/start/index.ts'
import { TEST_PUMP } from '../a-basin.ts'
import { L_PER_H } from '../tables.ts'

const KINDS = ['over-sump', 'all-in-one', 'several', 'pump-only'] as const
const SHELF = [
  { ...TEST_PUMP, id: 'small', ratedPowerW: 15, curve: scaled(0.4) },
  TEST_PUMP,
  { ...TEST_PUMP, id: 'large', ratedPowerW: 120, curve: scaled(2.5) },
]

function scaled(share: number) {
  return TEST_PUMP.curve.map(({ flowM3PerS, headM }) => ({
    flowM3PerS: flowM3PerS * share,
    headM,
  }))
}

/** Of its water, drills and joints. */
const stopsOf = (design: BasinDesign) =>
  [...lastWord.solveWithLastWord(design).findings, ...buildFindings(design)]
    .filter(({ severity }) => severity === 'stop')
    .map(({ code }) => code)

/** A number from 0 to 1 after another, the same in every run. */
function seeded(seed: number): () => number {
  let now = seed
  return () => (now = (now * 1_664_525 + 1_013_904_223) % 4_294_967_296) / 4_294_967_296
}

/** Answers as a keeper may give them: a sump that can hold what comes down, a pump that can bring what is wanted. */
function someAnswers(random: () => number): StartAnswers {
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!
  const between = (least: number, most: number) => least + (most - least) * random()
  const maybe = <T>(make: () => T) => (random() < 0.7 ? make() : null)
  const base = noAnswers(pick(KINDS), pick(['metric', 'us'] as const))
  const tanks = base.tanks.map((tank) => ({
    ...tank,
    sizes: maybe(() => ({
      lengthM: between(0.5, 1.2),
      widthM: between(0.35, 0.7),
      heightM: between(0.35, 0.7),
    })),
    sizesGiven: true,
  }))
  return {
    ...base,
    tanks,
    standM: maybe(() => between(0.6, 1)),
    turnoverPerH: maybe(() => between(4, 10)),
    school: maybe(() => pick(DRAIN_SCHOOLS).school),
    sump: maybe(() => ({
      lengthM: between(0.8, 1.3),
      widthM: between(0.4, 0.5),
      heightM: between(0.4, 0.5),
    })),
    behindM: maybe(() => between(0.1, 0.15)),
    liftM: maybe(() => between(0.3, 2)),
    runM: maybe(() => between(1, 10)),
  }
}

describe.each(KINDS)('nothing but the kind answered: %s', (kind) => {
  const answers = noAnswers(kind, 'metric')
  let design: BasinDesign
  beforeAll(() => {
    design = withoutStops(startDesign(answers, SHELF))
  })
  test('is a loop with a flow, a band and no stop', () => {
    const { flowM3PerS, flowBandM3PerS } = solveBasin(design).returnSide
    expect(flowM3PerS).toBeGreaterThan(500 * L_PER_H)
    expect(flowBandM3PerS).toBeGreaterThan(0)
    expect(stopsOf(design)).toEqual([])
  })
  test('is assumed from end to end', () => {
    // A pump of the list brings its power with it.
    const asked = askables(design).filter(({ name }) => !name.endsWith('.ratedPowerW'))
    expect(design.assumed).toEqual(asked.map(({ name }) => name))
  })
})

test('twenty keepers’ answers end without a stop, and none of them is changed', () => {
  const random = seeded(2026)
  for (let n = 0; n < 20; n++) {
    const answers = someAnswers(random)
    const design = withoutStops(startDesign(answers, SHELF))
    expect([n, stopsOf(design)]).toEqual([n, []])
    const [tank] = design.tanks
    expect(tank).toMatchObject(answers.tanks[0]!.sizes ?? {})
    if (answers.turnoverPerH !== null) expect(tank!.turnoverPerH).toBe(answers.turnoverPerH)
    if (answers.sump && answers.kind === 'over-sump')
      expect(design.sump.box).toMatchObject(answers.sump)
    if (answers.standM !== null && answers.kind !== 'pump-only')
      expect(tank!.floorHeightM).toBe(answers.standM)
  }
})

describe('what was answered', () => {
  const sizes = { lengthM: 1, widthM: 0.5, heightM: 0.5 }
  const answers: StartAnswers = {
    ...noAnswers('over-sump', 'us'),
    tanks: [{ name: 'Hazel', sizes, sizesGiven: true }],
    standM: 0.9,
    sump: { lengthM: 0.9, widthM: 0.4, heightM: 0.4 },
    pump: TEST_PUMP,
  }
  const design = startDesign(answers, [])
  test('is given, and only that', () => {
    const given = askables(design)
      .map(({ name }) => name)
      .filter((name) => !design.assumed.includes(name))
    expect(given.toSorted()).toEqual([
      'pumps[test-pump].ratedPowerW',
      'returnSide.pumps[return-pump].pumpId',
      'sump.box.heightM',
      'sump.box.lengthM',
      'sump.box.widthM',
      'tanks[tank].floorHeightM',
      'tanks[tank].heightM',
      'tanks[tank].lengthM',
      'tanks[tank].widthM',
    ])
  })
  test('a tank worked out from its volume is assumed in its sizes', () => {
    const byVolume = sizesOfVolume(0.3)
    expect(byVolume.lengthM * byVolume.widthM * byVolume.heightM).toBeCloseTo(0.3, 9)
    const tanks = [{ name: 'Hazel', sizes: byVolume, sizesGiven: false }]
    expect(startDesign({ ...answers, tanks }, []).assumed).toContain('tanks[tank].lengthM')
  })
  test('of a pump alone: its lift and its pipe are what was said', () => {
    const only = startDesign({ ...noAnswers('pump-only', 'metric'), liftM: 1.3, runM: 6 }, SHELF)
    const { lines } = solveBasin(only).returnSide
    expect(lines[0]!.liftM).toBeCloseTo(1.3, 6)
    const pipes = only.returnSide.lines[0]!.run.pieces.map((piece) =>
      piece.kind === 'pipe' ? piece.lengthM : 0,
    )
    expect(pipes.reduce((sum, lengthM) => sum + lengthM, 0)).toBeCloseTo(6, 2)
  })
  test('a pump from its box has its numbers; a guessed power stays assumed', () => {
    const numbers = { maxFlowM3PerS: 4000 * L_PER_H, shutOffHeadM: 3.5, ratedPowerW: null }
    const pump = pumpFromBox({ id: 'mine', name: 'Mine' }, numbers)
    // A quarter of ρ g (Q/2)(H/2) at a quarter's efficiency: 9 806.65 · 0.000 556 · 1.75 / 0.25.
    expect(pump.ratedPowerW).toBe(38)
    expect(pump).toMatchObject({ maxFlowM3PerS: 4000 * L_PER_H, shutOffHeadM: 3.5 })
    const guessed = startDesign({ ...answers, pump, powerGuessed: true }, [])
    expect(guessed.assumed).toContain('pumps[mine].ratedPowerW')
    const given = startDesign({ ...answers, pump: { ...pump, ratedPowerW: 50 } }, [])
    expect(given.assumed).not.toContain('pumps[mine].ratedPowerW')
  })
  test('a wish as a flow is that flow, and given', () => {
    const wanted = startDesign({ ...answers, wantedFlowM3PerS: 1500 * L_PER_H }, [])
    expect(solveBasin(wanted).totals.wantedFlowM3PerS / L_PER_H).toBeCloseTo(1500, 6)
    expect(wanted.assumed).not.toContain('tanks[tank].turnoverPerH')
  })
  test('who asks for the pump’s flow alone wants what it gives', () => {
    const only = solveBasin(
      startDesign({ ...noAnswers('pump-only', 'us'), liftM: 2.4 }, [SHELF[0]!]),
    )
    const { flowM3PerS, wantedFlowM3PerS } = only.tanks[0]!
    expect(wantedFlowM3PerS).toBeLessThanOrEqual(flowM3PerS)
    expect(wantedFlowM3PerS).toBeGreaterThan(0.9 * flowM3PerS)
  })
  test('without a pump and without any to choose from is refused', () => {
    expect(() => startDesign(noAnswers('over-sump', 'us'), [])).toThrow('no pump')
  })
  test('outside sizes lose a panel on either side, and one below', () => {
    const inside = insideOf({ lengthM: 1, widthM: 0.5, heightM: 0.5 }, 0.01)
    expect(inside.lengthM).toBeCloseTo(0.98, 12)
    expect(inside.widthM).toBeCloseTo(0.48, 12)
    expect(inside.heightM).toBeCloseTo(0.49, 12)
  })
})
