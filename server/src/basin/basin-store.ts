import { FORMAT_VERSION, migrated } from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import type { Transaction } from 'sequelize'
import { Basin } from './basin-model.ts'
import { Design } from './design-model.ts'
import { Revision } from './revision-model.ts'

/** A basin about to be stored. */
export interface NewBasin {
  readonly name: string
  readonly note: string
  readonly designs: readonly {
    readonly name: string
    readonly current: boolean
    readonly design: BasinDesign
  }[]
}

/** Stores a basin with its designs, each at revision 1. All of it or, with the transaction, none. */
export async function addBasin(
  workspaceId: string,
  { name, note, designs }: NewBasin,
  transaction: Transaction,
): Promise<Basin> {
  const basin = await Basin.create({ workspaceId, name, note }, { transaction })
  for (const stored of designs) {
    const design = await Design.create(
      {
        basinId: basin.id,
        name: stored.name,
        isCurrent: stored.current,
        formatVersion: FORMAT_VERSION,
        document: stored.design,
      },
      { transaction },
    )
    await keepRevision(design, transaction)
  }
  return basin
}

/** Every living basin of one workspace, copied into another in the same order. */
export async function copyBasins(
  fromId: string,
  toId: string,
  transaction: Transaction,
): Promise<void> {
  const basins = await Basin.findAll({
    where: { workspaceId: fromId, deletedAt: null },
    include: 'designs',
    order: [['createdAt', 'ASC']],
    transaction,
  })
  for (const basin of basins) await addBasin(toId, contentsOf(basin), transaction)
}

/** What a basin holds, ready to be stored again under another name or owner. */
export function contentsOf(basin: Basin): NewBasin {
  return {
    name: basin.name,
    note: basin.note,
    designs: (basin.designs ?? []).map((design) => ({
      name: design.name,
      current: design.isCurrent,
      design: designOf(design),
    })),
  }
}

/** Writes down the state a design was saved in. */
export async function keepRevision(design: Design, transaction: Transaction): Promise<void> {
  const { id: designId, revision, formatVersion, document, savedAt } = design
  await Revision.create({ designId, revision, formatVersion, document, savedAt }, { transaction })
}

/** A stored document in the present format. */
export function designOf(row: Pick<Design, 'document' | 'formatVersion'>): BasinDesign {
  return migrated(row.document, row.formatVersion) as BasinDesign
}
