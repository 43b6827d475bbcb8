import { steadyStatesSearched } from '@yew-basin/core/lab'
import { describe, expect, test } from '@jest/globals'
import { fixesOfFinding, solveBasin, swaps } from '@yew-basin/core'
import { readBasinObject } from '../src/index.ts'
import { solvedFile } from '../../tools/solve/solved-file.ts'
import { aFile } from './a-file.ts'

function read() {
  const checked = readBasinObject(aFile())
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults))
  return checked.value
}

function searchedBy(work: () => void): number {
  const before = steadyStatesSearched()
  work()
  return steadyStatesSearched() - before
}

describe('the solve command', () => {
  test('solves a design once, once a pump swapped in and once a fix it tries', () => {
    const alone = read()
    const [{ design }] = alone.designs as [(typeof alone.designs)[number]]
    expect(searchedBy(() => solveBasin(design))).toBe(1)
    const bySwaps = searchedBy(() => swaps(design, design.pumps))
    expect(bySwaps).toBeLessThanOrEqual(design.pumps.length)
    const byFixes = searchedBy(() => {
      for (const finding of solveBasin(design).findings) fixesOfFinding(design, finding)
    })
    expect(
      searchedBy(() =>
        solvedFile(read(), { drills: false, currents: false, build: false, day: '2026-11-01' }),
      ),
    ).toBe(1 + bySwaps + byFixes)
  })
})
