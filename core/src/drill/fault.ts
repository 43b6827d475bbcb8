import type { Sentence } from '../quantity/index.ts'

/** One thing that goes wrong, or right again. */
export type DrillFault =
  /** Everything that is plugged in stops: pumps and top-off. */
  | { readonly kind: 'power-cut' }
  | { readonly kind: 'power-back' }
  /** A controller stops one pump. */
  | { readonly kind: 'pump-stops'; readonly placedId: string }
  /** It gives this share of its flow at every head. */
  | { readonly kind: 'pump-fouled'; readonly placedId: string; readonly share: number }
  /** This share of each drain's flow is lost. */
  | {
      readonly kind: 'drains-blocked'
      readonly drainIds: readonly string[]
      readonly share: number
    }
  | { readonly kind: 'sensor-stuck' }
  /** A full sock or a jammed roller: its chamber gives nothing on but over its wall. */
  | { readonly kind: 'sock-blocked'; readonly chamberId: string }
  | { readonly kind: 'teeth-fouled'; readonly tankId: string; readonly share: number }
  /** Its sensor is stuck: it runs until its own limit, where it has one. */
  | { readonly kind: 'top-off-open' }
  /** Its relay is welded: nothing stops it but the can's end. */
  | { readonly kind: 'top-off-welded' }
  | { readonly kind: 'top-off-shut' }
  | { readonly kind: 'check-open'; readonly lineId: string }
  | { readonly kind: 'check-shut'; readonly lineId: string }
  | { readonly kind: 'break-hole-grown'; readonly lineId: string }
  | { readonly kind: 'valve-shut'; readonly lineId: string }
  | { readonly kind: 'takeoff-open'; readonly lineId: string }
  | { readonly kind: 'prime-lost'; readonly tankId: string }
  | { readonly kind: 'object-out'; readonly chamberId: string }
  /** Every skimmer stops: what stands in it falls back. */
  | { readonly kind: 'skimmers-stop' }
  | { readonly kind: 'skimmers-start' }
  /** Water is taken out of the first tank, so fast, while all runs on. */
  | { readonly kind: 'water-taken'; readonly flowM3PerS: number }
  | { readonly kind: 'water-kept' }
  /** Water goes to the floor, slowly: at a pump's line while it runs, at the sump as long as there is any. */
  | { readonly kind: 'leak'; readonly at: 'line' | 'sump'; readonly flowM3PerS: number }
  /** A takeoff's hose comes off: what it carries goes to the floor. */
  | { readonly kind: 'hose-off'; readonly lineId: string }
  /** A skimmer's cup runs over into a collector of so much, and then to the floor. */
  | { readonly kind: 'cup-floods'; readonly chamberId: string; readonly collectorM3: number }
  /** A comb lets this share less through; what a sock would hold passes by. */
  | { readonly kind: 'comb-matted'; readonly wallId: string; readonly share: number }
  /** A controller forgets: its pump runs at full speed. */
  | { readonly kind: 'controller-full'; readonly placedId: string }
  /** The top-off's tube siphons its reservoir out, whatever switches it. */
  | { readonly kind: 'top-off-siphons' }
  /** Rock of so much is lifted out of a tank. */
  | { readonly kind: 'rock-out'; readonly tankId: string; readonly volumeM3: number }
  | { readonly kind: 'heater-on' }
  | { readonly kind: 'heater-off' }

/** Every thing that can fail in a drill. */
export type FaultKind = DrillFault['kind']

/** A fault and the moment it begins, s. */
export interface FaultAt {
  readonly atS: number
  readonly fault: DrillFault
}

/** A bad day: what goes wrong when, from the design as it runs. */
export interface Drill {
  readonly id: string
  readonly title: Sentence
  readonly faults: readonly FaultAt[]
  /** So long it is watched; it ends sooner when all is at rest. */
  readonly durationS: number
  /** Water goes into the air while it runs: for days, not for minutes. */
  readonly evaporates: boolean
  /** One thing that fails by itself: counted in what the system survives, and paired with each other. */
  readonly isSingle: boolean
  /** The drills it is made of: the two of a pair, the steps of a keeper's own. */
  readonly parts: readonly string[]
}
