import type { CirculationPart } from './part.ts'
import type { Pattern } from './pattern.ts'
import type { RockSolid } from './rock.ts'
import { DEFAULT_RANGES, type WantedRange } from './zones.ts'

/** A panel that a circulation pump can hang on. */
export type ScenePanel = 'left' | 'right' | 'front' | 'back'

/** A circulation pump on a panel, and where it points. */
export interface CirculationPump {
  readonly id: string
  readonly name: string
  /** As it was when chosen from the parts. */
  readonly part: CirculationPart
  readonly panel: ScenePanel
  /** From the panel's left or front edge, m. */
  readonly alongM: number
  /** Over the tank's inside floor, m. */
  readonly upM: number
  /** Against straight off its panel: to its left is positive, degrees. */
  readonly turnDeg: number
  /** Upwards, degrees. */
  readonly tiltDeg: number
  /** Of a cross-flow pump: its slot stands upright. */
  readonly upright: boolean
  /** Share of full speed. */
  readonly speed: number
  readonly pattern: Pattern
}

/** Whereto a line's end points in a tank, where the keeper has turned it. */
export interface NozzleAim {
  readonly lineId: string
  /** 0 to the right, 90 to the back, degrees. */
  readonly turnDeg: number
  /** Upwards, degrees. */
  readonly tiltDeg: number
}

/** What stands in a tank's water and what moves it. */
export interface TankScene {
  readonly rocks: readonly RockSolid[]
  readonly pumps: readonly CirculationPump[]
  /** Of lines whose end is turned; the others point as their last piece leads. */
  readonly nozzles: readonly NozzleAim[]
  /** One for each kind of zone. */
  readonly ranges: readonly WantedRange[]
}

/** A tank with nothing in it, wanted as round numbers have it. */
export function emptyScene(): TankScene {
  return { rocks: [], pumps: [], nozzles: [], ranges: DEFAULT_RANGES }
}
