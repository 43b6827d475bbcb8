import {
  COUNTS,
  FILE_FORMAT,
  FORMAT_VERSION,
  type BasinAnswer,
  type BasinFile,
  type DesignAnswer,
} from '@yew-basin/contract'
import type { Transaction } from 'sequelize'
import type { Access } from '../db/access.ts'
import { changeKept, findKept, restoreKept, type KeptTable } from '../db/kept.ts'
import { STARTER_DESIGN, STARTER_IN_INCHES } from '../demo/starter.ts'
import type { Jobs } from '../job/jobs.ts'
import { Basin } from './basin-model.ts'
import { addBasin, contentsOf, designOf, type NewBasin } from './basin-store.ts'
import { Design } from './design-model.ts'

/** Basins among the things that are kept. */
export const BASINS: KeptTable<Basin> = {
  model: Basin,
  words: 'basin',
  sent: ({ id, name, note, revision }) => ({ id, name, note, revision }),
}

/** What a keeper does with whole basins. */
export class BasinService {
  readonly #jobs: Jobs

  constructor(jobs: Jobs) {
    this.#jobs = jobs
  }

  open(access: Access, id: string): Promise<BasinAnswer> {
    return access.within(async (transaction) => answerOf(await withDesigns(id, transaction)))
  }

  create(access: Access, name: string, units: 'metric' | 'us' = 'metric'): Promise<BasinAnswer> {
    const starter = units === 'us' ? STARTER_IN_INCHES : STARTER_DESIGN
    const design = { name: 'as planned', current: true, design: starter }
    return this.#add(access, () => ({ name, note: '', designs: [design] }))
  }

  bringIn(access: Access, file: BasinFile): Promise<BasinAnswer> {
    return this.#add(access, () => file)
  }

  duplicate(access: Access, id: string): Promise<BasinAnswer> {
    return this.#add(access, async (transaction) => {
      const basin = await withDesigns(id, transaction)
      const name = `${basin.name} copy`.slice(0, COUNTS.nameLength)
      return { ...contentsOf(basin), name }
    })
  }

  rename(
    access: Access,
    { id, changed }: { readonly id: string; readonly changed: number },
    name: string,
  ): Promise<BasinAnswer> {
    return access.within(async (transaction) => {
      await changeKept(BASINS, { id, changed }, { name }, transaction)
      return answerOf(await withDesigns(id, transaction))
    })
  }

  /** Into the bin. */
  remove(access: Access, seen: { readonly id: string; readonly changed: number }): Promise<void> {
    return access.within(async (transaction) => {
      await changeKept(BASINS, seen, { deletedAt: new Date() }, transaction)
    })
  }

  /** Takes a delete back. */
  restore(access: Access, id: string): Promise<BasinAnswer> {
    return access.within(async (transaction) => {
      await restoreKept(BASINS, id, transaction)
      return answerOf(await withDesigns(id, transaction))
    })
  }

  file(access: Access, id: string): Promise<BasinFile> {
    return access.within(async (transaction) => {
      const contents = contentsOf(await withDesigns(id, transaction))
      return { format: FILE_FORMAT, formatVersion: FORMAT_VERSION, ...contents } as BasinFile
    })
  }

  async #add(
    access: Access,
    contents: (transaction: Transaction) => NewBasin | Promise<NewBasin>,
  ): Promise<BasinAnswer> {
    const { workspaceId } = access
    const basin = await access.within(async (transaction) =>
      addBasin(workspaceId, await contents(transaction), transaction),
    )
    this.#jobs.figuresWanted({ workspaceId, designId: currentOf(basin).id }, 'now')
    return answerOf(basin)
  }
}

async function withDesigns(id: string, transaction: Transaction): Promise<Basin> {
  const basin = await findKept(BASINS, id, transaction)
  basin.designs = await Design.findAll({ where: { basinId: id }, transaction })
  return basin
}

function currentOf(basin: Basin): Design {
  const current = basin.designs?.find((design) => design.isCurrent)
  if (!current) throw new Error(`basin ${basin.id} has no current design`)
  return current
}

function answerOf(basin: Basin): BasinAnswer {
  return {
    id: basin.id,
    name: basin.name,
    note: basin.note,
    revision: basin.revision,
    current: designAnswer(currentOf(basin)),
  }
}

/** A stored design as it is sent. */
export function designAnswer(
  row: Pick<Design, 'id' | 'name' | 'revision' | 'savedAt' | 'document' | 'formatVersion'>,
): DesignAnswer {
  return {
    id: row.id,
    name: row.name,
    revision: row.revision,
    savedAt: row.savedAt.toISOString(),
    design: designOf(row),
  }
}
