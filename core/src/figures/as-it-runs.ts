import type { BasinDesign } from '../design/index.ts'
import type { Figures } from './figures.ts'

/** A design with its water where it was solved to stand: what a drawing is made from. */
export function asItRuns(
  design: BasinDesign,
  { tanks, sump }: Pick<Figures, 'tanks' | 'sump'>,
): BasinDesign {
  return {
    ...design,
    tanks: design.tanks.map((tank, i) => ({
      ...tank,
      waterLevelM: tanks[i]!.surfaceM - tank.floorHeightM,
    })),
    sump: {
      ...design.sump,
      chambers: design.sump.chambers.map((chamber, i) => ({
        ...chamber,
        levelM: sump.chambers[i]!.levelM,
      })),
    },
  }
}
