import { FORMAT_VERSION, migrated } from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import type { Transaction } from 'sequelize'
import { CORE_VERSION } from '../job/core-version.ts'
import { Basin } from './basin-model.ts'
import { Design } from './design-model.ts'
import { figuresToday } from './figures-today.ts'
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
  const rows = designs.map((stored) => ({
    basinId: basin.id,
    workspaceId,
    name: stored.name,
    isCurrent: stored.current,
    formatVersion: FORMAT_VERSION,
    document: stored.design,
    bytes: Buffer.byteLength(JSON.stringify(stored.design)),
  }))
  const added = await Design.bulkCreate(rows, { transaction })
  await Revision.bulkCreate(added.map(revisionOf), { transaction })
  basin.designs = added
  return basin
}

const revisionOf = (design: Design) => {
  const { id: designId, workspaceId, revision, formatVersion, document, savedAt, bytes } = design
  return { designId, workspaceId, revision, formatVersion, document, savedAt, bytes }
}

/** Lays figures for the shelf beside designs that have none of theirs, where somebody can wait for it. */
export async function addFigures(basin: Basin, transaction: Transaction): Promise<void> {
  for (const design of basin.designs ?? []) {
    const { figuresRevision, revision, figuresCore } = design
    if (figuresRevision === revision && figuresCore === CORE_VERSION) continue
    await design.update(
      {
        shelfFigures: figuresToday(designOf(design)),
        figuresRevision: design.revision,
        figuresCore: CORE_VERSION,
      },
      { transaction },
    )
  }
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

/** A stored document in the present format. */
export function designOf(row: Pick<Design, 'document' | 'formatVersion'>): BasinDesign {
  return migrated(row.document, row.formatVersion) as BasinDesign
}
