import { memoizeWith } from '../numeric/index.ts'
import type { WallKind } from '../sump/index.ts'
import type { Teeth } from '../weir/index.ts'
import type { Cabinet, Device } from './devices.ts'

/** What a chamber is for. */
export type ChamberUse =
  | 'drain-entry'
  | 'socks'
  | 'roller'
  | 'skimmer'
  | 'rock'
  | 'refugium'
  | 'media'
  | 'trap'
  | 'return'
  | 'reservoir'
  | 'other'

/** A chamber of the sump, left to right. */
export interface SumpChamber {
  readonly id: string
  readonly name: string
  readonly use: ChamberUse
  /**
   * Level above the room's floor that the keeper fills to, m. In a sump with sizes it counts for
   * the return chamber and for a reservoir: the others follow from flow and walls.
   */
  readonly levelM: number
  /** What stands in it through the surface, by its section, m². */
  readonly footprintM2: number
  /** What lies in it under water, m³. */
  readonly submergedM3: number
  /** Depths its skimmer works in, m; null: none set. */
  readonly wantsDepth: { readonly leastM: number; readonly mostM: number } | null
}

/** The sump's inside, in room coordinates along the floor. */
export interface SumpBox {
  readonly make: 'bought' | 'self-built'
  readonly xM: number
  readonly yM: number
  /** Its inside floor over the room's floor. */
  readonly floorHeightM: number
  readonly lengthM: number
  readonly widthM: number
  /** To its rim. */
  readonly heightM: number
  readonly panelM: number
}

/** A wall between a chamber and the next to the right; heights over the sump's inside floor, m. */
export interface SumpWall {
  readonly id: string
  readonly kind: WallKind
  /** Its left face from the sump's left inside face. */
  readonly atM: number
  readonly thicknessM: number
  readonly topM: number
  readonly slotM: number
  readonly teeth: Teeth | null
  readonly pipeBoreM: number
  readonly pipeHeightM: number
  /** Its height can be set when it stands. */
  readonly adjustable: boolean
  /** It lets no light through. */
  readonly opaque: boolean
}

/** What makes up for evaporation. */
export interface TopOff {
  readonly flowM3PerS: number
  /** What a can beside the sump holds when it is full, m³; null: it draws on the sump's reservoir. */
  readonly canM3: number | null
  /** After so long its controller gives up and stops, s; null: never. */
  readonly runLimitS: number | null
}

/** Where the water waits between the drains and the pump. */
export interface Sump {
  readonly chambers: readonly SumpChamber[]
  /** null: its sizes are not set yet, and each chamber stands at its given level. */
  readonly box: SumpBox | null
  /** One between each two chambers; none while the sump has no sizes. */
  readonly walls: readonly SumpWall[]
  /** What must stay free below its rim after a power cut, m. */
  readonly marginM: number
  /** Width left for silicone on either side of a wall, m. */
  readonly gapM: number
  readonly evaporationMmPerDay: number
  /** What hung equipment lets go when the pump stops, m³. */
  readonly hungWaterM3: number
  /** null: the keeper tops up by hand. */
  readonly topOff: TopOff | null
  /** What works on its water, in it and beside it. */
  readonly devices: readonly Device[]
  /** What it stands in; null: not set. */
  readonly cabinet: Cabinet | null
}

/** Where a chamber begins and ends, from the sump's left inside face. */
export interface ChamberSpan {
  readonly fromM: number
  readonly toM: number
}

/** The spans of all chambers, left to right. */
export function chamberSpans(sump: Sump, lengthM: number): readonly ChamberSpan[] {
  return spansOf(sump, lengthM)
}

/** No level moves them: a sump is looked at once. */
const spansOf = memoizeWith(
  ({ chambers, walls }: Sump, lengthM: number): readonly ChamberSpan[] =>
    chambers.map((_, i) => {
      const left = walls[i - 1]
      return {
        fromM: left ? left.atM + left.thicknessM : 0,
        toM: walls[i]?.atM ?? lengthM,
      }
    }),
  (before, now) => before === now,
)
