import type { BasinDesign } from '../design/index.ts'
import type { Station } from '../finding/index.ts'
import { assumedOf } from './standing.ts'

/** Whatever water flows by. */
const THE_LOOP: readonly Station[] = ['tank', 'overflow', 'drains', 'sump', 'return']
/** Of the figures that hang on less than the whole loop: the stops they hang on. */
const OF_LESS: Readonly<Record<string, readonly Station[]>> = {
  netVolume: ['tank'],
  grossVolume: ['tank'],
  contentsMass: ['tank'],
  wantedFlow: ['tank'],
  water: ['tank'],
  skimmer: ['tank', 'skimmer'],
}

/** Does a figure, by its name, hang on anything that is assumed? In doubt it does. */
export function restsOnAssumed(design: BasinDesign, figure: string): boolean {
  const stations = OF_LESS[figure] ?? THE_LOOP
  return assumedOf(design).some(({ station }) => stations.includes(station))
}
