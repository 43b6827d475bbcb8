import { describe, expect, test } from '@jest/globals'
import { setAlike } from '../../src/design/set-alike.ts'
import {
  applyEdits,
  type BasinDesign,
  joinedMatch,
  solveBasin,
  steadyState,
} from '../../src/index.ts'
import { aLoop } from '../a-loop.ts'

describe('siphons that join', () => {
  const loop = aLoop({ school: 'siphon-emergency' })
  /** The emergency made a second siphon that joins the first, and one more pipe to hold the level by. */
  function joinedLoop(): BasinDesign {
    const [siphon, emergency] = loop.drains
    const tee = { id: 'join', kind: 'tee', form: 'side' } as const
    const valve = siphon!.run.pieces.findIndex((piece) => piece.kind === 'valve')
    const trunk = {
      ...siphon!,
      run: {
        ...siphon!.run,
        pieces: [
          ...siphon!.run.pieces.slice(0, valve + 1),
          tee,
          ...siphon!.run.pieces.slice(valve + 1),
        ],
      },
    }
    const member = {
      ...siphon!,
      id: 'second',
      name: 'Second',
      run: {
        ...siphon!.run,
        pieces: siphon!.run.pieces
          .slice(0, valve + 1)
          .map((piece) => ({ ...piece, id: `second-${piece.id}` })),
      },
      end: { at: 'tee' as const, id: 'join', landing: 'open' as const },
    }
    return { ...loop, drains: [trunk, member, emergency!] }
  }

  test('are matched together: set so, the box stands where it should', () => {
    const design = joinedLoop()
    const steady = steadyState(design)
    expect(solveBasin(design).drains[0]!.match).toBeNull()
    const match = joinedMatch(steady, 0)!
    expect(match.opening).not.toBeNull()
    expect(match.levelPerTouchM).toBeGreaterThan(0)
    const tuned = steadyState(applyEdits(design, setAlike(design, 'tank', match.opening!)))
    expect(Math.abs(tuned.tankLevels[0]!.boxM! - match.levelM)).toBeLessThan(0.01)
  })
  test('a pipe that is no siphon has no setting', () => {
    expect(joinedMatch(steadyState(loop), 1)).toBeNull()
  })
})
