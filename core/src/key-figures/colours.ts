import type { FindingCode } from '../finding/index.ts'
import type { KeyFigureName } from './key-figure.ts'

const FLOW: readonly FindingCode[] = [
  'flow-short',
  'flow-past',
  'no-flow-at-this-speed',
  'valve-shut',
  'flows-back',
  'mouth-outside-tank',
]

/** The findings that say how a figure stands; the worst of those that are there colours it. */
export const COLOURED_BY: Readonly<Record<KeyFigureName, readonly FindingCode[]>> = {
  netVolume: [],
  flow: FLOW,
  turnover: FLOW,
  head: ['no-flow-at-this-speed', 'past-known-curve'],
  power: [],
  freeboard: ['water-over-rim', 'little-freeboard'],
  drain: [
    'runs-over-now',
    'emergency-cannot-carry',
    'emergency-not-sure',
    'emergency-only-full',
    'box-without-drain',
    'blocked-pipe-held',
  ],
  speed: ['water-too-fast'],
  outage: ['sump-too-small', 'outage-elsewhere', 'above-fill-line', 'outage-held'],
  skimmer: ['cup-stays-on', 'skimmer-too-small', 'skimmer-too-large', 'skimmer-depth'],
  dose: ['lamp-without-flow', 'dose-short', 'dose-reached', 'lamp-old'],
  drills: [],
}
