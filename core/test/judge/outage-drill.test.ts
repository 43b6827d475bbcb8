import { aHungBox, aLoop } from '../a-loop.ts'
import { astray, DEEP, withTakeoff } from '../a-takeoff.ts'
import { allDrills, type BasinDesign, solveBasin, steadyState } from '../../src/index.ts'
import { atRestOf } from '../../src/judge/at-rest.ts'
import { simulateDrill } from '../../src/lab.ts'
import { verdictOf } from '../../src/drill/verdict.ts'
import { restOf } from '../../src/rest/index.ts'
import { describe, expect, test } from '@jest/globals'

const UNDER = 'up 600 mm, elbow, left 300 mm, down 60 mm'
const BELOW_TEE = withTakeoff(`check, up 300 mm, tee, ${DEEP}`, 'p3')

function powerCut(design: BasinDesign) {
  const steady = steadyState(design)
  const drill = allDrills(steady).find(({ id }) => id === 'power-cut')!
  return { steady, simulation: simulateDrill(steady, drill) }
}

type AtBoth = [vessel: string, restM: number, drilledM: number, areaM2: number]

/** Levels at rest: as the judge finds them, and where the drill ended, tank, chambers, box sides. */
function bothWays(design: BasinDesign): AtBoth[] {
  const { steady, simulation } = powerCut(design)
  const atRest = atRestOf(steady, design.sump.box!, true)
  const { levelsM } = restOf(atRest.given)
  return simulation.plant.vessels.flatMap((vessel, v): AtBoth[] => {
    const { kind, id } = vessel.of
    if (kind === 'store') return []
    const sides = atRest.boxes[design.tanks.findIndex((tank) => tank.id === id)]
    const space = kind === 'box' ? sides!.box : kind === 'inner' ? sides!.inner : v
    const level = vessel.floorM + (simulation.volumes[v]! + vessel.submergedM3) / vessel.areaM2
    return [[`${kind} ${id}`, levelsM[space]!, level, vessel.areaM2]]
  })
}

const isBox = (vessel: string) => vessel.startsWith('box') || vessel.startsWith('inner')

/** Surface of the sumps here that take it, at the least, m². */
const LEAST_CHAMBER_M2 = 0.2

/** What a drill leaves in overflow boxes over what the judge leaves there. */
function keptInBoxesM3(design: BasinDesign): number {
  return bothWays(design)
    .filter(([vessel]) => isBox(vessel))
    .reduce((kept, [, rest, drilled, areaM2]) => kept + (drilled - rest) * areaM2, 0)
}

describe('what the judge says of a power cut is where its drill comes to rest', () => {
  test.each<[string, BasinDesign]>([
    ['an end in air', aLoop()],
    ['an all-in-one', aLoop({ form: 'rear-chambers', uses: ['media', 'return'] })],
    ['a hung box', aHungBox()],
    ['an inner and an outer box', aLoop({ form: 'inner-and-outer' })],
    ['a check valve that holds', aLoop({ line: `check, ${UNDER}` })],
    [
      'a break hole',
      aLoop({ line: UNDER, changes: { 'returnSide.lines.0.end.breakDepthM': 0.01 } }),
    ],
  ])('%s', (_, design) => {
    // A siphon's locked air may keep some water in its box: the judge counts on none of that.
    const keptM3 = keptInBoxesM3(design)
    for (const [vessel, rest, drilled] of bothWays(design)) {
      const lessM = vessel.startsWith('chamber') ? keptM3 / LEAST_CHAMBER_M2 : 0
      const within = drilled <= rest + 2e-4 && drilled >= rest - lessM - 2e-4
      if (!within && !isBox(vessel)) {
        throw new Error(`${vessel} rests at ${rest}, its drill ends at ${drilled}`)
      }
    }
    expect(keptM3).toBeLessThan(1e-3)
    const said = solveBasin(design).sump.outage!.spills
    expect(verdictOf(powerCut(design).simulation).outcome === 'wet').toBe(said)
  })

  test.each<[string, BasinDesign]>([
    ['an end under water', aLoop({ line: UNDER })],
    [
      'an all-in-one that siphons back',
      aLoop({ form: 'rear-chambers', uses: ['media', 'return'], line: UNDER }),
    ],
    ['a check valve below a tee', BELOW_TEE],
  ])('%s: both say it spills', (_, design) => {
    expect(solveBasin(design).sump.outage!.spills).toBe(true)
    expect(verdictOf(powerCut(design).simulation).outcome).toBe('wet')
  })
})

describe('case 1: a check valve below a tee', () => {
  test('is not believed to hold the tank: the sump is too small, and no line is drawn on the glass', () => {
    const { findings, sump } = solveBasin(BELOW_TEE)
    const codes = findings.map(({ code, severity }) => `${code} ${severity}`)
    expect(codes).toContain('sump-too-small stop')
    expect(codes.filter((said) => said.startsWith('outage-held'))).toEqual([])
    expect(sump.outage!.fillLineM).toBeNull()
    expect(sump.outage!.missingM3).toBeGreaterThan(0.05)
  })
  test('above the tee it holds', () => {
    const above = withTakeoff(
      `up 300 mm, tee, up 100 mm, check, up 200 mm, elbow, left 300 mm, down 160 mm`,
      'p2',
    )
    expect(solveBasin(above).sump.outage!.spills).toBe(false)
  })
})

test('a power cut that siphons onto the floor is said, though the sump would hold it', () => {
  const out = astray()
  expect(steadyState(out).layout.lines[1]!.end).toBe('outside-tank')
  const { sump, findings } = solveBasin(out)
  expect(sump.outage!.marginM).toBeGreaterThan(0)
  expect(sump.outage!.elsewhere).toMatchObject({ tankId: null })
  const codes = findings.map(({ code }) => code)
  expect(codes).toContain('outage-elsewhere')
  expect(codes).not.toContain('outage-held')
  expect(verdictOf(powerCut(out).simulation).outcome).toBe('wet')
})

test('case 10: the inner side of an inner-and-outer box comes down too', () => {
  const design = aLoop({ form: 'inner-and-outer' })
  const steady = steadyState(design)
  const { boxes, given } = atRestOf(steady, design.sump.box!, true)
  const [{ inner, box }] = boxes as [{ inner: number; box: number }]
  const gives = (space: number) => given.spaces[space]!.areaM2 * given.spaces[space]!.levelM
  const { levelsM } = restOf(given)
  const down = (space: number) => gives(space) - given.spaces[space]!.areaM2 * levelsM[space]!
  expect(down(inner)).toBeGreaterThan(0)
  expect(solveBasin(design).sump.outage!.drainBack.boxesM3).toBeCloseTo(down(inner) + down(box), 9)
})
