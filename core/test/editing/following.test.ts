import { describe, expect, test } from '@jest/globals'
import { LOOP } from '../a-treated-loop.ts'
import { applyEdits, type BasinDesign, type Edit, setTo, solveBasin } from '../../src/index.ts'
import { following, turnedByHand } from '../../src/editing/index.ts'

const withEdits = (design: BasinDesign, edits: readonly Edit[]) =>
  applyEdits(design, [...edits, ...following(design, edits)])
/** Its siphon is laid by the application, and so kept at what matches. */
const KEPT = withEdits(LOOP, [])
const VALVE = KEPT.drains[0]!.run.pieces.findIndex(({ kind }) => kind === 'valve')
function openingOf({ drains }: BasinDesign): number {
  const valve = drains[0]!.run.pieces[VALVE]!
  if (valve.kind !== 'valve') throw new Error('the siphon of the loop has a valve')
  return valve.opening
}

describe('a valve that is kept at the flow’s match', () => {
  test('is turned with whatever moves the flow, in the same step', () => {
    const narrow = setTo(['returnSide', 'lines', 0, 'run', 'size', 'boreM'], 0.02)
    const slower = withEdits(KEPT, [narrow])
    expect(openingOf(slower)).toBeLessThan(openingOf(KEPT))
    const codes = solveBasin(slower).findings.map(({ code }) => code)
    expect(codes).not.toContain('siphon-untuned')
  })
  test('stays where nothing moves the flow', () => {
    expect(following(KEPT, [setTo(['drains', 0, 'name'], 'Main drain')])).toEqual([])
  })
  test('turned by hand, it is the keeper’s from then on', () => {
    const valve = KEPT.drains[0]!.run.pieces[VALVE]!
    if (valve.kind !== 'valve') throw new Error('the siphon of the loop has a valve')
    const turn = setTo(['drains', 0, 'run', 'pieces', VALVE], { ...valve, opening: 0.9 })
    const after = withEdits(KEPT, turnedByHand(KEPT, turn))
    expect(after.drains[0]!.keepsMatch).toBe(false)
    expect(openingOf(after)).toBe(0.9)
  })
  test('another change by hand leaves it', () => {
    const rename = setTo(['drains', 0, 'name'], 'Left siphon')
    expect(turnedByHand(KEPT, rename)).toEqual([rename])
  })
})
