import type { WaterReading } from '../fluid/water.ts'
import type { PumpPart } from '../pump/part.ts'
import type { Point } from '../run/path.ts'
import type { Run } from '../run/piece.ts'
import type { Displacement, TankBox } from '../tank/volume.ts'

/** The display tank in the room. */
export interface DisplayTank extends TankBox {
  /** Height of the tank's inside floor above the room's floor, m. */
  readonly floorHeightM: number
}

/** What the keeper wants of the loop. */
export interface Target {
  /** Net display volumes through the sump in an hour. */
  readonly turnoverPerH: number
}

/** From the sump's return chamber back to the tank. */
export interface ReturnSide {
  readonly pumpId: string
  /** Share of full speed; 1 for a pump of one speed. */
  readonly speed: number
  /** Running level of the water the pump draws from, above the room's floor, m. */
  readonly sourceLevelM: number
  /** The pump's outlet in room coordinates. */
  readonly outlet: Point
  readonly run: Run
}

/** All that the core needs to solve a basin. */
export interface BasinDesign {
  readonly tank: DisplayTank
  readonly displacement: Displacement
  readonly water: WaterReading
  readonly target: Target
  readonly returnSide: ReturnSide
  /** The pumps this design uses, as they were when chosen. */
  readonly pumps: readonly PumpPart[]
}

/** The pump the return side uses; throws when the design names one it does not carry. */
export function returnPump(design: BasinDesign): PumpPart {
  const found = design.pumps.find((pump) => pump.id === design.returnSide.pumpId)
  if (!found) throw new RangeError(`the design carries no pump ${design.returnSide.pumpId}`)
  return found
}

/** Height of the tank's running water above the room's floor. */
export function tankSurfaceM({ tank }: BasinDesign): number {
  return tank.floorHeightM + tank.waterLevelM
}
