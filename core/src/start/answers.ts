import type { DrainSchool } from '../editing/index.ts'
import type { PumpPart } from '../pump/index.ts'
import type { UnitFamily } from '../quantity/index.ts'

/** What a keeper begins with. */
export type StartKind = 'over-sump' | 'all-in-one' | 'several' | 'pump-only'

/** Inside sizes, m. */
export interface InsideSizes {
  readonly lengthM: number
  /** Front to back. */
  readonly widthM: number
  readonly heightM: number
}

/** A tank as its keeper knows it. */
export interface TankAnswer {
  readonly name: string
  /** null: not answered. */
  readonly sizes: InsideSizes | null
  /** Typed, not worked out from a volume: they count as given. */
  readonly sizesGiven: boolean
}

/** What a keeper said of his system; null everywhere: not answered, and assumed. */
export interface StartAnswers {
  readonly kind: StartKind
  /** Pipe is laid in the sizes of these. */
  readonly units: UnitFamily
  readonly tanks: readonly TankAnswer[]
  /** Height of the tanks' inside floor over the room's, m. */
  readonly standM: number | null
  /** Net volumes through the sump in an hour. */
  readonly turnoverPerH: number | null
  /** The same as a flow into all tanks together; it counts where it is given. */
  readonly wantedFlowM3PerS: number | null
  readonly school: DrainSchool | null
  /** The sump's inside. */
  readonly sump: InsideSizes | null
  /** Of an all-in-one: how deep its chambers are behind the wall, m. */
  readonly behindM: number | null
  /** null: the best of what there is for the flow that is wanted. */
  readonly pump: PumpPart | null
  /** Its power was guessed. */
  readonly powerGuessed: boolean
  /** For the pump's flow alone: from the sump's water up to where the line ends, and all of its pipe, m. */
  readonly liftM: number | null
  readonly runM: number | null
}

/** Nothing answered yet. */
export function noAnswers(kind: StartKind, units: UnitFamily): StartAnswers {
  return {
    kind,
    units,
    tanks: kind === 'several' ? [unnamed('Tank 1'), unnamed('Tank 2')] : [unnamed('Tank')],
    standM: null,
    turnoverPerH: null,
    wantedFlowM3PerS: null,
    school: null,
    sump: null,
    behindM: null,
    pump: null,
    powerGuessed: false,
    liftM: null,
    runM: null,
  }
}

const unnamed = (name: string): TankAnswer => ({ name, sizes: null, sizesGiven: false })
