import type { LoadClass } from './load.ts'
import type { SkimmerSpec } from './part.ts'

/** match: the rating at the load there is. oversize: the rating on the box, times a factor of the keeper's. */
export type SkimmerSchool = 'match' | 'oversize'

/** How a rating stands to what a school wants. */
export type SizeSays = 'small' | 'borderline-small' | 'fits' | 'borderline-large' | 'large'

/** Rated over net water, of the school that matches: borderline, fits from, fits to, borderline (hydraulics reference, §10). */
const MATCHES: SizeRange = [0.8, 0.9, 1.5, 2]
/** Outside the keeper's two factors by so much it is still borderline, of the school that oversizes. */
const BORDERLINE_SHARE = 0.1

type SizeRange = readonly [number, number, number, number]

/** What a school says of a skimmer. */
export interface SkimmerVerdict {
  readonly school: SkimmerSchool
  /** Volume it is counted for, at the end of the feeding that settles what is said. */
  readonly ratedM3: number
  /** Net water it has to serve. */
  readonly wantedM3: number
  /** rated/wanted; null without water. */
  readonly ratio: number | null
  /** Ratios between which it fits. */
  readonly fitsFrom: number
  readonly fitsTo: number
  /** At the worse end of the feeding. */
  readonly says: SizeSays
  /** The end of the feeding it tips at; null: both ends say the same. */
  readonly tipsAt: 'least' | 'most' | null
}

/** The keeper's two factors. */
export interface Oversize {
  readonly from: number
  readonly to: number
}

/** Loads on a day of least and of most feeding. */
export interface LoadRange {
  readonly least: LoadClass
  readonly most: LoadClass
}

/** Both schools; a skimmer is printed for most water at the lightest load. */
export function skimmerVerdicts(
  { ratedM3 }: Pick<SkimmerSpec, 'ratedM3'>,
  netVolumeM3: number,
  load: LoadRange,
  { from, to }: Oversize,
): Readonly<Record<SkimmerSchool, SkimmerVerdict>> {
  const own: SizeRange = [(1 - BORDERLINE_SHARE) * from, from, to, (1 + BORDERLINE_SHARE) * to]
  const match = (at: LoadClass) => verdict('match', ratedM3[at], netVolumeM3, MATCHES)
  return {
    match: worse(match(load.least), match(load.most)),
    oversize: verdict('oversize', ratedM3.light, netVolumeM3, own),
  }
}

function verdict(
  school: SkimmerSchool,
  ratedM3: number,
  wantedM3: number,
  range: SizeRange,
): SkimmerVerdict {
  const ratio = wantedM3 > 0 ? ratedM3 / wantedM3 : null
  return {
    school,
    ratedM3,
    wantedM3,
    ratio,
    fitsFrom: range[1],
    fitsTo: range[2],
    says: ratio === null ? 'large' : sizeSays(ratio, range),
    tipsAt: null,
  }
}

/** Ends belong to the better verdict. */
function sizeSays(ratio: number, [least, from, to, most]: SizeRange): SizeSays {
  if (ratio < least) return 'small'
  if (ratio < from) return 'borderline-small'
  if (ratio <= to) return 'fits'
  return ratio <= most ? 'borderline-large' : 'large'
}

/** Worst first. */
const WORST_FIRST: readonly SizeSays[] = [
  'small',
  'large',
  'borderline-small',
  'borderline-large',
  'fits',
]

/** What counts where feeding differs from day to day. */
function worse(least: SkimmerVerdict, most: SkimmerVerdict): SkimmerVerdict {
  if (least.says === most.says) return most
  const tipsAtMost = WORST_FIRST.indexOf(most.says) < WORST_FIRST.indexOf(least.says)
  return tipsAtMost ? { ...most, tipsAt: 'most' } : { ...least, tipsAt: 'least' }
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
