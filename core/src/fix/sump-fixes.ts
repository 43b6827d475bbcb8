import { setTo } from '../design/index.ts'
import { chamberDepth, CLEAR_OVER_WALL_M, lightLeaks, wallBelowNext } from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'
import { depthIn, wallForDepth } from './chamber-depth.ts'
import { type FindingFixes, fixesFor } from './finding-fix.ts'

/** What fixes the sump: where it runs, and its walls. */
export const SUMP_FIXES: readonly FindingFixes[] = [
  fixesFor(wallBelowNext, ({ box, outWall }, { wall, overM }) => {
    const topM = Math.min(box.heightM, wall.topM + overM + CLEAR_OVER_WALL_M)
    return [
      {
        label: sentence('Make the wall {top} high', { top: ['length', topM] }),
        brings: () => sentence('Lets the water fall freely into the next chamber.'),
        edits: [setTo(['sump', 'walls', outWall, 'topM'], topM)],
      },
    ]
  }),
  fixesFor(chamberDepth, ({ whole, index }, { wants }, trials) => {
    const set = wallForDepth(whole, index, (wants.leastM + wants.mostM) / 2)
    const depthM = set ? depthIn(trials.of(set.edits), index) : NaN
    if (!set || !(depthM >= wants.leastM && depthM <= wants.mostM)) return []
    return [
      {
        label: sentence('Make its wall {top} high', { top: ['length', set.topM] }),
        brings: (after) =>
          sentence('Brings the water to {depth}.', { depth: ['length', depthIn(after, index)] }),
        edits: set.edits,
      },
    ]
  }),
  fixesFor(lightLeaks, (_, clear) => [
    {
      label: sentence('Make its walls opaque'),
      brings: () => sentence('Keeps the light in the refugium.'),
      edits: clear.map((at) => setTo(['sump', 'walls', at, 'opaque'], true)),
    },
  ]),
]
