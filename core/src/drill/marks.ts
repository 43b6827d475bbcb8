import { canRunFull, PRIMES_FROM_BORES } from '../drain/index.ts'
import { AIR_LOCK_EASES_M, FILLS_OVER_M, type LaidDrain } from '../loop/index.ts'
import { crestM } from '../sump/index.ts'
import type { Mark } from './integrate.ts'
import type { Mode } from './mode.ts'
import type { Plant, TankPlaces } from './plant.ts'

const heightOf =
  (vessel: number, heightM: number): Mark =>
  (levels) =>
    levels[vessel]! - heightM

/** Heights at which a law begins or ends: every rim, crest and lip. No step passes one unseen. */
export function marksOf(plant: Plant): Mark[] {
  return [
    ...plant.tanks.flatMap(tankMarks),
    ...rimMarks(plant),
    ...wallMarks(plant),
    ...mouthMarks(plant),
  ]
}

function tankMarks({ laid, tank, inner, box }: TankPlaces): Mark[] {
  const crest = laid.tank.floorHeightM + laid.overflow.crestM
  const marks = [tank, inner, box].filter((v) => v >= 0).map((vessel) => heightOf(vessel, crest))
  if (box < 0) return marks
  return [...marks, ...laid.drains.flatMap((drain) => lipMarks(box, drain))]
}

function lipMarks(vessel: number, laid: LaidDrain): Mark[] {
  const { lipM, boreM, drain, rises, trunkId, memberId } = laid
  const joined = trunkId !== null || memberId !== null
  const fills =
    drain.role === 'emergency' && canRunFull({ boreM, rises, joined, endUnderM: -Infinity })
  const lip = heightOf(vessel, lipM)
  if (!fills) return [lip]
  const fullM = lipM + PRIMES_FROM_BORES * boreM
  return [lip, heightOf(vessel, fullM), heightOf(vessel, fullM + FILLS_OVER_M)]
}

function rimMarks({ places }: Plant): Mark[] {
  return places.flatMap((place, vessel) =>
    place && Number.isFinite(place.rimM) ? [heightOf(vessel, place.rimM)] : [],
  )
}

function wallMarks({ steady, sumpBox }: Plant): Mark[] {
  const first = steady.design.tanks.length
  return steady.design.sump.walls.flatMap((wall, i) => {
    const heightM = sumpBox.floorHeightM + crestM(wall)
    if (!Number.isFinite(heightM)) return []
    return [heightOf(first + i, heightM), heightOf(first + i + 1, heightM)]
  })
}

/** Where a line's end in the sump comes bare, and a drain's is drowned. */
function mouthMarks({ steady, chamberAt, tanks }: Plant): Mark[] {
  const ends = steady.layout.lines.flatMap(({ line, mouth }) =>
    line.end.at === 'chamber' ? [heightOf(chamberAt.get(line.end.id!)!, mouth.zM)] : [],
  )
  const drowned = tanks.flatMap(({ laid }) =>
    laid.drains.map(({ chamberId }, i) => heightOf(chamberAt.get(chamberId)!, laid.box.mouthM[i]!)),
  )
  return [...ends, ...drowned]
}

/** Where the air in a siphon locks, and lets go. */
export function airLockMarks(plant: Plant, mode: Mode): Mark[] {
  return plant.tanks.flatMap(({ laid: { drains, box: own }, box }) =>
    drains.flatMap(({ drain, lipM, chamberId }, i): Mark[] => {
      if (mode.siphons.get(drain.id)?.runs !== 'with-air') return []
      const into = plant.chamberAt.get(chamberId)!
      const mouthM = own.mouthM[i]!
      const free: Mark = (levels) => levels[box]! - lipM - (levels[into]! - mouthM)
      return [free, (levels) => free(levels) - AIR_LOCK_EASES_M]
    }),
  )
}
