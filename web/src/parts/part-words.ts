import type { PartAnswer, PartKind } from '@yew-basin/contract'
import { QUANTITIES, toSi, type PumpPart } from '@yew-basin/core'

export const KINDS: readonly {
  readonly kind: PartKind
  readonly label: string
  readonly one: string
}[] = [
  { kind: 'pump', label: 'Pumps', one: 'pump' },
  { kind: 'pipe', label: 'Pipe', one: 'pipe' },
  { kind: 'hose', label: 'Hose', one: 'hose' },
  { kind: 'fitting', label: 'Fittings', one: 'fitting' },
  { kind: 'valve', label: 'Valves', one: 'valve' },
  { kind: 'nozzle', label: 'Nozzles', one: 'nozzle' },
  { kind: 'bulkhead', label: 'Bulkheads', one: 'bulkhead' },
]

/** A flow as a box prints it. */
export const litresAnHour = (shown: number) => toSi(QUANTITIES.flow.shown.metric, shown)

const NEW_PUMP: PumpPart = {
  id: 'new',
  name: 'My pump',
  control: 'fixed-speed',
  mounting: 'under-water',
  curve: [
    { flowM3PerS: 0, headM: 2.5 },
    { flowM3PerS: litresAnHour(1000), headM: 1.6 },
    { flowM3PerS: litresAnHour(1800), headM: 0 },
  ],
  shutOffHeadM: null,
  maxFlowM3PerS: null,
  ratedPowerW: 25,
  power: [],
  outletBoreM: 0.02,
  inletBoreM: null,
  leastDepthM: null,
  leastSpeed: 1,
  priceClass: null,
}

/** What a new part of a kind starts from. */
export function newSpec(kind: PartKind): object {
  switch (kind) {
    case 'pump':
      return NEW_PUMP
    case 'pipe':
      return { series: 'pn-16', size: '25', boreM: null }
    case 'hose':
      return { series: 'smooth-hose', size: '20', boreM: null }
    case 'fitting':
      return { k: 1 }
    case 'valve':
      return { form: 'ball', kvM3PerH: 20 }
    case 'nozzle':
      return { boreM: 0.02 }
    case 'bulkhead':
      return { boreM: 0.027, holeM: 0.044, flangeM: 0.064 }
  }
}

/** A part as it is being changed, before it is kept. */
export interface Draft {
  /** null: not kept yet. */
  readonly id: string | null
  readonly kind: PartKind
  readonly name: string
  readonly spec: PartAnswer['spec']
}
