import type { BasinDesign, ShelfFigures } from '@yew-basin/core'
import type { Sequelize } from 'sequelize'
import { designOf } from '../basin/basin-store.ts'
import { Design } from '../basin/design-model.ts'
import { Access } from '../db/access.ts'
import { CORE_VERSION } from './core-version.ts'
import type { DesignJob } from './jobs.ts'

/** Whoever works out what a card shows, its drills run. */
export type FiguresOf = (design: BasinDesign) => Promise<ShelfFigures>

/** Computes a design's figures for the shelf and keeps them with the revision they are of. */
export async function computeFigures(
  sequelize: Sequelize,
  { workspaceId, designId: id }: DesignJob,
  figuresOf: FiguresOf,
): Promise<void> {
  const access = new Access(sequelize, workspaceId)
  const design = await access.within((transaction) =>
    Design.findOne({ where: { id }, transaction }),
  )
  if (!design) return
  const shelf = await figuresOf(designOf(design))
  await access.within((transaction) =>
    Design.update(
      { shelfFigures: shelf, figuresRevision: design.revision, figuresCore: CORE_VERSION },
      { where: { id, revision: design.revision }, transaction },
    ),
  )
}
