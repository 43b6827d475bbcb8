import { BIN_DAYS, type BinAnswer, type BinEntry } from '@yew-basin/contract'
import { Op, type ModelStatic, type Transaction } from 'sequelize'
import { Basin } from '../basin/basin-model.ts'
import type { Access } from '../db/access.ts'
import { OwnPart } from '../part/own-part-model.ts'

const DAY_MS = 86_400_000
/** So many of a kind are shown; the rest appears when these are gone. */
const MOST_SHOWN = 200

/** What a deleted row must have to be shown. */
interface Deleted {
  readonly id: string
  readonly name: string
  readonly deletedAt: Date | null
}

/** The things that go to the bin: whatever is kept later joins here. */
const THINGS: readonly (readonly [BinEntry['thing'], ModelStatic<Basin> | ModelStatic<OwnPart>])[] =
  [
    ['basin', Basin],
    ['part', OwnPart],
  ]

/** What was deleted and can be had back. */
export const bin = {
  all: (access: Access): Promise<BinAnswer> =>
    access.within(async (transaction) => {
      const lists = []
      for (const [thing, model] of THINGS)
        lists.push((await deletedOf(model, transaction)).map((row) => entryOf(thing, row)))
      const entries = lists.flat().sort((a, b) => b.deletedAt.localeCompare(a.deletedAt))
      return { entries }
    }),

  /** Everything in it, for good: by a function of the database that takes what lies there and nothing else. */
  empty: async (access: Access): Promise<void> => {
    await access.call('SELECT empty_bin($1)', [])
  },
}

async function deletedOf(
  model: ModelStatic<Basin> | ModelStatic<OwnPart>,
  transaction: Transaction,
): Promise<Deleted[]> {
  return (model as ModelStatic<Basin>).findAll({
    attributes: ['id', 'name', 'deletedAt'],
    where: { deletedAt: { [Op.ne]: null } },
    order: [['deletedAt', 'DESC']],
    limit: MOST_SHOWN,
    transaction,
  })
}

function entryOf(thing: BinEntry['thing'], { id, name, deletedAt }: Deleted): BinEntry {
  const at = deletedAt!.getTime()
  const goneAt = new Date(at + BIN_DAYS * DAY_MS).toISOString()
  return { thing, id, name, deletedAt: new Date(at).toISOString(), goneAt }
}
