import { describe, expect, test } from '@jest/globals'
import { noAnswers, startDesign } from '../../src/start/index.ts'
import { TEST_PUMP } from '../a-basin.ts'
import { sheetOf } from '../../src/basin/building.ts'
import type { BasinDesign, OverflowForm } from '../../src/design/index.ts'
import { applyEdits, USUAL_BUILD } from '../../src/design/index.ts'
import { otherOverflow, schoolEdits, withFollowing } from '../../src/editing/index.ts'
import { solveBasin } from '../../src/index.ts'

const START = startDesign(noAnswers('over-sump', 'metric'), [TEST_PUMP])
const edited = (design: BasinDesign, edits: Parameters<typeof withFollowing>[1]) =>
  applyEdits(design, withFollowing(design, edits))
function withForm(form: OverflowForm, place: 'back' | 'corner' = 'back'): BasinDesign {
  const open = edited(START, otherOverflow(START, 0, { form, place }))
  return edited(open, schoolEdits(open, 0, { school: 'siphon-emergency', series: 'pn-16' }))
}
const boxOf = (design: BasinDesign) => sheetOf(design, solveBasin(design)).boxes[0]!
const sides = (design: BasinDesign) => boxOf(design).panels.map(({ side }) => side)

describe('an overflow box as panels', () => {
  test('in the tank has those sides that stand free, toothed to the tops of its teeth', () => {
    const back = withForm('inner-box')
    expect(sides(back)).toEqual(['front', 'left', 'right'])
    expect(sides(withForm('inner-box', 'corner'))).toEqual(['front', 'right'])
    const { crestM, teeth, box } = back.tanks[0]!.overflow!
    const [front, left] = boxOf(back).panels
    expect(front!.heightM).toBeCloseTo(crestM + teeth!.heightM, 9)
    expect(front!.teeth).toEqual(teeth)
    expect(front!.widthM).toBeCloseTo(box!.lengthM + 2 * front!.thicknessM, 9)
    expect(left!.widthM).toBeCloseTo(box!.widthM - 2 * back.sump.gapM, 9)
  })
  test('raised from the tank’s floor has a floor of its own, and lower sides', () => {
    const tanks = withForm('inner-box').tanks.map((tank) => ({
      ...tank,
      overflow: {
        ...tank.overflow!,
        box: { ...tank.overflow!.box!, floorM: 0.2 },
      },
    }))
    const raised = { ...withForm('inner-box'), tanks }
    expect(sides(raised)).toEqual(['front', 'left', 'right', 'floor'])
    const { crestM, teeth } = raised.tanks[0]!.overflow
    expect(boxOf(raised).panels[0]!.heightM).toBeCloseTo(crestM + teeth!.heightM - 0.2, 9)
  })
  test('beside the tank has four sides on a floor with its pipes’ holes', () => {
    const outer = withForm('outer-box')
    const { panels } = boxOf(outer)
    expect(sides(outer)).toEqual(['front', 'back', 'left', 'right', 'floor'])
    const box = outer.tanks[0]!.overflow!.box!
    const floor = panels[4]!
    expect(floor.holes.length).toBe(outer.drains.length)
    expect(floor.widthM).toBeCloseTo(box.lengthM + 2 * floor.thicknessM, 9)
    expect(panels[0]!.heightM).toBeCloseTo(box.rimM - box.floorM, 9)
    const seamsM =
      4 * panels[0]!.heightM + panels.slice(0, 4).reduce((sum, { widthM }) => sum + widthM, 0)
    const gap = outer.sump.gapM * floor.thicknessM
    expect(boxOf(outer).siliconeM3 / (seamsM * (2 * 18e-6 + gap))).toBeCloseTo(1, 9)
    for (const { alongM, upM } of floor.holes) {
      expect(alongM).toBeGreaterThan(floor.thicknessM)
      expect(upM).toBeLessThan(floor.heightM - floor.thicknessM)
    }
  })
  test('is as thick as the tank’s panels were said to be, else as usual, and says so', () => {
    const plain = withForm('outer-box')
    expect(boxOf(plain).isThicknessAssumed).toBe(true)
    const build = {
      ...USUAL_BUILD,
      panels: [{ tankId: plain.tanks[0]!.id, material: 'acrylic', thicknessM: 0.01 }],
    } as const
    const given = boxOf({ ...plain, build })
    expect(given.isThicknessAssumed).toBe(false)
    expect(given.panels.every(({ thicknessM }) => thicknessM === 0.01)).toBe(true)
  })
})
