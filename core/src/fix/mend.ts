import type { Edit } from '../design/index.ts'
import type { DrillRun, Fault, Verdict } from '../drill/index.ts'
import { withHeight } from '../editing/index.ts'
import { chamberAreasM2, type SteadyState } from '../loop/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'

/** A change that may mend a drill; whether it does is found by running it again. */
export interface Mend {
  readonly label: Sentence
  readonly edits: readonly Edit[]
}

/** A break hole is drilled so far under the surface, m (choice). */
const BREAK_DEPTH_M = 0.02
/** A sensor stands so far over where the water runs, m (choice). */
const SENSOR_OVER_M = 0.01

/** Faults after which water runs back through an outlet under water. */
const BACK_SIPHONS: readonly Fault['kind'][] = ['power-cut', 'pump-stops', 'break-hole-grown']

/** What may mend a drill that wets the floor or lets the pump draw air. */
export function mendsOf(steady: SteadyState, run: DrillRun, verdict: Verdict): Mend[] {
  if (verdict.outcome === 'dry') return []
  const kinds = new Set(run.drill.faults.map(({ fault }) => fault.kind))
  return [
    ...sumpMends(steady, verdict),
    ...(kinds.has('top-off-open') ? canMends(steady, verdict) : []),
    ...(BACK_SIPHONS.some((kind) => kinds.has(kind)) ? holeMends(steady) : []),
    ...(kinds.has('drains-blocked') ? [...sensorMends(steady), ...joinMends(steady)] : []),
  ]
}

/** Water ran over the sump: lower what it runs at, or build it higher. */
function sumpMends({ design, chambers, returnIndex }: SteadyState, verdict: Verdict): Mend[] {
  const over = verdict.vessels.filter(
    ({ kind, marginM }) => kind === 'chamber' && marginM !== null && marginM < 0,
  )
  const { sump } = design
  if (over.length === 0 || !sump.box) return []
  const areas = chamberAreasM2(sump, sump.box)
  const areaM2 = areas.reduce((sum, one) => sum + one, 0)
  const missingM = verdict.spilledM3 / areaM2 + sump.marginM
  const returnAreaM2 = Math.max(1e-3, areas[returnIndex]!)
  const levelM = chambers[returnIndex]!.levelM - (missingM * areaM2) / returnAreaM2
  const heightM = upToMillimetre(sump.box.heightM + missingM)
  const raised: Mend = {
    label: sentence('Raise the sump’s panels to {height}', { height: ['length', heightM] }),
    edits: [{ op: 'set', path: ['sump'], to: withHeight(sump, heightM) }],
  }
  if (levelM <= sump.box.floorHeightM + 0.05) return [raised]
  const lowered: Mend = {
    label: sentence('Fill it {less} lower while it runs', {
      less: ['length', chambers[returnIndex]!.levelM - levelM],
    }),
    edits: [{ op: 'set', path: ['sump', 'chambers', returnIndex, 'levelM'], to: levelM }],
  }
  return [lowered, raised]
}

const upToMillimetre = (lengthM: number) => Math.ceil(lengthM * 1000) / 1000

/** A can no bigger than what the sump has room for. */
function canMends({ design }: SteadyState, { spilledM3 }: Verdict): Mend[] {
  const { topOff } = design.sump
  if (!topOff || topOff.canM3 === null) return []
  const litres = Math.floor((topOff.canM3 - spilledM3) * 0.95 * 1000)
  if (litres < 1) return []
  return [
    {
      label: sentence('A can of {litres}', { litres: ['volume', litres / 1000] }),
      edits: [{ op: 'set', path: ['sump', 'topOff', 'canM3'], to: litres / 1000 }],
    },
  ]
}

/** Outlets under water that nothing breaks. */
function holeMends({ layout }: SteadyState): Mend[] {
  const edits = layout.lines.flatMap((laid): Edit[] => {
    const { end } = laid.line
    if (end.at !== 'tank' || laid.end !== 'under-water' || end.breakDepthM !== null) return []
    return [
      {
        op: 'set',
        path: ['returnSide', 'lines', laid.index, 'end', 'breakDepthM'],
        to: BREAK_DEPTH_M,
      },
    ]
  })
  if (edits.length === 0) return []
  return [
    {
      label: sentence('Drill a break hole {deep} under the surface', {
        deep: ['length', BREAK_DEPTH_M],
      }),
      edits,
    },
  ]
}

/** A sensor in each box that has none; a device that can fail. */
function sensorMends({ design, tankLevels }: SteadyState): Mend[] {
  const edits = design.tanks.flatMap((tank, i): Edit[] => {
    const levels = tankLevels[i]
    if (!tank.overflow || tank.overflow.sensorM !== null || !levels) return []
    const atM = (levels.boxM ?? levels.surfaceM) + SENSOR_OVER_M - tank.floorHeightM
    return [{ op: 'set', path: ['tanks', i, 'overflow', 'sensorM'], to: upToMillimetre(atM) }]
  })
  if (edits.length === 0) return []
  return [
    {
      label: sentence('Add a level sensor that stops the pump (a device that can fail)'),
      edits,
    },
  ]
}

/** Drains that join run apart to the chamber they end in. */
function joinMends({ design, drains }: SteadyState): Mend[] {
  const edits = drains.flatMap((laid): Edit[] => {
    if (laid.trunkId === null) return []
    const end = { at: 'chamber', id: laid.chamberId, landing: laid.drain.end.landing }
    return [{ op: 'set', path: ['drains', laid.index, 'end'], to: end }]
  })
  if (edits.length === 0 || design.drains.length < 2) return []
  return [{ label: sentence('Separate the joined drains (then lay each to its chamber)'), edits }]
}
