import type { SkimmerSpec } from '../skimmer/index.ts'
import type { SterilizerSpec } from '../uv/index.ts'

/** What a device is for. */
export type DeviceKind =
  'skimmer' | 'sterilizer' | 'heater' | 'chiller' | 'reactor' | 'scrubber' | 'flow-meter'

/** How loud it is beside the tank. */
export type NoiseClass = 'silent' | 'heard-near' | 'heard-across'

/** A device as its maker describes it. */
export interface DevicePart {
  readonly id: string
  readonly name: string
  readonly kind: DeviceKind
  /** Of the box around it as it stands: left to right, front to back, foot to top. */
  readonly lengthM: number
  readonly widthM: number
  readonly heightM: number
  /** What it takes of the water's surface where it stands in water, m². */
  readonly sectionM2: number
  /** Room a hand wants beside it. */
  readonly handM: number
  readonly control: 'fixed-speed' | 'controllable'
  /** From the wall, at full speed. */
  readonly powerW: number
  readonly noise: NoiseClass
  /** 1 cheap to 5 dear. */
  readonly priceClass: number
  /** Flows through it that it works at; null: its maker tells none. */
  readonly window: { readonly leastM3PerS: number; readonly mostM3PerS: number } | null
  /** Of a skimmer; null: it is none. */
  readonly skimmer: SkimmerSpec | null
  /** Of a sterilizer; null: it is none. */
  readonly sterilizer: SterilizerSpec | null
}

/** Is it lifted out upright? A rod is tilted, and what stands beside the sump is carried off. */
export const comesOutUpright = (kind: DeviceKind): boolean =>
  kind === 'skimmer' || kind === 'reactor'
