import { type BasinDesign, type BuildPlan, type DisplayTank, partOf } from '../design/index.ts'
import { waterAt } from '../fluid/index.ts'
import { type SaltForWater, saltFor } from './amounts.ts'
import { allRead, type Levelling, levelling } from './levelling.ts'
import { type Loads, type Panel, panelsKg, peopleToLift, totalKg } from './weight.ts'

/** Water in the tanks and in the sump as they run, m³. */
export interface WaterInIt {
  readonly tanksM3: number
  readonly sumpM3: number
}

/** Something with a plug. */
export interface PluggedIn {
  readonly name: string
  readonly powerW: number
}

/** What is worth knowing before a drop is poured. */
export interface BeforeWater {
  /** null: what part of it weighs is not set. */
  readonly loads: { readonly [Part in keyof Loads]: number | null }
  /** What of it is known, kg. */
  readonly knownKg: number
  /** All is set that weighs. */
  readonly isWhole: boolean
  readonly feet: number
  readonly kgPerFoot: number
  /** The tanks empty, in the design's order; null: their panels are not set. */
  readonly tanks: readonly {
    readonly tankId: string
    readonly kg: number | null
    readonly people: number | null
  }[]
  readonly levelling: Levelling | null
  readonly pluggedIn: readonly PluggedIn[]
  readonly allW: number
  /** To mix and fill, m³, with its salt. */
  readonly fillM3: number
  readonly salt: SaltForWater
  /** At the hose's flow, s; null: not set. */
  readonly fillS: number | null
}

/** Weight, level, plugs, water and salt of a design. */
export function beforeWater(design: BasinDesign, water: WaterInIt, plan: BuildPlan): BeforeWater {
  const { densityKgPerM3 } = waterAt(design.water)
  const tanks = design.tanks.map((tank) => {
    const kg = emptyKg(tank, plan)
    return { tankId: tank.id, kg, people: kg === null ? null : peopleToLift(kg, plan.liftKg) }
  })
  const sum = (of: (tank: DisplayTank) => number) =>
    design.tanks.reduce((all, tank) => all + of(tank), 0)
  const { tanksM3 } = water
  const loads = {
    waterKg: tanksM3 * densityKgPerM3,
    rockKg: sum(({ displacement }) => displacement.rockMassKg),
    sandKg: sum(({ displacement }) => displacement.sandMassKg),
    tankKg: tanks.some(({ kg }) => kg === null)
      ? null
      : tanks.reduce((all, { kg }) => all + kg!, 0),
    standKg: plan.standKg,
    sumpKg: plan.sumpKg,
    sumpWaterKg: water.sumpM3 * densityKgPerM3,
  }
  const knownKg = totalKg(known(loads))
  const fillM3 = tanksM3 + water.sumpM3
  const pluggedIn = plugsOf(design)
  const corners = allRead(plan.corners)
  return {
    loads,
    knownKg,
    isWhole: Object.values(loads).every((kg) => kg !== null),
    feet: plan.feet,
    kgPerFoot: knownKg / plan.feet,
    tanks,
    levelling: corners && levelling(corners),
    pluggedIn,
    allW: pluggedIn.reduce((all, { powerW }) => all + powerW, 0),
    fillM3,
    salt: saltFor(fillM3, design.water, plan.boundInMix),
    fillS: plan.fillM3PerS ? fillM3 / plan.fillM3PerS : null,
  }
}

/** What is not set counts as nothing, and is said. */
function known(loads: BeforeWater['loads']): Loads {
  return {
    waterKg: loads.waterKg ?? 0,
    rockKg: loads.rockKg ?? 0,
    sandKg: loads.sandKg ?? 0,
    tankKg: loads.tankKg ?? 0,
    standKg: loads.standKg ?? 0,
    sumpKg: loads.sumpKg ?? 0,
    sumpWaterKg: loads.sumpWaterKg ?? 0,
  }
}

/** A floor and four walls of one thickness; a brace is left out. */
function emptyKg({ id, lengthM, widthM, heightM }: DisplayTank, plan: BuildPlan): number | null {
  const own = plan.panels.find(({ tankId }) => tankId === id)
  if (!own || own.thicknessM === null) return null
  const { material, thicknessM } = own
  const outLengthM = lengthM + 2 * thicknessM
  const panel = (areaM2: number): Panel => ({ material, areaM2, thicknessM })
  return panelsKg([
    panel(outLengthM * (widthM + 2 * thicknessM)),
    panel(2 * outLengthM * heightM),
    panel(2 * widthM * heightM),
  ])
}

function plugsOf(design: BasinDesign): PluggedIn[] {
  const { returnSide, sump, tanks } = design
  return [
    ...returnSide.pumps.map(({ pumpId }) => {
      const { name, ratedPowerW } = partOf(design, pumpId)
      return { name, powerW: ratedPowerW }
    }),
    ...sump.devices.map(({ name, part }) => ({ name, powerW: part.powerW })),
    ...tanks.flatMap(({ scene }) =>
      scene.pumps.map(({ name, part }) => ({ name, powerW: part.powerW })),
    ),
  ].filter(({ powerW }) => powerW > 0)
}
