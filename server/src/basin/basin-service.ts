import {
  COUNTS,
  FILE_FORMAT,
  FORMAT_VERSION,
  type BasinAnswer,
  type BasinFile,
  type DesignAnswer,
  type ShelfEntry,
} from '@yew-basin/contract'
import type { Sequelize } from 'sequelize'
import { STARTER_DESIGN } from '../demo/basins.ts'
import { Refusal } from '../http/refusal.ts'
import { Basin } from './basin-model.ts'
import { addBasin, contentsOf, designOf, type NewBasin } from './basin-store.ts'
import { Design } from './design-model.ts'

/** What a keeper does with whole basins. Every call names the workspace; nothing reaches beyond it. */
export class BasinService {
  readonly #sequelize: Sequelize

  constructor(sequelize: Sequelize) {
    this.#sequelize = sequelize
  }

  async shelf(workspaceId: string): Promise<ShelfEntry[]> {
    const basins = await Basin.findAll({
      where: { workspaceId, deletedAt: null },
      include: { model: Design, as: 'designs', where: { isCurrent: true } },
      order: [
        ['createdAt', 'ASC'],
        ['id', 'ASC'],
      ],
    })
    return basins.map((basin) => {
      const current = currentOf(basin)
      return {
        id: basin.id,
        name: basin.name,
        note: basin.note,
        changedAt: current.savedAt.toISOString(),
        design: designOf(current),
      }
    })
  }

  async open(workspaceId: string, id: string): Promise<BasinAnswer> {
    return answerOf(await this.#find(workspaceId, id))
  }

  create(workspaceId: string, name: string): Promise<BasinAnswer> {
    const design = { name: 'first design', current: true, design: STARTER_DESIGN }
    return this.#add(workspaceId, { name, note: '', designs: [design] })
  }

  bringIn(workspaceId: string, file: BasinFile): Promise<BasinAnswer> {
    return this.#add(workspaceId, file)
  }

  async duplicate(workspaceId: string, id: string): Promise<BasinAnswer> {
    const basin = await this.#find(workspaceId, id)
    const name = `${basin.name} copy`.slice(0, COUNTS.nameLength)
    return this.#add(workspaceId, { ...contentsOf(basin), name })
  }

  async rename(workspaceId: string, id: string, name: string): Promise<BasinAnswer> {
    const basin = await this.#find(workspaceId, id)
    await basin.update({ name })
    return answerOf(basin)
  }

  async remove(workspaceId: string, id: string): Promise<void> {
    const basin = await this.#find(workspaceId, id)
    await basin.update({ deletedAt: new Date() })
  }

  /** Takes a delete back. */
  async restore(workspaceId: string, id: string): Promise<BasinAnswer> {
    const basin = await Basin.findOne({ where: { id, workspaceId }, include: 'designs' })
    if (!basin) throw noBasin()
    await basin.update({ deletedAt: null })
    return answerOf(basin)
  }

  async file(workspaceId: string, id: string): Promise<BasinFile> {
    const contents = contentsOf(await this.#find(workspaceId, id))
    return { format: FILE_FORMAT, formatVersion: FORMAT_VERSION, ...contents } as BasinFile
  }

  async #find(workspaceId: string, id: string): Promise<Basin> {
    const basin = await Basin.findOne({
      where: { id, workspaceId, deletedAt: null },
      include: 'designs',
    })
    if (!basin) throw noBasin()
    return basin
  }

  async #add(workspaceId: string, contents: NewBasin): Promise<BasinAnswer> {
    const { id } = await this.#sequelize.transaction((transaction) =>
      addBasin(workspaceId, contents, transaction),
    )
    return this.open(workspaceId, id)
  }
}

function noBasin(): Refusal {
  return new Refusal('not-found', 'This basin is not in your workspace, or was deleted.')
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
    current: designAnswer(currentOf(basin)),
  }
}

/** A stored design as it is sent. */
export function designAnswer(row: Design): DesignAnswer {
  return {
    id: row.id,
    name: row.name,
    revision: row.revision,
    savedAt: row.savedAt.toISOString(),
    design: designOf(row),
  }
}
