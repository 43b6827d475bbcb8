import { aWayDown } from './a-way-down.ts'
import { describe, expect, test } from '@jest/globals'
import {
  asItRuns,
  building,
  chamberSpans,
  editing,
  solveBasin,
  type SolvedBasin,
} from '@yew-basin/core'
import { drawOverflows } from '../src/section/overflow-drawing.ts'
import { scaleFor, windowOf } from '../src/section/scale.ts'
import { flowLabels } from '../src/section/flow-labels.ts'
import type { PxBox } from '../src/section/px-box.ts'
import { drawRun } from '../src/section/run-drawing.ts'
import { fallingWater, levelMarkX } from '../src/section/section-layout.ts'
import { drawSump } from '../src/section/sump-drawing.ts'
import { cutListDxf, cutListSvg, layPanels, outlineOf, wallToCut } from '../src/sump/cut-drawing.ts'
import { aDesign } from './a-design.ts'

const given = aWayDown()
const solved = solveBasin(given)
const design = asItRuns(given, solved)
const scale = scaleFor(windowOf(design, solved), 730, 700)
/** The flows written on a section of a design that was solved so. */
function labelsOn(
  own: SolvedBasin,
  { of = design, at = scale, words = [] as readonly PxBox[] } = {},
) {
  const sheet = { view: 'section', scale: at } as const
  const lines = own.returnSide.lines.map((line, i) => drawRun(of.returnSide.lines[i]!, line, sheet))
  const drains = own.drains.map((drain, i) => drawRun(of.drains[i]!, drain, sheet))
  return flowLabels(of, own, { scale: at, runs: [...lines, ...drains], words })
}

describe('the sump on the sheet', () => {
  const sump = drawSump(design, solved, scale)!
  test('is to scale, its water where it was solved to stand', () => {
    expect(sump.right - sump.left).toBeCloseTo(1.1 * scale.pxPerM, 6)
    sump.chambers.forEach((chamber, i) => {
      expect(chamber.level).toBeCloseTo(scale.y(solved.sump.chambers[i]!.levelM), 9)
      const { fromM, toM } = chamberSpans(design.sump, 1.1)[i]!
      expect(chamber.right - chamber.left).toBeCloseTo((toM - fromM) * scale.pxPerM, 6)
    })
  })
  test('an under-wall ends above the floor, the others stand on it', () => {
    sump.walls.forEach((wall, i) => {
      const kind = design.sump.walls[i]!.kind
      if (kind === 'under') expect(wall.foot).toBeLessThan(sump.bottom)
      else expect(wall.foot).toBe(sump.bottom)
    })
  })
  test('the fill line lies in the return chamber, no higher than the rim', () => {
    const last = sump.chambers.at(-1)!
    expect(sump.fillLine!.left).toBe(last.left)
    expect(sump.fillLine!.y).toBeGreaterThanOrEqual(sump.top - 1e-9)
  })
  test('without sizes there is none', () => {
    expect(drawSump(aDesign('up 1 m'), solveBasin(aDesign('up 1 m')), scale)).toBeNull()
  })
  test('a wall moves between its neighbours only', () => {
    const { leastM, mostM } = editing.wallRange(design.sump, 1)
    const [before, , after] = design.sump.walls
    expect(leastM).toBeGreaterThan(before!.atM + before!.thicknessM)
    expect(mostM).toBeLessThan(after!.atM)
  })
})

describe('the overflow on the sheet', () => {
  const [overflow] = drawOverflows(design, solved, scale)
  test('the box’s water, its crest and its teeth stand where they are', () => {
    expect(overflow!.water).toBeCloseTo(scale.y(solved.overflows[0]!.boxM!), 9)
    expect(overflow!.crest).toBeCloseTo(scale.y(solved.overflows[0]!.crestM), 9)
    expect(overflow!.teethTop).toBeLessThan(overflow!.crest)
    expect(overflow!.teeth.split('M').length).toBeGreaterThan(5)
    expect(overflow!.drowned).toBe(false)
  })
  test('a tank without one has none', () => {
    const plain = aDesign('up 1 m')
    expect(drawOverflows(plain, solveBasin(plain), scale)).toEqual([])
  })
})

