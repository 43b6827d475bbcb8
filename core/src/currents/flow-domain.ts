import type { BasinDesign, DisplayTank } from '../design/index.ts'
import type { Figures, SolvedLine } from '../figures/index.ts'
import { pointing, type Vector } from '../jet/index.ts'
import type { RockSolid, WantedRange } from '../scene/index.ts'
import { pumpStream, type Stream } from './streams.ts'

/** An upright box from the left, front and floor of the tank, m. */
export interface Block {
  readonly fromX: number
  readonly toX: number
  readonly fromY: number
  readonly toY: number
  readonly fromZ: number
  readonly toZ: number
}

/** All that decides how the water of one tank moves. */
export interface FlowDomain {
  readonly lengthM: number
  readonly widthM: number
  /** From the tank's floor to the surface. */
  readonly depthM: number
  readonly sandDepthM: number
  readonly rocks: readonly RockSolid[]
  /** The overflow's box where it stands in the water; null: none does. */
  readonly box: Block | null
  /** Where water leaves; null: nothing leaves. */
  readonly mouth: Block | null
  readonly streams: readonly Stream[]
  readonly ranges: readonly WantedRange[]
}

/** Water skims off a strip so far in front of the rim and so deep. */
const SKIM_M = 0.03

/** The water of one tank of a solved basin. */
export function domainOf(
  design: BasinDesign,
  solved: Pick<Figures, 'tanks' | 'returnSide'>,
  index: number,
): FlowDomain {
  const tank = design.tanks[index]!
  const { surfaceM, sandDepthM } = solved.tanks[index]!
  const depthM = surfaceM - tank.floorHeightM
  const box = boxOf(tank, depthM)
  return {
    lengthM: tank.lengthM,
    widthM: tank.widthM,
    depthM,
    sandDepthM,
    rocks: tank.scene.rocks,
    box,
    mouth: mouthOf(tank, box, depthM),
    streams: [
      ...tank.scene.pumps.map((pump) => pumpStream(pump, tank)),
      ...solved.returnSide.lines
        .filter((_, i) => feeds(design, i, tank.id))
        .filter(({ flowM3PerS }) => flowM3PerS > 0)
        .map((line) => nozzleStream(design, tank, line, depthM)),
    ],
    ranges: tank.scene.ranges,
  }
}

function feeds(design: BasinDesign, lineIndex: number, tankId: string): boolean {
  const { end } = design.returnSide.lines[lineIndex]!
  return end.at === 'tank' && end.id === tankId
}

/** What a line pours in: where its last piece leads, kept inside the water. */
function nozzleStream(
  design: BasinDesign,
  tank: DisplayTank,
  line: SolvedLine,
  depthM: number,
): Stream {
  const { flowM3PerS, exitSpeedMPerS, mouth } = line
  const boreM = Math.sqrt((4 / Math.PI) * (flowM3PerS / exitSpeedMPerS))
  const aim = tank.scene.nozzles.find(({ lineId }) => lineId === line.lineId)
  const inside = (at: number, size: number) => Math.min(size - boreM / 2, Math.max(boreM / 2, at))
  return {
    id: line.lineId,
    name: design.returnSide.lines.find(({ id }) => id === line.lineId)!.name,
    from: 'nozzle',
    flowM3PerS,
    pattern: null,
    jet: {
      from: {
        x: inside(mouth.xM - tank.xM, tank.lengthM),
        y: inside(mouth.yM - tank.yM, tank.widthM),
        z: inside(mouth.zM - tank.floorHeightM, depthM),
      },
      towards: aim ? pointing(aim.turnDeg, aim.tiltDeg) : lastWay(line),
      exitSpeedMPerS,
      boreM,
      slot: null,
    },
  }
}

/** The way the last piece of pipe leads; down, where there is none. */
export function lastWay({ pieces }: Pick<SolvedLine, 'pieces'>): Vector {
  for (const { from, to } of [...pieces].reverse()) {
    const way = { x: to.xM - from.xM, y: to.yM - from.yM, z: to.zM - from.zM }
    const length = Math.hypot(way.x, way.y, way.z)
    if (length > 0) return { x: way.x / length, y: way.y / length, z: way.z / length }
  }
  return { x: 0, y: 0, z: -1 }
}

/** The part of the overflow's box that stands in the tank's water. */
function boxOf(tank: DisplayTank, depthM: number): Block | null {
  const overflow = tank.overflow
  if (!overflow?.box) return null
  const fromX = Math.max(0, overflow.box.xM - tank.xM)
  const toX = Math.min(tank.lengthM, overflow.box.xM - tank.xM + overflow.box.lengthM)
  const fromY = Math.max(0, overflow.box.yM - tank.yM)
  const toY = Math.min(tank.widthM, overflow.box.yM - tank.yM + overflow.box.widthM)
  const fromZ = Math.max(0, Math.min(overflow.box.floorM, depthM))
  if (overflow.form === 'outer-box' || overflow.form === 'hung-box') return null
  if (toX <= fromX || toY <= fromY || fromZ >= depthM) return null
  return { fromX, toX, fromY, toY, fromZ, toZ: depthM }
}

/** In front of the box, or along the panel the rim is cut in. */
function mouthOf(tank: DisplayTank, box: Block | null, depthM: number): Block | null {
  const overflow = tank.overflow
  if (!overflow) return null
  const fromZ = Math.max(0, Math.min(overflow.crestM, depthM - SKIM_M))
  const high = { fromZ, toZ: depthM }
  if (box)
    return {
      fromX: Math.max(0, box.fromX - SKIM_M),
      toX: Math.min(tank.lengthM, box.toX + SKIM_M),
      fromY: Math.max(0, box.fromY - SKIM_M),
      toY: Math.min(tank.widthM, box.toY + SKIM_M),
      ...high,
    }
  const { place, rimLengthM } = overflow
  if (place === 'left' || place === 'right') {
    const half = Math.min(rimLengthM, tank.widthM) / 2
    const x = place === 'left' ? 0 : tank.lengthM
    return {
      fromX: Math.max(0, x - SKIM_M),
      toX: Math.min(tank.lengthM, x + SKIM_M),
      fromY: tank.widthM / 2 - half,
      toY: tank.widthM / 2 + half,
      ...high,
    }
  }
  const half = Math.min(rimLengthM, tank.lengthM) / 2
  const middle = overflow.box
    ? overflow.box.xM - tank.xM + overflow.box.lengthM / 2
    : tank.lengthM / 2
  return {
    fromX: Math.max(0, middle - half),
    toX: Math.min(tank.lengthM, middle + half),
    fromY: tank.widthM - SKIM_M,
    toY: tank.widthM,
    ...high,
  }
}
