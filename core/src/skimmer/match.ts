import type { LoadClass } from './load.ts'
import type { SkimmerSpec } from './part.ts'

/** match: the rating at the load there is. oversize: the rating on the box, times a factor of the keeper's. */
export type SkimmerSchool = 'match' | 'oversize'

/** Rated for more than this many times the water, a skimmer finds too little to make foam of (choice). */
export const FOAMS_UNSTEADILY_FROM = 3

/** What a school says of a skimmer. */
export interface SkimmerVerdict {
  readonly school: SkimmerSchool
  /** Volume it is counted for. */
  readonly ratedM3: number
  /** Volume the school asks for. */
  readonly wantedM3: number
  /** rated/wanted; null without water. */
  readonly ratio: number | null
  readonly says: 'small' | 'fits' | 'large'
}

/** Both schools; a skimmer is printed for most water at the lightest load. */
export function skimmerVerdicts(
  { ratedM3 }: Pick<SkimmerSpec, 'ratedM3'>,
  netVolumeM3: number,
  load: LoadClass,
  factor: number,
): Readonly<Record<SkimmerSchool, SkimmerVerdict>> {
  return {
    match: verdict('match', ratedM3[load], netVolumeM3),
    oversize: verdict('oversize', ratedM3.light, netVolumeM3 * factor),
  }
}

function verdict(school: SkimmerSchool, ratedM3: number, wantedM3: number): SkimmerVerdict {
  const ratio = wantedM3 > 0 ? ratedM3 / wantedM3 : null
  const says =
    ratio === null || ratio > FOAMS_UNSTEADILY_FROM ? 'large' : ratio < 1 ? 'small' : 'fits'
  return { school, ratedM3, wantedM3, ratio, says }
}

/** How a skimmer works on the water it stands in; each null where it has nothing to be set against. */
export interface SkimmerFigures {
  readonly flowM3PerS: number
  readonly airM3PerS: number
  /** q/Q of what passes its chamber. */
  readonly shareOfThroughflow: number | null
  /** System volumes through it in an hour. */
  readonly systemVolumesPerH: number | null
  /** V_body/q. */
  readonly dwellS: number | null
  /** Air over water, by volume. */
  readonly airToWater: number | null
  /** Air over the section of its neck, m/s. */
  readonly airPerNeckMPerS: number
}

const HOUR_S = 3600
/** Less than this is rounding, m³/s or m³. */
const NO_FLOW = 1e-9

/** At a share of full speed: water and air go with its pump's speed. */
export function skimmerFigures(
  spec: Pick<SkimmerSpec, 'flowM3PerS' | 'airM3PerS' | 'bodyM3' | 'neckBoreM'>,
  speed: number,
  { throughM3PerS, netVolumeM3 }: { throughM3PerS: number; netVolumeM3: number },
): SkimmerFigures {
  const flowM3PerS = spec.flowM3PerS * speed
  const airM3PerS = spec.airM3PerS * speed
  const over = (bottom: number, top: number) => (bottom > NO_FLOW ? top / bottom : null)
  return {
    flowM3PerS,
    airM3PerS,
    shareOfThroughflow: over(throughM3PerS, flowM3PerS),
    systemVolumesPerH: over(netVolumeM3, flowM3PerS * HOUR_S),
    dwellS: over(flowM3PerS, spec.bodyM3),
    airToWater: over(flowM3PerS, airM3PerS),
    airPerNeckMPerS: airM3PerS / ((Math.PI / 4) * spec.neckBoreM ** 2),
  }
}

/** Net water of a whole system: display, box and sump, less rock, sand grains and equipment; not below zero. */
export function systemVolumeM3(parts: {
  readonly displayM3: number
  readonly boxM3: number
  readonly sumpM3: number
  readonly rockM3: number
  readonly sandM3: number
  readonly equipmentM3: number
}): number {
  const water = parts.displayM3 + parts.boxM3 + parts.sumpM3
  return Math.max(0, water - parts.rockM3 - parts.sandM3 - parts.equipmentM3)
}
