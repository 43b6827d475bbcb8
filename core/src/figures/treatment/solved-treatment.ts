import type { Rectangle } from '../../device/index.ts'
import type { LampPath } from '../../uv/index.ts'
import type {
  LoadClass,
  SkimmerDepth,
  SkimmerFigures,
  SkimmerSchool,
  SkimmerVerdict,
} from '../../skimmer/index.ts'

/** What the water has to be cleaned of. */
export interface SolvedLoad {
  /** Display, boxes and sump, less rock, sand and what stands in the water. */
  readonly systemVolumeM3: number
  /** Of it, in tanks and their boxes; and in the sump. */
  readonly displayM3: number
  readonly sumpM3: number
  /** On a day of least feeding, and of most; alike where every day is. */
  readonly least: DayLoad
  readonly most: DayLoad
}

/** What a day's food comes to. */
export interface DayLoad {
  readonly dryFeedKgPerDay: number
  /** Left to the skimmer, in a day and a cubic metre; null without water. */
  readonly loadKgPerM3: number | null
  /** The heavier of what is fed and what lives there. */
  readonly loadClass: LoadClass
}

/** How a device stands and what it draws. */
export interface SolvedDevice {
  readonly deviceId: string
  /** Through it: its line's, or what passes its chamber; null: neither is given. */
  readonly flowM3PerS: number | null
  /** Of its line's flow; zero: of what passes its chamber nothing is said. */
  readonly flowBandM3PerS: number
  /** Against what its maker wants; null: no window is given, or no flow. */
  readonly window: 'below' | 'within' | 'above' | null
  /** On its plate, at its speed. */
  readonly powerW: number
  /** null: it runs by its thermostat, as the room asks. */
  readonly energyPerYearJ: number | null
  /** null when no tariff is given, or no energy. */
  readonly costPerYear: number | null
  readonly clearance: DeviceClearance | null
}

/** Room round a device: in its chamber, or in the cabinet beside the sump. */
export interface DeviceClearance {
  /** From the sump's left front inside corner. */
  readonly place: Rectangle
  /** It stands in a chamber's water. */
  readonly inWater: boolean
  /** Out of its chamber or the cabinet; zero: it fits. */
  readonly sticksOutM: number
  /** Widest gap to the walls round it; null: no cabinet is given. */
  readonly handM: number | null
  /** Devices that it runs into. */
  readonly collidesWith: readonly string[]
  /** It stands beside the sump, and runs into it. */
  readonly runsIntoSump: boolean
  /** It stands or hangs higher than the sump's rim, over its water. */
  readonly overSump: boolean
  /** From its top to the cabinet's; null: no cabinet is given. */
  readonly aboveM: number | null
  /** From the sump's rim to the cabinet's top, less its height: what is left when it is lifted out; null: no cabinet. */
  readonly liftsOutM: number | null
  /** Free length to draw a lamp, to the cabinet's wall; null: no lamp, or no cabinet. */
  readonly pullOutM: number | null
  /** A lamp's end looks out of a door. */
  readonly pullsThroughDoor: boolean
}

/** A skimmer's figures with the verdicts of both schools of sizing. */
export interface SolvedSkimmer extends SkimmerFigures {
  readonly deviceId: string
  readonly verdicts: Readonly<Record<SkimmerSchool, SkimmerVerdict>>
  /** Of the school in force. */
  readonly inForce: SkimmerVerdict
  /** null: it stands dry, or the sump has no sizes. */
  readonly depth: SkimmerDepth | null
  /** From the top of its cup, raised as far as it must be, to the cabinet's top; null: no cabinet. */
  readonly aboveCupM: number | null
  readonly givesBackM3: number
  /** So long the top-off runs to make up for it once the skimmer fills again; null: no top-off. */
  readonly topOffRunsS: number | null
  /** That is longer than its controller allows. */
  readonly pastRunLimit: boolean
}

/** A sterilizer against one target. */
export interface AgainstTarget {
  readonly targetId: string
  readonly reaches: 'reached' | 'partly' | 'short'
  /** At the most that is quoted. */
  readonly killPerPass: number
  /** Of both volumes, joined by what comes over the overflow: the rate at which the last of it goes. */
  readonly removalPerS: number
  /** Half width: what the flow's band and that of the dose make of it. */
  readonly removalBandPerS: number
  /** Were all of the water one well mixed volume. */
  readonly mixedRemovalPerS: number
  /** null: nothing is removed. */
  readonly halfLifeS: number | null
  readonly halfLifeBandS: number
  /** Flow at which the most that is quoted is met. */
  readonly flowForItM3PerS: number
  /** It is removed faster than it doubles; null: its doubling is not known. */
  readonly outruns: boolean | null
}

/** A sterilizer's dose at its flow, against every target. */
export interface SolvedSterilizer {
  readonly deviceId: string
  /** zero where no line leads through it. */
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
  /** null without flow. */
  readonly doseJPerM2: number | null
  /** Half width: what the flow's own band makes of it, and ± 30 % of clarity and mixing. */
  readonly doseBandJPerM2: number | null
  /** Where its line takes water from and gives it back, and what joins the two volumes. */
  readonly path: LampPath
  readonly overflowM3PerS: number
  /** Dose times flow, J/m² · m³/s, which no flow changes. */
  readonly doseFlow: number
  /** Of the lamp's first light. */
  readonly ageing: number
  /** Until the lamp has run its hours, s; negative: past them. */
  readonly lampLeftS: number
  /** In the order of the design's table. */
  readonly targets: readonly AgainstTarget[]
  /** Chambers it takes from and gives to; null: not in a line between chambers. */
  readonly fromChamberId: string | null
  readonly toChamberId: string | null
  /** Chambers between the two, which its water skips. */
  readonly skips: readonly string[]
}

/** All that cleans the water, with what it has to clean. */
export interface SolvedTreatment {
  readonly load: SolvedLoad
  readonly devices: readonly SolvedDevice[]
  readonly skimmers: readonly SolvedSkimmer[]
  readonly sterilizers: readonly SolvedSterilizer[]
}
