import { describe, expect, test } from '@jest/globals'
import { aSterilizer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits } from '../../src/design/index.ts'
import { teeOffDevice } from '../../src/editing/branch/tee-off-device.ts'
import { ownValve, valveForFlow } from '../../src/editing/setting/valve-for-flow.ts'

const ids = () => {
  let n = 0
  return () => `new-${(n += 1)}`
}
const WITH = withDevices(aLoop(), aSterilizer({ lineId: null }))
const DESIGN = applyEdits(
  WITH,
  teeOffDevice(WITH, solveBasin(WITH), { deviceIndex: 0, newId: ids() }),
)
const LINE = DESIGN.returnSide.lines.length - 1
const valve = ownValve(DESIGN, LINE)!
const flowOf = (design: typeof DESIGN) => solveBasin(design).returnSide.lines[LINE]!.flowM3PerS

describe('a flow that is wished for at a takeoff', () => {
  test('is given by its own valve', () => {
    const most = valveForFlow(DESIGN, valve, 1)
    const wanted = most.flowM3PerS / 2
    const set = valveForFlow(DESIGN, valve, wanted)
    const after = flowOf(applyEdits(DESIGN, set.edits))
    expect(after).toBeCloseTo(set.flowM3PerS, 12)
    // To a hundredth of the valve's turn.
    expect(Math.abs(after / wanted - 1)).toBeLessThan(0.1)
    expect(set.opening).toBeGreaterThan(0)
    expect(set.opening).toBeLessThan(1)
  })
  test('past what the open valve lets through it stands open, and says what that gives', () => {
    const set = valveForFlow(DESIGN, valve, 1)
    expect(set.opening).toBe(1)
    expect(set.flowM3PerS).toBeCloseTo(flowOf(applyEdits(DESIGN, set.edits)), 12)
  })
  test('needs a valve that can stand between open and shut', () => {
    expect(valve.piece).toBe(0)
    const without = {
      ...DESIGN,
      returnSide: {
        ...DESIGN.returnSide,
        lines: DESIGN.returnSide.lines.map((line) => ({
          ...line,
          run: { ...line.run, pieces: line.run.pieces.filter(({ kind }) => kind !== 'valve') },
        })),
      },
    }
    expect(ownValve(without, LINE)).toBeNull()
  })
})
