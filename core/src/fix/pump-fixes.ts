import { applyEdits, type Edit, insertAt, setTo } from '../design/index.ts'
import { valvePath } from '../editing/index.ts'
import { flowAtSpeeds } from '../figures/index.ts'
import {
  BESIDE_PUMP_M,
  type LineCase,
  noUnionAtPump,
  ofLine,
  PAST_SHARE,
  pumpDrawsAir,
  valveDoesPumpsWork,
  wantedThrough,
} from '../finding/index.ts'
import { layOut } from '../layout/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Piece } from '../run/index.ts'
import { type FindingFixes, fixesFor } from './finding-fix.ts'
import { givingFlow } from './flow/wish.ts'
import { freePieceId, piecesPath } from './paths.ts'

/** What fixes the use of a pump. */
export const PUMP_FIXES: readonly FindingFixes[] = [
  fixesFor(valveDoesPumpsWork, (line, { at }) => {
    const open = setTo([...valvePath(line.laid.index, at)], 1)
    const wantedM3PerS = Math.min(wantedThrough(line), line.solved.flowM3PerS * (1 + PAST_SHARE))
    const speed = leastSpeedFor(line, open, wantedM3PerS)
    if (speed === null) return []
    const label = sentence('Open the valve and run the pump at {speed}', {
      speed: ['share', speed],
    })
    const pumpAt = line.design.returnSide.pumps.indexOf(line.pump.placed)
    const slow = setTo(['returnSide', 'pumps', pumpAt, 'speed'], speed)
    return [givingFlow(label, [open, slow], ofLine(line))]
  }),
  fixesFor(noUnionAtPump, (line, first) => {
    const short = first.kind === 'pipe' && first.lengthM <= BESIDE_PUMP_M
    const at = short || first.kind === 'reducer' ? 1 : 0
    const union: Piece = { id: freePieceId(line, `${line.laid.line.id}-union`), kind: 'union' }
    return [
      givingFlow(sentence('Put a union in'), [insertAt(piecesPath(line), at, union)], ofLine(line)),
    ]
  }),
  fixesFor(pumpDrawsAir, ({ design, pump }, { leastM }) => {
    const at = design.returnSide.pumps.indexOf(pump.placed)
    const heightM = pump.sourceLevelM - leastM
    return [
      {
        label: sentence('Set the inlet {height} over the floor', { height: ['length', heightM] }),
        brings: () => sentence('Leaves {least} of water over it.', { least: ['length', leastM] }),
        edits: [setTo(['returnSide', 'pumps', at, 'inletHeightM'], heightM)],
      },
    ]
  }),
]

/** The least whole percent of speed that brings a flow with a valve open; null when none does. */
function leastSpeedFor(line: LineCase, open: Edit, flowM3PerS: number): number | null {
  const opened = layOut(applyEdits(line.design, [open]))
  const pump = opened.pumps.find(({ placed }) => placed.id === line.pump.placed.id)!
  const flow = flowAtSpeeds(opened, pump, ofLine(line))
  let low = Math.ceil(line.pump.part.leastSpeed * 100)
  let high = 100
  if (flow(1) < flowM3PerS) return null
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (flow(middle / 100) >= flowM3PerS) high = middle
    else low = middle + 1
  }
  return high / 100
}
