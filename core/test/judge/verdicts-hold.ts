import {
  allDrills,
  type BasinDesign,
  type Drill,
  drillVerdict,
  lastWord,
  solveBasin,
  steadyState,
  type Verdict,
} from '../../src/index.ts'
import { simulateDrill } from '../../src/lab.ts'

/** What was looked at, and everything that does not hold, in words. */
export interface Held {
  readonly faults: readonly string[]
  readonly drills: number
  /** Questions that steady state and drill answer alike, and otherwise. */
  readonly alike: number
  readonly otherwise: readonly string[]
}

const MOST_MOVED_M = 1e-4

/** Does a design's judgement hold: no fine over a wet floor, water kept, halved steps alike? */
export function holdsOf(design: BasinDesign, name: string): Held {
  const faults: string[] = []
  const steady = steadyState(design)
  const solved = solveBasin(design)
  const asked = new Map<string, Verdict>()
  const drills = allDrills(steady)
  for (const drill of drills) {
    const verdict = drillVerdict(steady, drill)
    asked.set(drill.id, verdict)
    if (!(verdict.unaccounted < 1e-9)) faults.push(`${name} ${drill.id}: water made or lost`)
    for (const vessel of drawnBelowFloor(design, verdict)) {
      faults.push(`${name} ${drill.id}: ${vessel} is drawn below its floor`)
    }
    const ended = verdict.atRest || drill.evaporates
    const short = verdict.endS < drill.durationS - 1 && !ended
    if (short) faults.push(`${name} ${drill.id}: given up after ${verdict.endS} s`)
  }
  const drilled = lastWord.withLastWord(solved, asked)
  faults.push(...overWetFloor(drilled, asked, name))
  const { alike, otherwise } = agreement(solved, asked, name)
  return { faults, drills: drills.length, alike, otherwise }
}

/** Tanks and chambers that give more water than they hold. */
function drawnBelowFloor({ tanks, sump }: BasinDesign, { vessels }: Verdict): string[] {
  return vessels
    .filter(({ kind, vesselId, lowestM }) => {
      if (kind === 'box') return false
      const tank = tanks.find(({ id }) => id === vesselId)
      const floorM = (kind === 'tank' ? tank?.floorHeightM : sump.box?.floorHeightM) ?? -Infinity
      return lowestM < floorM - MOST_MOVED_M
    })
    .map(({ name }) => name)
}

/** A finding that calls fine, or watches, what its own drill puts on the floor. */
function overWetFloor(
  { findings, overflows, sump }: ReturnType<typeof solveBasin>,
  asked: ReadonlyMap<string, Verdict>,
  name: string,
): string[] {
  const isWet = (id: string) => asked.get(id)?.outcome === 'wet'
  const faults: string[] = []
  for (const { code, severity, tankId } of findings) {
    if (severity === 'stop') continue
    if (code === 'outage-held' && isWet('power-cut'))
      faults.push(`${name}: ${code} over a wet floor`)
    if (code !== 'blocked-pipe-held') continue
    const rows = overflows.find((overflow) => overflow.tankId === tankId)!.blocked
    if (rows.some(({ drainIds }) => drainIds.length === 1 && isWet(`blocked ${drainIds[0]}`))) {
      faults.push(`${name}: ${code} over a wet floor`)
    }
  }
  for (const { blocked } of overflows) {
    for (const { drainIds, verdict } of blocked) {
      if (drainIds.length === 1 && isWet(`blocked ${drainIds[0]}`) && verdict !== 'stop') {
        faults.push(`${name}: the row of ${drainIds[0]} says ${verdict}`)
      }
    }
  }
  if (isWet('power-cut') && sump.outage?.fillLineM != null && !sump.outage.spills) {
    faults.push(`${name}: a line on the glass that floods`)
  }
  return faults
}

/** Where steady state and drill can both judge: do they say wet or dry alike? */
function agreement(
  { overflows, sump }: ReturnType<typeof solveBasin>,
  asked: ReadonlyMap<string, Verdict>,
  name: string,
) {
  // One that runs over as it is wets the floor whatever else happens.
  const spills = overflows.some((overflow) => overflow.spills !== null)
  let alike = 0
  const otherwise: string[] = []
  const look = (id: string, saysWet: boolean) => {
    const verdict = asked.get(id)
    // Air, a sensor, a chamber that falls: what the steady state knows nothing of.
    if (!verdict || verdict.why !== null || verdict.drewAirAtS !== null || spills) return
    if ((verdict.outcome === 'wet') === saysWet) alike++
    else
      otherwise.push(`${name} ${id}: steady ${saysWet ? 'wet' : 'dry'}, drilled ${verdict.outcome}`)
  }
  for (const { blocked } of overflows) {
    for (const { drainIds, carries } of blocked) {
      if (drainIds.length === 1) look(`blocked ${drainIds[0]}`, !carries)
    }
  }
  if (sump.outage) look('power-cut', sump.outage.spills)
  return { alike, otherwise }
}

/** Levels that halving every step moves by more than a tenth of a millimetre. */
export function movedByHalving(design: BasinDesign, drills: readonly Drill[]): string[] {
  const steady = steadyState(design)
  return drills.flatMap((drill) => {
    const whole = simulateDrill(steady, drill)
    const halved = simulateDrill(steady, drill, { stepsForOne: 2 })
    return whole.extremes.flatMap(({ highestM, lowestM }, v) => {
      if (!whole.plant.places[v]) return []
      const other = halved.extremes[v]!
      const off = Math.max(Math.abs(highestM - other.highestM), Math.abs(lowestM - other.lowestM))
      return off > MOST_MOVED_M
        ? [`${drill.id}: ${whole.plant.vessels[v]!.of.id} moves by ${(off * 1000).toFixed(2)} mm`]
        : []
    })
  })
}
