import { FORMAT_VERSION, type DesignAnswer, type RevisionAnswer } from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import { Op, type Sequelize } from 'sequelize'
import { Refusal } from '../http/refusal.ts'
import { Basin } from './basin-model.ts'
import { designAnswer } from './basin-service.ts'
import { designOf, keepRevision } from './basin-store.ts'
import { Design } from './design-model.ts'
import { Revision } from './revision-model.ts'
import { thinRevisions } from './thin-revisions.ts'

/** Every so many saves the old revisions are thinned. */
const THIN_EVERY = 50

/** Reads and saves one design of a workspace. */
export class DesignService {
  readonly #sequelize: Sequelize

  constructor(sequelize: Sequelize) {
    this.#sequelize = sequelize
  }

  async open(workspaceId: string, id: string): Promise<DesignAnswer> {
    return designAnswer(await this.#find(workspaceId, id))
  }

  /** Saves over the revision that was changed; if another stands there now, refuses and shows it. */
  async save(
    workspaceId: string,
    id: string,
    changed: number,
    design: BasinDesign,
  ): Promise<DesignAnswer> {
    await this.#find(workspaceId, id)
    const saved = await this.#sequelize.transaction(async (transaction) => {
      const [, rows] = await Design.update(
        {
          document: design,
          formatVersion: FORMAT_VERSION,
          revision: changed + 1,
          savedAt: new Date(),
        },
        { where: { id, revision: changed }, returning: true, transaction },
      )
      const row = rows[0]
      if (row) await keepRevision(row, transaction)
      return row
    })
    if (!saved) {
      const current = await this.open(workspaceId, id)
      throw new Refusal(
        'revision-moved',
        `You changed revision ${changed}; it is at ${current.revision} now.`,
        { current },
      )
    }
    if (saved.revision % THIN_EVERY === 0) await thinRevisions(this.#sequelize, id)
    return designAnswer(saved)
  }

  /** The newest kept state older than a revision, so that undo outlives the session. */
  async before(workspaceId: string, id: string, revision: number): Promise<RevisionAnswer> {
    await this.#find(workspaceId, id)
    const row = await Revision.findOne({
      where: { designId: id, revision: { [Op.lt]: revision } },
      order: [['revision', 'DESC']],
    })
    if (!row) throw new Refusal('not-found', `Nothing is kept from before revision ${revision}.`)
    return {
      revision: row.revision,
      savedAt: row.savedAt.toISOString(),
      design: designOf(row),
    }
  }

  async #find(workspaceId: string, id: string): Promise<Design> {
    const design = await Design.findOne({
      where: { id },
      include: { model: Basin, as: 'basin', where: { workspaceId, deletedAt: null } },
    })
    if (!design) throw new Refusal('not-found', 'This design is not in your workspace.')
    return design
  }
}
