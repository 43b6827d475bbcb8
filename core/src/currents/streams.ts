import { type Jet, pointing, type Vector } from '../jet/index.ts'
import { type CirculationPump, openingM2, type Pattern, type ScenePanel } from '../scene/index.ts'

/** Water that comes out of a pump or a nozzle, at its set speed. */
export interface Stream {
  /** Of the circulation pump, or of the line. */
  readonly id: string
  readonly name: string
  readonly from: 'pump' | 'nozzle'
  readonly jet: Jet
  readonly flowM3PerS: number
  /** null: steady. */
  readonly pattern: Pattern | null
}

/** Straight off each panel into the tank. */
const NORMAL_DEG: Readonly<Record<ScenePanel, number>> = {
  left: 0,
  right: 180,
  front: 90,
  back: -90,
}

const DEG_PER_RAD = 180 / Math.PI

/** Length and width of the tank they stand in. */
interface Floor {
  readonly lengthM: number
  readonly widthM: number
}

/** Where a pump's opening is; kept in a tank that became smaller than it was. */
export function openingOf(pump: CirculationPump, floor: Floor): Vector {
  const { panel, upM: z } = pump
  const onEnd = panel === 'left' || panel === 'right'
  const alongM = Math.min(pump.alongM, onEnd ? floor.widthM : floor.lengthM)
  const { depthM } = pump.part
  if (panel === 'left') return { x: depthM, y: alongM, z }
  if (panel === 'right') return { x: floor.lengthM - depthM, y: alongM, z }
  if (panel === 'front') return { x: alongM, y: depthM, z }
  return { x: alongM, y: floor.widthM - depthM, z }
}

/** The unit vector a pump blows along: turned in the plan, then tilted up from it. */
export function towardsOf({ panel, turnDeg, tiltDeg }: CirculationPump): Vector {
  return pointing(NORMAL_DEG[panel] + turnDeg, tiltDeg)
}

/** Turn and tilt of a pump on a panel that looks at a place. */
export function aimedAt(
  panel: ScenePanel,
  from: Vector,
  at: Vector,
): { readonly turnDeg: number; readonly tiltDeg: number } {
  const dx = at.x - from.x
  const dy = at.y - from.y
  const turnDeg = Math.atan2(dy, dx) * DEG_PER_RAD - NORMAL_DEG[panel]
  return {
    turnDeg: turnDeg > 180 ? turnDeg - 360 : turnDeg <= -180 ? turnDeg + 360 : turnDeg,
    tiltDeg: Math.atan2(at.z - from.z, Math.hypot(dx, dy)) * DEG_PER_RAD,
  }
}

/** What leaves a pump at its set speed: flow and exit speed go as the speed. */
export function pumpStream(pump: CirculationPump, floor: Floor): Stream {
  const { part, id, name } = pump
  const share = part.control === 'fixed-speed' ? 1 : pump.speed
  const areaM2 = openingM2(part)
  const flowM3PerS = part.flowM3PerS * share
  const towards = towardsOf(pump)
  return {
    id,
    name,
    from: 'pump',
    flowM3PerS,
    pattern: part.control === 'fixed-speed' && pump.pattern.kind !== 'pulse' ? null : pump.pattern,
    jet: {
      from: openingOf(pump, floor),
      towards,
      exitSpeedMPerS: flowM3PerS / areaM2,
      boreM: Math.sqrt((4 / Math.PI) * areaM2),
      slot:
        part.form === 'jet'
          ? null
          : {
              lengthM: part.slotLengthM!,
              widthM: part.slotWidthM!,
              along: slotAlong(towards, pump.upright),
            },
    },
  }
}

/** Level and square to the stream, or square to both. */
function slotAlong(towards: Vector, upright: boolean): Vector {
  const level = Math.hypot(towards.x, towards.y)
  const side =
    level < 1e-9 ? { x: 1, y: 0, z: 0 } : { x: -towards.y / level, y: towards.x / level, z: 0 }
  if (!upright) return side
  return {
    x: towards.y * side.z - towards.z * side.y,
    y: towards.z * side.x - towards.x * side.z,
    z: towards.x * side.y - towards.y * side.x,
  }
}
