import { describe, expect, test } from '@jest/globals'
import { type BasinDesign, setTo, solveBasin } from '@yew-basin/core'
import { following, turnedByHand, withEdits } from '../src/workspace/what-follows.ts'
import { aWayDown } from './a-way-down.ts'

/** Its siphon is laid by the application, and so kept at what matches. */
const kept = aWayDown
const siphonOf = ({ drains }: BasinDesign) => drains.find(({ role }) => role === 'siphon')!
const openingOf = (design: BasinDesign) => {
  const valve = siphonOf(design).run.pieces.find((piece) => piece.kind === 'valve')
  if (valve?.kind !== 'valve') throw new Error('the sample’s siphon has a valve')
  return valve.opening
}

describe('a valve that is kept at the flow’s match', () => {
  test('is turned with whatever moves the flow, in the same step', () => {
    const design = withEdits(kept(), [])
    const narrow = setTo(['returnSide', 'lines', 0, 'run', 'size', 'boreM'], 0.02)
    const slower = withEdits(design, [narrow])
    expect(openingOf(slower)).toBeLessThan(openingOf(design))
    const codes = solveBasin(slower).findings.map(({ code }) => code)
    expect(codes).not.toContain('siphon-untuned')
  })
  test('stays where nothing moves the flow', () => {
    const design = withEdits(kept(), [])
    expect(following(design, [setTo(['drains', 0, 'name'], 'Main drain')])).toEqual([])
  })
  test('turned by hand, it is the keeper’s from then on', () => {
    const design = withEdits(kept(), [])
    const index = design.drains.indexOf(siphonOf(design))
    const piece = design.drains[index]!.run.pieces.findIndex(({ kind }) => kind === 'valve')
    const turn = setTo(['drains', index, 'run', 'pieces', piece, 'opening'] as never, 0.9 as never)
    const after = withEdits(design, turnedByHand(design, turn))
    expect(siphonOf(after).keepsMatch).toBe(false)
    expect(openingOf(after)).toBe(0.9)
  })
  test('another change by hand leaves it', () => {
    const design = withEdits(kept(), [])
    const index = design.drains.indexOf(siphonOf(design))
    const rename = setTo(['drains', index, 'name'], 'Left siphon')
    expect(turnedByHand(design, rename)).toEqual([rename])
  })
})
