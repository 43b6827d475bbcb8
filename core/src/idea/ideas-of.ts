import type { Finding, FindingCode, Station } from '../finding/index.ts'
import type { Found } from '../key-figures/index.ts'
import type { Idea, IdeaName } from './idea.ts'
import { lightAndTime, trueToScale, wallsHold, warmth } from './of-things.ts'
import { airInPipe, comesDown, head, linesShare, siphon, weir } from './of-water.ts'

/** What a stop of the water's way turns on, the first first. */
const OF_STATION: Readonly<Record<Station, readonly IdeaName[]>> = {
  tank: ['weir', 'comes-down', 'warmth'],
  overflow: ['weir', 'siphon', 'comes-down'],
  drains: ['siphon', 'air-in-pipe', 'weir'],
  sump: ['walls-hold', 'comes-down', 'true-to-scale'],
  return: ['head', 'lines-share', 'comes-down'],
  skimmer: ['walls-hold', 'light-and-time', 'warmth'],
  sterilizer: ['light-and-time', 'lines-share'],
}

const HEAD: readonly IdeaName[] = ['head', 'lines-share']
const DOWN: readonly IdeaName[] = ['comes-down', 'weir']
const OVER: readonly IdeaName[] = ['weir', 'siphon', 'air-in-pipe']
const EMERGENCY: readonly IdeaName[] = ['air-in-pipe', 'siphon']
const LEVELS: readonly IdeaName[] = ['walls-hold', 'comes-down']
const PLACE: readonly IdeaName[] = ['true-to-scale']

/** Where a finding turns on other ideas than its stop does. */
const OF_CODE: Readonly<Partial<Record<FindingCode, readonly IdeaName[]>>> = {
  'water-over-rim': OVER,
  'runs-over-now': OVER,
  'hung-loses-prime': ['siphon', 'weir'],
  'weir-too-short': ['weir', 'comes-down'],
  'tank-unfed': HEAD,
  'flow-short': HEAD,
  'flow-past': HEAD,
  'no-flow-at-this-speed': HEAD,
  'flows-back': ['head', 'siphon'],
  'valve-shut': ['lines-share', 'head'],
  'takeoff-off-target': ['lines-share', 'head'],
  'pump-draws-air': ['walls-hold', 'head'],
  'check-valve-only-guard': ['comes-down', 'siphon'],
  'mouth-under-water': ['comes-down', 'siphon'],
  'emergency-cannot-carry': EMERGENCY,
  'emergency-not-sure': EMERGENCY,
  'emergency-only-full': EMERGENCY,
  'emergency-wet': EMERGENCY,
  'vented-loud': ['air-in-pipe'],
  'blocked-pipe-held': ['air-in-pipe', 'siphon'],
  'outage-elsewhere': DOWN,
  'outage-held': DOWN,
  'sump-too-small': DOWN,
  'above-fill-line': DOWN,
  'chamber-runs-over': LEVELS,
  'chamber-starved': LEVELS,
  'level-below-floor': LEVELS,
  'runs-dry-soon': ['walls-hold'],
  'heater-too-small': ['warmth'],
  'heater-could-cook': ['warmth'],
  'heater-near-its-limit': ['warmth'],
  'heater-holds': ['warmth'],
  'water-too-warm': ['warmth'],
  'tempered-panel': PLACE,
  'rim-over-panels': PLACE,
  'sizes-do-not-meet': PLACE,
  'misses-its-place': PLACE,
  'mouth-outside-tank': PLACE,
  'pipe-through-panel': PLACE,
  'end-outside-chamber': PLACE,
  'pump-outside-chamber': PLACE,
  'pump-does-not-fit': PLACE,
  'hole-too-near': PLACE,
  'hole-outside-box': PLACE,
  'drain-outside-box': PLACE,
  'device-does-not-fit': PLACE,
  'devices-collide': PLACE,
  'no-hand-room': PLACE,
  'cannot-lift-out': PLACE,
  'lamp-cannot-be-drawn': PLACE,
  'lamp-glued-in': PLACE,
  'ports-do-not-meet': PLACE,
  'turn-without-elbow': PLACE,
}

const TOLD: Readonly<Record<IdeaName, (found: Found) => Idea>> = {
  head,
  weir,
  siphon,
  'air-in-pipe': airInPipe,
  'comes-down': comesDown,
  'walls-hold': wallsHold,
  'lines-share': linesShare,
  'true-to-scale': trueToScale,
  'light-and-time': lightAndTime,
  warmth,
}

/** The two or three ideas that a stop of the water's way turns on, with this design's own figures. */
export function ideasOfStation(found: Found, station: Station): Idea[] {
  return OF_STATION[station].map((name) => TOLD[name](found))
}

/** Why a finding is so: the ideas that it turns on. */
export function ideasOfFinding(
  found: Found,
  { code, station }: Pick<Finding, 'code' | 'station'>,
): Idea[] {
  return (OF_CODE[code] ?? OF_STATION[station]).map((name) => TOLD[name](found))
}
