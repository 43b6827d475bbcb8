import type { Bulkhead } from '../fitting/index.ts'
import type { Point, Run } from '../run/index.ts'
import type { Guard, Teeth } from '../weir/index.ts'

/** A box inside the tank, outside it, one of each with holes between, one that hangs over the rim on siphon tubes, or the chambers behind an all-in-one's wall. */
export type OverflowForm =
  'inner-box' | 'outer-box' | 'inner-and-outer' | 'hung-box' | 'rear-chambers'

/** Where it stands, as you stand in front of the tank. */
export type OverflowPlace = 'left' | 'right' | 'back' | 'corner' | 'centre'

/** The box the drains stand in: its inside, in room coordinates along the floor. */
export interface OverflowBox {
  readonly xM: number
  readonly yM: number
  readonly lengthM: number
  readonly widthM: number
  /** Its inside floor over the tank's inside floor, m; below zero for a box that hangs lower. */
  readonly floorM: number
  /** Height at which it spills, over the tank's inside floor. */
  readonly rimM: number
}

/** What joins the skimming side to the box: holes through the glass, or siphon tubes over the rim. */
export interface Passage {
  readonly kind: 'holes' | 'siphon'
  readonly count: number
  readonly boreM: number
  /** Of one tube; zero for holes. */
  readonly lengthM: number
}

/** tempered: shatters when it is drilled. */
export type PanelGlass = 'plain' | 'tempered' | 'acrylic'

/** A panel of a tank that a hole can be drilled in. */
export type DrilledPanel = 'floor' | 'back' | 'left' | 'right'

/** A hole in the tank for a bulkhead. */
export interface Hole {
  readonly id: string
  readonly panel: DrilledPanel
  readonly glass: PanelGlass
  /** Its middle along the panel, from the panel's left or front edge, m. */
  readonly alongM: number
  /** Its middle up the panel, or back from the front of the floor, m. */
  readonly upM: number
  /** As it was when chosen from the parts. */
  readonly bulkhead: Bulkhead
}

/** How water leaves a tank. Heights over the tank's inside floor, m. */
export interface Overflow {
  readonly form: OverflowForm
  readonly place: OverflowPlace
  /** Where water begins to pass: the rim, or the sills between its teeth. */
  readonly crestM: number
  readonly rimLengthM: number
  /** null: smooth. */
  readonly teeth: Teeth | null
  /** The tops of the teeth are open above. */
  readonly openAbove: boolean
  readonly guard: Guard | null
  /** The smallest animal that must stay in the tank, m across; null: not set. */
  readonly keepsInM: number | null
  /** null for rear chambers. */
  readonly box: OverflowBox | null
  /** null where the rim lets water straight into the box. */
  readonly passage: Passage | null
  /** The chamber behind the wall; null but for rear chambers. */
  readonly chamberId: string | null
  readonly holes: readonly Hole[]
  /** A level sensor that stops the pump; null: none. */
  readonly sensorM: number | null
}

/** siphon: full of water. vented: its core open. trickle: takes what the siphon leaves. emergency: dry until something is wrong. */
export type DrainRole = 'siphon' | 'vented' | 'trickle' | 'emergency'

/** Flush with a floor, an open pipe, under a strainer, an elbow turned down, or capped with an air line. */
export type InletForm = 'flush' | 'open' | 'strainer' | 'turned-down' | 'capped'

/** Where a drain's water lands in its chamber. */
export type Landing = 'open' | 'sock' | 'roller'

/** One drain pipe, from its inlet in the box to its end. */
export interface Drain {
  readonly id: string
  readonly name: string
  readonly tankId: string
  readonly role: DrainRole
  readonly inlet: {
    readonly form: InletForm
    /** Its lip: where the water goes in, in room coordinates. */
    readonly place: Point
    /** Open area of the strainer over the pipe's. */
    readonly openAreaRatio: number
  }
  readonly run: Run
  readonly end: {
    /** A chamber, or a tee of another drain. */
    readonly at: 'chamber' | 'tee'
    readonly id: string
    readonly landing: Landing
  }
  /** A siphon's valve is kept at what matches the flow that comes; false: it stays as it is set. */
  readonly keepsMatch: boolean
}
