import type { ShelfEntry, ShelfPage } from '@yew-basin/contract'
import { QueryTypes, type Transaction } from 'sequelize'
import type { Access } from '../db/access.ts'
import { Refusal } from '../http/refusal.ts'
import { CORE_VERSION } from '../job/core-version.ts'
import type { Jobs } from '../job/jobs.ts'
import { Basin } from './basin-model.ts'

/** Cards sent at once: about 100 kB. */
const PAGE = 500

interface Card {
  readonly id: string
  readonly name: string
  readonly note: string
  readonly revision: number
  readonly designId: string
  readonly savedAt: Date
  readonly figures: ShelfEntry['figures']
  readonly current: boolean
  readonly place: string
}

/** A page of the shelf, without any document. Figures that are not of the design as it is are wanted from the queue. */
export async function shelfPage(
  access: Access,
  jobs: Jobs,
  after: string | null,
): Promise<ShelfPage> {
  const cards = await access.within((transaction) => cardsAfter(placeOf(after), transaction))
  for (const { designId, current } of cards) {
    if (!current) jobs.figuresWanted({ workspaceId: access.workspaceId, designId }, 'now')
  }
  const last = cards.length === PAGE ? cards[PAGE - 1] : undefined
  return { entries: cards.map(entryOf), next: last?.place ?? null }
}

/** `createdAt id` of the last card seen: stays right while others come and go. */
function placeOf(after: string | null): readonly [string, string] {
  if (after === null) return ['-infinity', '00000000-0000-0000-0000-000000000000']
  const [, at, id] = /^(\d{1,16})~([0-9a-f-]{36})$/.exec(after) ?? []
  if (at && id && /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(id)) {
    return [new Date(Number(at) / 1000).toISOString().replace(/\.\d+Z$/, `.${at.slice(-6)}Z`), id]
  }
  throw new Refusal('not-found', 'That is no place on the shelf.')
}

function cardsAfter(
  [at, id]: readonly [string, string],
  transaction: Transaction,
): Promise<Card[]> {
  return Basin.sequelize!.query<Card>(
    `SELECT b.id, b.name, b.note, b.revision, d.id AS "designId", d.saved_at AS "savedAt",
       d.shelf_figures AS figures,
       coalesce(d.figures_revision = d.revision AND d.figures_core = :core, false) AS current,
       (extract(epoch FROM b.created_at) * 1000000)::bigint || '~' || b.id AS place
     FROM basins b JOIN designs d ON d.basin_id = b.id AND d.is_current
     WHERE b.deleted_at IS NULL AND (b.created_at, b.id) > (CAST(:at AS timestamptz), CAST(:id AS uuid))
     ORDER BY b.created_at, b.id LIMIT :most`,
    {
      replacements: { core: CORE_VERSION, at, id, most: PAGE },
      type: QueryTypes.SELECT,
      transaction,
    },
  )
}

function entryOf({ savedAt, figures, current, ...card }: Card): ShelfEntry {
  const { id, name, note, revision } = card
  const changedAt = savedAt.toISOString()
  return { id, name, note, revision, changedAt, figures, figuresCurrent: current }
}
