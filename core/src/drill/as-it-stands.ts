import type { BasinDesign } from '../design/index.ts'
import type { Judged } from '../judge/index.ts'
import type { Playback, PlayedMoment } from './playback.ts'
import { placeOfVessel } from './vessel.ts'

/** The figures that say where water stands. */
type Stands = Pick<Judged, 'tanks' | 'overflows' | 'sump'>

/** A design and its figures with the water where it stands at one moment of a drill: what a drawing is made from. */
export interface AsItStands<Solved extends Stands> {
  readonly design: BasinDesign
  readonly solved: Solved
}

/** A solved design with levels and flows as they are at one moment of a drill, so that it can be drawn. */
export function asItStands<Solved extends Stands>(
  design: BasinDesign,
  solved: Solved,
  { vessels }: Playback,
  { levelsM }: PlayedMoment,
): AsItStands<Solved> {
  const tankCount = design.tanks.length
  const boxLevelM = (tankId: string) => levelsM[placeOfVessel(vessels, 'box', tankId)]
  return {
    design: {
      ...design,
      tanks: design.tanks.map((tank, i) => ({
        ...tank,
        waterLevelM: levelsM[i]! - tank.floorHeightM,
      })),
      sump: {
        ...design.sump,
        chambers: design.sump.chambers.map((chamber, i) => ({
          ...chamber,
          levelM: levelsM[tankCount + i]!,
        })),
      },
    },
    solved: {
      ...solved,
      tanks: solved.tanks.map((tank, i) => ({ ...tank, surfaceM: levelsM[i]! })),
      overflows: solved.overflows.map((overflow) => {
        const tank = design.tanks.findIndex(({ id }) => id === overflow.tankId)
        const { teeth, crestM } = design.tanks[tank]!.overflow!
        const headM = levelsM[tank]! - design.tanks[tank]!.floorHeightM - crestM
        return {
          ...overflow,
          surfaceM: levelsM[tank]!,
          headM,
          overTeethM: teeth ? headM - teeth.heightM : null,
          boxM: boxLevelM(overflow.tankId) ?? overflow.boxM,
        }
      }),
      sump: {
        ...solved.sump,
        chambers: solved.sump.chambers.map((chamber, i) => {
          const levelM = levelsM[tankCount + i]!
          const floorM = design.sump.box?.floorHeightM ?? 0
          return { ...chamber, levelM, depthM: levelM - floorM }
        }),
      },
    },
  }
}
