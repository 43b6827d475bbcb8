import { describe, expect, test } from '@jest/globals'
import { A_SUMP, aLoop } from '../a-loop.ts'
import {
  applyEdits,
  BULKHEADS,
  chamberSpans,
  editing,
  building,
  solveBasin,
} from '../../src/index.ts'
import {
  leastLengthM,
  newSump,
  newSumpBox,
  reordered,
  sumpEdits,
  tryLayout,
  tuneValve,
  withChamber,
  withHeight,
  withLength,
  withoutChamber,
} from '../../src/editing/index.ts'

const design = aLoop()
const { sump } = design
const lengths = (cut: typeof sump) =>
  chamberSpans(cut, cut.box!.lengthM).map(({ fromM, toM }) => toM - fromM)

describe('a new sump', () => {
  test('chambers and walls fill its length', () => {
    const walls = sump.walls.reduce((sum, { thicknessM }) => sum + thicknessM, 0)
    const all = lengths(sump).reduce((sum, length) => sum + length, walls)
    expect(all).toBeCloseTo(A_SUMP.lengthM, 9)
    expect(Math.min(...lengths(sump))).toBeGreaterThan(0.02)
  })
  test('a reservoir is walled off, and traps are gone under', () => {
    const made = newSump(sump, A_SUMP, ['socks', 'trap', 'trap', 'return', 'reservoir'])
    expect(made.walls.map(({ kind }) => kind)).toEqual(['over', 'under', 'over', 'solid'])
  })
  test('a short box still gives every chamber some room', () => {
    const made = newSump(sump, { ...A_SUMP, lengthM: 0.5 }, [
      'socks',
      'skimmer',
      'refugium',
      'return',
    ])
    expect(Math.min(...lengths(made))).toBeGreaterThan(0.04)
  })
})

test('a new sump’s box stands under the pump, or where the old one stood', () => {
  const sizes = { make: 'bought', lengthM: 0.9, widthM: 0.4, heightM: 0.4, panelM: 0.008 } as const
  expect(newSumpBox(design, sizes)).toEqual({ ...A_SUMP, ...sizes })
  const bare = { ...design, sump: { ...sump, box: null, walls: [] } }
  const box = newSumpBox(bare, sizes)
  const { outlet } = design.returnSide.pumps[0]!
  expect(box.xM + box.lengthM).toBeGreaterThan(outlet.xM)
  expect(box.xM).toBeLessThan(outlet.xM)
})

test('a valve is tuned to a thousandth, and not at all where no setting does', () => {
  const { match } = solveBasin(design).drains[0]!
  const [edit] = tuneValve(design, 0, match!)
  expect(edit!.op === 'set' ? edit!.to : null).toBeCloseTo(match!.opening!, 3)
  expect(tuneValve(design, 0, { ...match!, opening: null })).toEqual([])
})

describe('changes of a sump', () => {
  test('another length keeps the shares, another height cuts the walls', () => {
    const longer = withLength(sump, 2.2)
    expect(longer.walls[0]!.atM).toBeCloseTo(sump.walls[0]!.atM * 2, 1)
    const least = withLength(sump, leastLengthM(sump))
    expect(Math.min(...lengths(least))).toBeGreaterThan(0)
    const lower = withHeight(sump, 0.1)
    expect(Math.max(...lower.walls.map(({ topM }) => topM))).toBeLessThanOrEqual(0.1)
  })
  test('a chamber is parted in two and taken out again', () => {
    let n = 0
    const more = withChamber(sump, 0, 'media', () => `new${++n}`)!
    expect(more.chambers).toHaveLength(sump.chambers.length + 1)
    expect(more.walls).toHaveLength(more.chambers.length - 1)
    expect(more.chambers[1]!.use).toBe('media')
    expect(withoutChamber(more, 1).walls).toHaveLength(sump.walls.length)
    const tiny = {
      ...sump,
      walls: sump.walls.map((wall, i) => (i === 0 ? { ...wall, atM: 0.01 } : wall)),
    }
    expect(withChamber(tiny, 0, 'media', () => 'x')).toBeNull()
  })
  test('in another order each chamber is as long as it was', () => {
    const ids = sump.chambers.map(({ id }) => id)
    const swapped = reordered(sump, [ids[1]!, ids[0]!, ...ids.slice(2)])
    expect(lengths(swapped)[0]).toBeCloseTo(lengths(sump)[1]!, 2)
    expect(lengths(swapped)[1]).toBeCloseTo(lengths(sump)[0]!, 2)
  })
  test('what ended in a chamber that is gone comes down where drains come in', () => {
    const open = newSump(sump, A_SUMP, ['return'])
    const edited = applyEdits(design, sumpEdits(design, open))
    const [only] = edited.sump.chambers
    expect(edited.drains.every(({ end }) => end.id === only!.id)).toBe(true)
    expect(edited.returnSide.pumps[0]!.chamberId).toBe(only!.id)
    expect(solveBasin(edited).sump.chambers).toHaveLength(1)
  })
  test('two layouts share the same box', () => {
    const three = tryLayout(design, A_SUMP, ['socks', 'refugium', 'return'])
    const four = tryLayout(design, A_SUMP, ['socks', 'skimmer', 'refugium', 'return'])
    const refugium = (triedLayout: typeof three) =>
      triedLayout.solved.chambers[triedLayout.uses.indexOf('refugium')]!.lengthM!
    expect(refugium(three)).toBeGreaterThan(refugium(four))
  })
})

describe('the cut list', () => {
  const panels = building.cutList(sump)
  test('each wall is inside width less two gaps, and stands from its foot to its top', () => {
    for (const panel of panels) {
      expect(panel.widthM).toBeCloseTo(A_SUMP.widthM - 2 * sump.gapM, 12)
      expect(panel.heightM).toBeCloseTo(panel.topM - panel.footM, 12)
    }
    expect(panels.find(({ kind }) => kind === 'under')!.footM).toBeGreaterThan(0)
  })
  test('every wall has its turn, and the last one sealed has the most room', () => {
    expect(panels.map(({ order }) => order).sort((a, b) => a - b)).toEqual(
      panels.map((_, i) => i + 1),
    )
    const last = panels.find(({ order }) => order === panels.length)!
    const others = panels.filter((panel) => panel !== last)
    expect(last.gapM).toBeGreaterThanOrEqual(0.1)
    expect(others.every(({ gapM }) => gapM >= 0.1)).toBe(true)
  })
  test('a sump without sizes has none', () => {
    expect(building.cutList({ ...sump, box: null, walls: [] })).toEqual([])
  })
})

test('bulkheads and common tanks are in order and fit through what they say', () => {
  for (const { boreM, holeM, flangeM } of BULKHEADS) {
    expect(holeM).toBeGreaterThan(boreM)
    expect(flangeM).toBeGreaterThan(holeM)
  }
  for (const { lengthM, widthM, heightM } of editing.COMMON_SIZES) {
    expect(lengthM).toBeGreaterThan(widthM)
    expect(heightM).toBeGreaterThan(0.2)
  }
})
