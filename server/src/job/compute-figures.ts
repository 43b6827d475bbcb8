import type { Sequelize } from 'sequelize'
import { designOf } from '../basin/basin-store.ts'
import { Design } from '../basin/design-model.ts'
import { figuresToday } from '../basin/figures-today.ts'
import { Access } from '../db/access.ts'
import { CORE_VERSION } from './core-version.ts'
import type { DesignJob } from './jobs.ts'

/** Computes a design's figures for the shelf and keeps them with the revision they are of. */
export async function computeFigures(
  sequelize: Sequelize,
  { workspaceId, designId: id }: DesignJob,
): Promise<void> {
  await new Access(sequelize, workspaceId).within(async (transaction) => {
    const design = await Design.findOne({ where: { id }, transaction })
    if (!design) return
    await Design.update(
      {
        shelfFigures: figuresToday(designOf(design)),
        figuresRevision: design.revision,
        figuresCore: CORE_VERSION,
      },
      { where: { id, revision: design.revision }, transaction },
    )
  })
}
