import type { Model, ModelStatic, Transaction, WhereOptions } from 'sequelize'
import { Refusal } from '../http/refusal.ts'

/** A row that a keeper changes: it has a revision, goes to the bin before it goes, and has its history kept. */
export interface KeptRow {
  readonly id: string
  readonly revision: number
  readonly deletedAt: Date | null
}

/** A table of such rows, and what a keeper calls one of them. */
export interface KeptTable<M extends Model & KeptRow> {
  readonly model: ModelStatic<M>
  readonly words: string
  /** As it is sent where somebody else changed it first. */
  readonly sent: (row: M) => unknown
}

/** The living row of that id. */
export async function findKept<M extends Model & KeptRow>(
  { model, words }: KeptTable<M>,
  id: string,
  transaction: Transaction,
): Promise<M> {
  const where = { id, deletedAt: null } as WhereOptions
  const row = await model.findOne({ where, transaction })
  if (!row)
    throw new Refusal('not-found', `This ${words} is not in your workspace, or was deleted.`)
  return row
}

/**
 * Changes what was seen at a revision, and nothing else: another one that stands there meanwhile is shown to whoever
 * came too late. What it was before is kept by the database.
 */
export async function changeKept<M extends Model & KeptRow>(
  table: KeptTable<M>,
  { id, changed }: { readonly id: string; readonly changed: number },
  values: object,
  transaction: Transaction,
): Promise<M> {
  const [, rows] = await table.model.update(
    { ...values, revision: changed + 1 },
    {
      where: { id, revision: changed, deletedAt: null } as WhereOptions,
      returning: true,
      transaction,
    },
  )
  const row = rows[0]
  if (row) return row
  const current = await findKept(table, id, transaction)
  throw new Refusal(
    'revision-moved',
    `You changed revision ${changed}; it is at ${current.revision} now.`,
    { current: table.sent(current) },
  )
}

/** Takes a deleted row out of the bin. */
export async function restoreKept<M extends Model & KeptRow>(
  { model, words }: KeptTable<M>,
  id: string,
  transaction: Transaction,
): Promise<void> {
  const [count] = await model.update(
    { deletedAt: null },
    {
      where: { id } as WhereOptions,
      transaction,
    },
  )
  if (count === 0) throw new Refusal('not-found', `This ${words} is no longer in the bin.`)
}
