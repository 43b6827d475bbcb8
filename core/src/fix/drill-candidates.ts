import { setTo } from '../design/index.ts'
import type { Drill, FaultKind, Verdict } from '../drill/index.ts'
import { sensorEdits } from '../editing/index.ts'
import { LEAST_RUNNING_DEPTH_M, overflowCases, type Whole } from '../finding/index.ts'
import { chamberAreasM2, type SteadyState } from '../loop/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Change } from './lever/change.ts'
import { breakHoles, powerCutLevers, raisedPanels } from './lever/power-cut.ts'
import { separated, wayDownLevers } from './lever/way-down.ts'

/** A smaller can holds this share of what would just not run over (choice). */
const CAN_SHARE = 0.95

/** Faults after which water runs back through an outlet under water. */
const BACK_SIPHONS: readonly FaultKind[] = ['pump-stops', 'break-hole-grown']

/** What may fix a drill that wets the floor or lets the pump draw air. */
export function drillCandidates(whole: Whole, drill: Drill, verdict: Verdict): Change[] {
  if (verdict.outcome === 'dry') return []
  const { steady } = whole
  const kinds = new Set(drill.faults.map(({ fault }) => fault.kind))
  const runsBack = BACK_SIPHONS.some((kind) => kinds.has(kind))
  return [
    ...sumpChanges(steady, verdict),
    ...(kinds.has('top-off-open') || kinds.has('top-off-welded')
      ? smallerCan(steady, verdict)
      : []),
    ...(kinds.has('drains-blocked')
      ? [...sensors(steady), ...overflowCases(whole).flatMap(separated)]
      : []),
    ...waysDown(whole, verdict),
    ...(kinds.has('power-cut') ? powerCutLevers(whole) : runsBack ? breakHoles(whole) : []),
  ]
}

/** A tank or its box ran over: what helps its water down. */
function waysDown(whole: Whole, { vessels, spilledFrom }: Verdict): Change[] {
  const over = vessels.filter(
    ({ kind, name, marginM }) =>
      kind !== 'chamber' &&
      marginM !== null &&
      (marginM < 0 || spilledFrom.some((from) => from.name === name)),
  )
  return overflowCases(whole).flatMap((box) =>
    over.some(({ vesselId }) => vesselId === box.tank.id) ? wayDownLevers(box) : [],
  )
}

/** Water ran over the sump: lower what it runs at, or build it higher. */
function sumpChanges({ design, chambers, returnIndex }: SteadyState, verdict: Verdict): Change[] {
  const over = verdict.vessels.filter(
    ({ kind, marginM }) => kind === 'chamber' && marginM !== null && marginM < 0,
  )
  const { sump } = design
  if (over.length === 0 || !sump.box) return []
  const areas = chamberAreasM2(sump, sump.box)
  const areaM2 = areas.reduce((sum, area) => sum + area, 0)
  const missingM = verdict.spilledM3 / areaM2 + sump.marginM
  const returnAreaM2 = Math.max(1e-3, areas[returnIndex]!)
  const levelM = chambers[returnIndex]!.levelM - (missingM * areaM2) / returnAreaM2
  const raised = raisedPanels(design, sump.box.heightM + missingM)
  if (levelM <= sump.box.floorHeightM + LEAST_RUNNING_DEPTH_M) return raised
  const lowered: Change = {
    label: sentence('Fill it {less} lower while it runs', {
      less: ['length', chambers[returnIndex]!.levelM - levelM],
    }),
    edits: [setTo(['sump', 'chambers', returnIndex, 'levelM'], levelM)],
  }
  return [lowered, ...raised]
}

/** A can no bigger than what the sump has room for. */
function smallerCan({ design }: SteadyState, { spilledM3 }: Verdict): Change[] {
  const { topOff } = design.sump
  if (!topOff || topOff.canM3 === null) return []
  const litres = Math.floor((topOff.canM3 - spilledM3) * CAN_SHARE * 1000)
  if (litres < 1) return []
  return [
    {
      label: sentence('A can of {litres}', { litres: ['volume', litres / 1000] }),
      edits: [setTo(['sump', 'topOff', 'canM3'], litres / 1000)],
    },
  ]
}

/** A sensor in each box that has none; a device that can fail. */
function sensors(steady: SteadyState): Change[] {
  const edits = steady.design.tanks.flatMap((_, i) => sensorEdits(steady, i))
  if (edits.length === 0) return []
  return [
    { label: sentence('Add a level sensor that stops the pump (a device that can fail)'), edits },
  ]
}
