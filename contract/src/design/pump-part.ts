import { IsObject, ValidateNested } from 'class-validator'
import type { CurvePoint, PumpPart } from '@yew-basin/core'
import { curveFaults } from './curve-faults.ts'
import { COUNTS, LIMITS } from './limits.ts'
import { Id, IdOrNull, ByRule, ListOf, OneOf, OrNull, Text, Within, WithinOrNull } from './rules.ts'
import { Nested } from '../check/nested.ts'

/** A point of a pump's curve as it is stored. */
export class CurvePointDocument implements CurvePoint {
  @Within(LIMITS.pumpFlow, 'Flow, m³/s.')
  flowM3PerS!: number

  @Within(LIMITS.pumpHead, 'Head at that flow, m.')
  headM!: number
}

/** A point of a pump's printed power as it is stored. */
export class PowerPointDocument {
  @Within(LIMITS.pumpFlow, 'Flow, m³/s.')
  flowM3PerS!: number

  @Within(LIMITS.pumpPower, 'Wire power at that flow, W.')
  powerW!: number
}

/** The box around a pump. */
export class PumpSizeDocument implements NonNullable<PumpPart['size']> {
  @Within(LIMITS.deviceSize, 'Length of the box around it, m.')
  lengthM!: number

  @Within(LIMITS.deviceSize, 'Width of the box around it, m.')
  widthM!: number

  @Within(LIMITS.deviceSize, 'Height from foot to top, m.')
  heightM!: number
}

/** A pump as its maker describes it, at full speed. */
export class PumpPartDocument implements PumpPart {
  @Id('Names the pump in this design.')
  id!: string

  @IdOrNull(
    'The part, of the library or the keeper’s own, that it was taken from; null: it was entered here.',
  )
  partId!: string | null

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @OneOf(
    ['fixed-speed', 'controllable'],
    'Runs at the mains’ speed, or at one its controller sets.',
  )
  control!: PumpPart['control']

  @OneOf(['under-water', 'dry', 'either'], 'Where it may stand.')
  mounting!: PumpPart['mounting']

  @ListOf(
    0,
    COUNTS.curvePoints,
    'Printed points, flow rising. Empty: only the two numbers below are known.',
  )
  @Nested(() => CurvePointDocument)
  @ValidateNested({ each: true })
  @ByRule('a usable curve', (_, owner) => usable(owner as PumpPartDocument))
  curve!: CurvePointDocument[]

  @WithinOrNull(LIMITS.pumpHead, 'Most head, at no flow, m.')
  shutOffHeadM!: number | null

  @WithinOrNull(LIMITS.pumpFlow, 'Most flow, at no head, m³/s; used only without a curve.')
  maxFlowM3PerS!: number | null

  @Within(LIMITS.pumpPower, 'Power on its plate, W.')
  ratedPowerW!: number

  @ListOf(
    0,
    COUNTS.curvePoints,
    'Wire power by flow, flow rising. Empty: the rated power is scaled.',
  )
  @Nested(() => PowerPointDocument)
  @ValidateNested({ each: true })
  power!: PowerPointDocument[]

  @Within(LIMITS.bore, 'Bore of its outlet, m.')
  outletBoreM!: number

  @WithinOrNull(LIMITS.bore, 'Bore of its inlet, m; as the outlet’s where it is not given.')
  inletBoreM!: number | null

  @WithinOrNull(LIMITS.leastDepth, 'Least water over its inlet as its maker gives it, m.')
  leastDepthM!: number | null

  @Within(
    LIMITS.speed,
    'Lowest speed its controller holds, as a share of full speed; 1 for a pump of one speed.',
  )
  leastSpeed!: number

  @WithinOrNull(LIMITS.priceClass, 'What it costs beside others, 1 little to 5 much.')
  priceClass!: number | null

  @Nested(() => PumpSizeDocument)
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @OrNull('The box around it as it stands; null: not set.')
  size!: PumpSizeDocument | null
}

function usable(part: PumpPartDocument): string | null {
  if (!Array.isArray(part.curve) || !Array.isArray(part.power)) return null
  if (
    [...part.curve, ...part.power].some(
      (point: unknown) => typeof point !== 'object' || point === null,
    )
  )
    return null
  return curveFaults(part)[0] ?? null
}