describe('what is written on the section', () => {
  test('a level mark keeps clear of what crosses the water', () => {
    expect(levelMarkX(0, 1000, [])).toBe(300)
    expect(levelMarkX(0, 1000, [350])).toBe(550)
    expect(levelMarkX(0, 1000, [350, 600])).toBe(80)
    // Nowhere is clear: the first place is as good as any.
    expect(levelMarkX(0, 100, [10, 40, 70, 90])).toBe(30)
  })
  test('the flow stands beside the longest upright pipe, left of the tank’s right end', () => {
    const [label] = labelsOn(solved)
    expect(label!.flowM3PerS).toBe(solved.returnSide.lines[0]!.flowM3PerS)
    expect(label!.speedMPerS).not.toBeNull()
    expect(label!.name).toBe('')
    expect(label!.x).toBeLessThanOrEqual(scale.x(1) - 14)
  })
  test('a flow stands off its pipe as far as that is wide, however near it is looked at', () => {
    const pxPerM = 6 * scale.pxPerM
    const near = { pxPerM, x: (m: number) => m * pxPerM, y: (m: number) => -m * pxPerM }
    const [label] = labelsOn(solved, { at: near })
    for (const { kind, from, to, boreM } of solved.returnSide.lines[0]!.pieces) {
      if (kind !== 'pipe' || from.xM !== to.xM) continue
      expect(Math.abs(label!.x - near.x(to.xM))).toBeGreaterThan((boreM / 2) * pxPerM)
    }
  })
  test('a flow keeps clear of a pipe that runs where it would stand', () => {
    const [plain] = labelsOn(solved)
    const [drain, ...drains] = solved.drains
    const [piece, ...pieces] = drain!.pieces
    const at = {
      ...piece!.from,
      xM: (plain!.x - 20 - scale.x(0)) / scale.pxPerM,
    }
    const across = { ...piece!, from: { ...at, zM: 2 }, to: { ...at, zM: 0 } }
    const crossed = { ...solved, drains: [{ ...drain!, pieces: [across, ...pieces] }, ...drains] }
    const [moved] = labelsOn(crossed)
    expect([moved!.x, moved!.y]).not.toEqual([plain!.x, plain!.y])
  })
  test('where a line’s name and speed have no room side by side they stand below each other, or the name alone', () => {
    const twice = <T>(all: readonly T[]) => [...all, ...all]
    const of = {
      ...design,
      returnSide: { ...design.returnSide, lines: twice(design.returnSide.lines) },
    }
    const both = {
      ...solved,
      drains: [],
      returnSide: { ...solved.returnSide, lines: twice(solved.returnSide.lines) },
    }
    const [wide] = labelsOn(both, { of })
    expect([wide!.isStacked, wide!.speedMPerS === null]).toEqual([false, false])
    const { x, y } = wide!
    const wall = (left: number, right: number, top: number, bottom: number) => ({
      left,
      right,
      top,
      bottom,
    })
    const aside = [wall(x - 999, x - 70, -999, 999), wall(x + 8, x + 999, -999, 999)]
    const [stacked] = labelsOn(both, { of, words: aside })
    expect([stacked!.anchor, stacked!.isStacked]).toEqual(['end', true])
    const [short] = labelsOn(both, { of, words: [...aside, wall(x - 70, x, y + 14, 999)] })
    expect([short!.isStacked, short!.speedMPerS]).toEqual([false, null])
    expect(short!.name).toBe(wide!.name)
  })
  test('a flow keeps clear of words that stand there already', () => {
    const [plain] = labelsOn(solved)
    const { x, y } = plain!
    const there = { left: x - 80, right: x + 80, top: y - 10, bottom: y + 10 }
    const [moved] = labelsOn(solved, { words: [there] })
    expect([moved!.x, moved!.y]).not.toEqual([x, y])
  })
  test('a jet falls from a mouth in air to the water under it', () => {
    const line = solved.returnSide.lines[0]!
    const [fall] = fallingWater(design, solved, line, scale)
    expect(fall!.d.endsWith(`V${scale.y(solved.tanks[0]!.surfaceM)}`)).toBe(true)
    expect(fallingWater(design, solved, { ...line, flowM3PerS: 0 }, scale)).toEqual([])
  })
})

describe('the walls to cut', () => {
  const panels = building.cutList(design.sump).map(wallToCut)
  test('lie side by side without touching', () => {
    const laid = layPanels(panels)
    for (let i = 1; i < laid.length; i++) {
      expect(laid[i]!.x).toBeGreaterThan(laid[i - 1]!.x + laid[i - 1]!.width)
    }
    expect(laid[0]!.width).toBeCloseTo((0.4 - 2 * 0.0016) * 1000, 6)
  })
  test('a comb’s outline has four corners more for every slot', () => {
    const teeth = { slotWidthM: 0.01, pitchM: 0.02, heightM: 0.03, blockedShare: 0 }
    const comb = { ...panels[0]!, teeth }
    const [laid] = layPanels([comb])
    expect(laid!.notches.length).toBe(Math.floor(comb.widthM / teeth.pitchM))
    expect(outlineOf(laid!)).toHaveLength(4 + 4 * laid!.notches.length)
  })
  test('the drawing is a DXF in millimetres with a closed outline for each', () => {
    const svg = new DOMParser().parseFromString(cutListSvg(panels), 'image/svg+xml').documentElement
    const [, , wide, high] = svg.getAttribute('viewBox')!.split(' ')
    expect([svg.getAttribute('width'), svg.getAttribute('height')]).toEqual([
      `${wide}mm`,
      `${high}mm`,
    ])
    expect(svg.querySelectorAll('polygon')).toHaveLength(panels.length)
    expect(svg.querySelectorAll('[class]')).toHaveLength(0)
    const dxf = cutListDxf(panels)
    expect(dxf).toMatch(/\$INSUNITS[\s\S]*?70\s+4\s/)
    expect(dxf.match(/LWPOLYLINE|POLYLINE/g)!.length).toBeGreaterThanOrEqual(panels.length)
    expect(dxf).toContain('WALL 1')
    expect(dxf.trimEnd().endsWith('EOF')).toBe(true)
  })
})
