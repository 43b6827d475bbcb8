import type { PumpPart } from '@yew-basin/core'
import type {
  FittingLoss,
  FrictionLoss,
  NetworkLink,
  NetworkNode,
  NetworkProblem,
} from '@yew-basin/core/lab'

/** A link with every uncertain thing in it by itself, not added up. */
export interface ThingLink extends Omit<NetworkLink, 'line'> {
  readonly frictions: readonly FrictionLoss[]
  readonly fittings: readonly FittingLoss[]
}

/** A network with every uncertain thing in it by itself. */
export interface ThingNetwork {
  readonly name: string
  readonly nodes: readonly NetworkNode[]
  readonly links: readonly ThingLink[]
  readonly water: NetworkProblem['water']
}

/** A pump of a made-up library: by a curve, or by its two numbers. */
export const PUMPS: readonly PumpPart[] = [
  pump('small', [
    [0, 2.4],
    [600, 2.1],
    [1400, 1.3],
    [2000, 0.3],
  ]),
  pump('middle', [
    [0, 3.4],
    [1200, 3.0],
    [2600, 2.0],
    [3600, 0.8],
  ]),
  pump('large', [
    [0, 4.8],
    [2500, 4.3],
    [5000, 3.2],
    [7500, 1.2],
  ]),
  pump('two numbers', [
    [0, 3.6],
    [4200, 0],
  ]),
]

function pump(id: string, points: readonly (readonly [number, number])[]): PumpPart {
  return {
    id,
    name: id,
    control: 'controllable',
    mounting: 'under-water',
    curve: points.map(([litresPerH, headM]) => ({ flowM3PerS: litresPerH / 3.6e6, headM })),
    shutOffHeadM: null,
    maxFlowM3PerS: null,
    ratedPowerW: 50,
    power: [],
    outletBoreM: 0.026,
    inletBoreM: null,
    leastDepthM: null,
    partId: null,
    leastSpeed: 0.3,
    priceClass: null,
    size: null,
  }
}
