import type { Allowances } from './allowances.ts'
import type { BuildPlan } from './build-plan.ts'
import type { WaterReading } from '../fluid/index.ts'
import type { PumpPart } from '../pump/index.ts'
import type { EndKind, Point, Run } from '../run/index.ts'
import type { TankScene } from '../scene/index.ts'
import type { Displacement, TankBox } from '../tank/index.ts'
import type { Drain, Overflow } from './overflow.ts'
import type { HeatPlan } from './heat-plan.ts'
import type { Sump } from './sump.ts'
import type { TreatmentPlan } from './treatment-plan.ts'

/** A display tank in the room, and what the keeper wants of the loop for it. */
export interface DisplayTank extends TankBox {
  readonly id: string
  readonly name: string
  /** Its left inside face in the room, m; zero for the first tank. */
  readonly xM: number
  /** Its front inside face in the room, m. */
  readonly yM: number
  /** Height of the tank's inside floor above the room's floor, m. */
  readonly floorHeightM: number
  readonly displacement: Displacement
  /** Net volumes of this tank through the sump in an hour. */
  readonly turnoverPerH: number
  /** null: not set yet, and the water stands at the given level. */
  readonly overflow: Overflow | null
  /** What stands in its water and what moves it. */
  readonly scene: TankScene
}

/** A pump where it stands. */
export interface PlacedPump {
  readonly id: string
  /** One of the design's pumps. */
  readonly pumpId: string
  /** Share of full speed; 1 for a pump of one speed. */
  readonly speed: number
  /** Switched off: an open pipe with a K of its own. */
  readonly stopped: boolean
  /** The chamber it draws from. */
  readonly chamberId: string
  /** Its outlet in room coordinates. */
  readonly outlet: Point
  /** How its outlet is joined; left out or null: by its thread. */
  readonly joint?: EndKind | null
  /** Height of its inlet above the room's floor, m; null: not set. */
  readonly inletHeightM: number | null
}

/** Where a line's water comes from: a placed pump, or a tee of another line. */
export interface LineStart {
  readonly at: 'pump' | 'tee'
  readonly id: string
}

/** Where a line ends: over or in a tank or a chamber, in a tee of another line, or capped. */
export interface LineEnd {
  readonly at: 'tank' | 'chamber' | 'tee' | 'cap'
  /** Of the tank, chamber or tee; null when capped. */
  readonly id: string | null
  /** The bulkhead or clip it must reach; null: wherever its pieces lead. */
  readonly place: Point | null
  /** How far under the running surface a hole breaks its siphon, m; null: none is drilled. */
  readonly breakDepthM: number | null
}

/** One line of the return side, from a pump's outlet or a tee to its end. */
export interface ReturnLine {
  readonly id: string
  readonly name: string
  readonly start: LineStart
  readonly run: Run
  readonly end: LineEnd
  /** What the keeper wants at its end; null: its share of what its tank wants, or nothing in particular. */
  readonly wantedFlowM3PerS: number | null
}

/** From the sump back to the tanks. */
export interface ReturnSide {
  readonly pumps: readonly PlacedPump[]
  readonly lines: readonly ReturnLine[]
  /** A pump on the shelf, one of the design's pumps; null: none. */
  readonly sparePumpId: string | null
  /** Of its printed most flow, what the keeper's last pump gave, 0–1; null: never measured. */
  readonly ownShare: number | null
}

/** What the keeper pays for electricity. */
export interface Tariff {
  readonly pricePerKWh: number
  /** As the keeper writes it: "€", "$", "kr". */
  readonly currency: string
}

/** One drill of the list, begun so long after the first. */
export interface OwnDrillStep {
  readonly drillId: string
  readonly atS: number
}

/** A chain of drills. */
export interface OwnDrill {
  readonly id: string
  readonly name: string
  readonly steps: readonly OwnDrillStep[]
}

/** All that the core needs to solve a basin. */
export interface BasinDesign {
  /** The first is the one a design is known by. */
  readonly tanks: readonly DisplayTank[]
  readonly water: WaterReading
  /** Every tank's, in any order. */
  readonly drains: readonly Drain[]
  readonly sump: Sump
  readonly returnSide: ReturnSide
  /** The pumps this design uses, as they were when chosen. */
  readonly pumps: readonly PumpPart[]
  /** null: not set. */
  readonly tariff: Tariff | null
  /** Bad days of the keeper's own making. */
  readonly drills: readonly OwnDrill[]
  readonly treatment: TreatmentPlan
  /** Room, lights and chiller; null: not set. */
  readonly heat: HeatPlan | null
  /** What the drills allow for. */
  readonly allowances: Allowances
  /** The names of what a keeper can say and has not (`assumed/name-of.ts`); all else is given. */
  readonly assumed: readonly string[]
  /** What was said of building; null: nothing, and all is as usual. */
  readonly build: BuildPlan | null
}

/** The part a placed pump is; throws when the design names one it does not carry. */
export function partOf(design: BasinDesign, pumpId: string): PumpPart {
  const found = design.pumps.find((pump) => pump.id === pumpId)
  if (!found) throw new RangeError(`the design carries no pump ${pumpId}`)
  return found
}

/** Height of a tank's running water above the room's floor. */
export function surfaceM(tank: DisplayTank): number {
  return tank.floorHeightM + tank.waterLevelM
}

/** Height of a line's break hole, drilled so far under its tank's running surface; null: it has none. */
export function breakHoleM(tank: DisplayTank, { breakDepthM }: LineEnd): number | null {
  return breakDepthM === null ? null : surfaceM(tank) - breakDepthM
}

/** Speed a pump runs at: a pump of one speed knows no other. */
export function runningSpeed(part: PumpPart, speed: number): number {
  return part.control === 'fixed-speed' ? 1 : speed
}

/** The first thing of a list with an id; throws when there is none (the contract refuses it first). */
export function byId<T extends { readonly id: string }>(
  list: readonly T[],
  id: string | null,
  what: string,
): T {
  const found = list.find((entry) => entry.id === id)
  if (!found) throw new RangeError(`the design has no ${what} ${id}`)
  return found
}
