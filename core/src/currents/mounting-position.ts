import { toMillimetre } from '../quantity/index.ts'
import {
  type CirculationPart,
  type CirculationPump,
  isInside,
  type ScenePanel,
} from '../scene/index.ts'
import type { FlowDomain } from './flow-domain.ts'
import { openingOf } from './streams.ts'

/** Why a pump cannot work where it sits. */
export type PositionFault =
  | { readonly kind: 'in-rock'; readonly rockId: string }
  | { readonly kind: 'draws-air' }
  | { readonly kind: 'in-sand' }

/** What stands in the way of a pump where it hangs; null: nothing does. */
export function positionFault(pump: CirculationPump, domain: FlowDomain): PositionFault | null {
  const { x, y, z } = openingOf(pump, domain)
  const half = pump.part.bodyM / 2
  const rock = domain.rocks.find((solid) => isInside(solid, x, y, z))
  if (rock) return { kind: 'in-rock', rockId: rock.id }
  if (z + half > domain.depthM) return { kind: 'draws-air' }
  if (z - half < domain.sandDepthM) return { kind: 'in-sand' }
  return null
}

/** The panel nearest to a place of the plan, and how far along it a part can sit. */
export function nearestPosition(
  { lengthM, widthM }: Pick<FlowDomain, 'lengthM' | 'widthM'>,
  { bodyM }: CirculationPart,
  xM: number,
  yM: number,
): Pick<CirculationPump, 'panel' | 'alongM'> {
  const away: readonly (readonly [ScenePanel, number, number, number])[] = [
    ['left', Math.abs(xM), yM, widthM],
    ['right', Math.abs(lengthM - xM), yM, widthM],
    ['front', Math.abs(yM), xM, lengthM],
    ['back', Math.abs(widthM - yM), xM, lengthM],
  ]
  const [panel, , along, panelM] = away.reduce((a, b) => (b[1] < a[1] ? b : a))
  const held = Math.min(panelM - bodyM / 2, Math.max(bodyM / 2, along))
  return { panel, alongM: toMillimetre(held) }
}
