import type { EventDetector } from './integrate.ts'
import type { Mode } from './mode.ts'
import type { VesselOf } from './vessel.ts'

/** What a detector that fires is called in the log. */
export type DrillEvent =
  | { readonly kind: 'sensor-stops-pumps'; readonly tankId: string }
  | { readonly kind: 'pump-draws-air'; readonly placedId: string; readonly gasps: boolean }
  /** gulps: it breaks and fills again and again, so it is followed in the mean. */
  | {
      readonly kind: 'siphon-primes' | 'siphon-gulps'
      readonly drainId: string
      /** It might as well not have: that way is looked at too. */
      readonly doubtful: boolean
    }
  /** It has water enough over its inlet, and does not fill. */
  | { readonly kind: 'siphon-stays'; readonly drainId: string }
  | { readonly kind: 'siphon-drops'; readonly drainId: string }
  | { readonly kind: 'back-siphon-breaks'; readonly lineId: string }
  | { readonly kind: 'top-off-starts' }
  | { readonly kind: 'top-off-stops' }
  | { readonly kind: 'top-off-empty' }
  | { readonly kind: 'top-off-gives-up' }
  | { readonly kind: 'collector-full' }
  | { readonly kind: 'cup-stops' }
  | { readonly kind: 'tank-empty'; readonly tankId: string }
  | { readonly kind: 'sump-empty'; readonly chamberId: string }
  | { readonly kind: 'runs-over'; readonly vessel: VesselOf }

/** A detector with what it does to the system; null: it is only written down. */
export interface PlantDetector extends EventDetector {
  readonly event: DrillEvent
  readonly becomes: ((mode: Mode) => Mode) | null
}
