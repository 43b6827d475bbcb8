import type { HeaterWork, Surfaces } from '../../heat/index.ts'

/** The water in a room of one temperature. */
export interface HeatInRoom extends HeaterWork {
  readonly roomC: number
  /** Through panels and surfaces, and with what evaporates, W. */
  readonly throughPanelsW: number
  readonly byEvaporationW: number
  /** Half width of what is wanted, W. */
  readonly wantedBandW: number
  /** Half width of the month's energy, J; nil where none is wanted. */
  readonly energyPerMonthBandJ: number
  readonly evaporationM3PerS: number
}

/** What happens when a heater fails. */
export interface HeaterFailure {
  /** At first; negative: it cools. */
  readonly warmsKPerS: number
  /** To the limit's temperature; null: it levels off before. */
  readonly untilS: number | null
}

/** How warm the water stays, and what keeps it so. */
export interface SolvedHeat {
  readonly surfaces: Surfaces
  readonly conductanceWPerK: number
  /** Everything under water but the heaters, and what air-cooled pumps give, W. */
  readonly devicesW: number
  /** Of the lights, what ends in the water, W. */
  readonly lightsW: number
  readonly heaters: number
  readonly heatersW: number
  /** Of the strongest of them, W. */
  readonly strongestW: number
  readonly coldest: HeatInRoom
  readonly warmest: HeatInRoom
  /** From here on it is too warm, and below it too cold, for what lives there. */
  readonly tooWarmC: number
  readonly tooColdC: number
  /** The strongest heater stuck on in the warmest room, lights on, the others off; null: there is none. */
  readonly stuckOn: HeaterFailure | null
  /** The strongest heater off in the coldest room, lights out, the others on. */
  readonly off: HeaterFailure
  /** What a chiller has to take out in the warmest room, lights on, W; nil: none is wanted. */
  readonly coolingW: number
  /** Where the water would level off in the warmest room, lights on all day and heaters off; null: no hotter than it is meant to be. */
  readonly levelsOffC: number | null
  /** Salinity gained in a day with no top-off, in the coldest room, ppt. */
  readonly creepPptPerDay: number
}

/** What is plugged in, by what it is for. */
export interface PowerShare {
  readonly of: 'return' | 'circulation' | 'devices' | 'lights' | 'warmth'
  /** Mean over the year, W. */
  readonly meanW: number
  /** Half width; nil: its plate says it. */
  readonly bandW: number
}

/** Everything that is plugged in. */
export interface SolvedPower {
  readonly shares: readonly PowerShare[]
  readonly meanW: number
  /** Half width: its shares are known apart from each other. */
  readonly bandW: number
  readonly energyPerYearJ: number
  readonly energyPerYearBandJ: number
  /** null when no tariff is given. */
  readonly costPerYear: number | null
  readonly costPerYearBand: number | null
  /** As the keeper writes it; empty without a tariff. */
  readonly currency: string
  /** Heaters or chillers are there, but the room is not set: they are not counted. */
  readonly withoutWarmth: boolean
}
