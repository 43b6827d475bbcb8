import { Type } from 'class-transformer'
import { IsObject, ValidateNested } from 'class-validator'
import type { BasinDesign, PumpPart } from '@yew-basin/core'
import { COUNTS } from './limits.ts'
import { PumpPartDocument } from './pump-part.ts'
import { ReturnSideDocument } from './return-side.ts'
import { Judged, Listing } from './rules.ts'
import { DisplacementDocument, TankDocument } from './tank.ts'
import { TargetDocument, WaterDocument } from './water.ts'

const anObject = { message: 'must be an object' }

/** One design of a basin: all the core needs to solve it. */
export class DesignDocument implements BasinDesign {
  @Type(() => TankDocument)
  @IsObject(anObject)
  @ValidateNested()
  tank!: TankDocument

  @Type(() => DisplacementDocument)
  @IsObject(anObject)
  @ValidateNested()
  displacement!: DisplacementDocument

  @Type(() => WaterDocument)
  @IsObject(anObject)
  @ValidateNested()
  water!: WaterDocument

  @Type(() => TargetDocument)
  @IsObject(anObject)
  @ValidateNested()
  target!: TargetDocument

  @Type(() => ReturnSideDocument)
  @IsObject(anObject)
  @ValidateNested()
  @Judged('a pump and a speed it has', (side, owner) => pumpFault(side, owner as DesignDocument))
  returnSide!: ReturnSideDocument

  @Listing(1, COUNTS.pumps, 'The pumps this design uses, as they were when chosen.')
  @Type(() => PumpPartDocument)
  @ValidateNested({ each: true })
  pumps!: PumpPartDocument[]
}

function pumpFault(side: unknown, { pumps }: DesignDocument): string | null {
  const { pumpId, speed } = (side ?? {}) as Partial<ReturnSideDocument>
  if (!Array.isArray(pumps) || typeof pumpId !== 'string' || typeof speed !== 'number') return null
  const alike = pumps.filter((one: PumpPart | null) => one?.id === pumpId)
  if (alike.length !== 1) {
    return `must name one of the design’s pumps: ${alike.length} of them have the id "${pumpId}"`
  }
  return speedFault(alike[0]!, speed)
}

function speedFault(pump: PumpPart, speed: number): string | null {
  if (pump.control === 'fixed-speed') {
    return speed === 1 ? null : `must have speed 1: ${pump.name} runs at one speed; it is ${speed}`
  }
  return speed >= pump.leastSpeed
    ? null
    : `must have a speed from ${pump.leastSpeed} to 1 for ${pump.name}; it is ${speed}`
}
