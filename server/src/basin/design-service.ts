import {
  FORMAT_VERSION,
  type DesignAnswer,
  type RevisionAnswer,
  type SavedAnswer,
} from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import { Op, type Transaction } from 'sequelize'
import type { Access } from '../db/access.ts'
import { Refusal } from '../http/refusal.ts'
import type { Jobs } from '../job/jobs.ts'
import { Basin } from './basin-model.ts'
import { designAnswer } from './basin-service.ts'
import { designOf } from './basin-store.ts'
import { Design } from './design-model.ts'
import { Revision } from './revision-model.ts'

/** Every so many saves the old revisions are thinned. */
const THIN_EVERY = 50

/** What `save_design` answers: the new state, or what stands there instead. */
interface SaveRow {
  readonly saved: boolean
  readonly name: string
  readonly revision: number
  readonly saved_at: Date
  readonly format_version: number
  readonly document: object
}

/** Reads and saves one design of a workspace. */
export class DesignService {
  readonly #jobs: Jobs

  constructor(jobs: Jobs) {
    this.#jobs = jobs
  }

  open(access: Access, id: string): Promise<DesignAnswer> {
    return access.within(async (transaction) => designAnswer(await findDesign(id, transaction)))
  }

  /** Saves over the revision that was changed; if another stands there now, refuses and shows it. */
  async save(
    access: Access,
    { id, changed }: { readonly id: string; readonly changed: number },
    design: BasinDesign,
  ): Promise<SavedAnswer> {
    const [row] = await access.call<SaveRow>('SELECT * FROM save_design($1, $2, $3, $4, $5)', [
      id,
      changed,
      FORMAT_VERSION,
      JSON.stringify(design),
    ])
    if (!row) throw noDesign()
    if (!row.saved) throw moved(changed, id, row)
    const job = { workspaceId: access.workspaceId, designId: id }
    this.#jobs.figuresWanted(job, 'later')
    if (row.revision % THIN_EVERY === 0) this.#jobs.thinningWanted(job)
    return { id, revision: row.revision, savedAt: row.saved_at.toISOString() }
  }

  /** The newest kept state older than a revision, so that undo outlives the session. */
  before(access: Access, id: string, revision: number): Promise<RevisionAnswer> {
    return access.within(async (transaction) => {
      await findDesign(id, transaction)
      const row = await Revision.findOne({
        where: { designId: id, revision: { [Op.lt]: revision } },
        order: [['revision', 'DESC']],
        transaction,
      })
      if (!row) throw new Refusal('not-found', `Nothing is kept from before revision ${revision}.`)
      return {
        revision: row.revision,
        savedAt: row.savedAt.toISOString(),
        design: designOf(row),
      }
    })
  }
}

/** A design whose basin is not in the bin. */
export async function findDesign(id: string, transaction: Transaction): Promise<Design> {
  const design = await Design.findOne({
    where: { id },
    include: { model: Basin, as: 'basin', where: { deletedAt: null } },
    transaction,
  })
  if (!design) throw noDesign()
  return design
}

function moved(changed: number, id: string, row: SaveRow): Refusal {
  const { name, revision, saved_at: savedAt, format_version: formatVersion, document } = row
  const current = designAnswer({ id, name, revision, savedAt, formatVersion, document })
  const detail = `You changed revision ${changed}; it is at ${revision} now.`
  return new Refusal('revision-moved', detail, { current })
}

const noDesign = () => new Refusal('not-found', 'This design is not in your workspace.')
