import { COUNTS, type ShoppingAnswer, type ShoppingEntry } from '@yew-basin/contract'
import { Op, type Transaction } from 'sequelize'
import { Basin } from '../basin/basin-model.ts'
import type { Access } from '../db/access.ts'
import { Refusal } from '../http/refusal.ts'
import { ShoppingLine } from './shopping-model.ts'

/** What a keeper knows of the lines of a basin's list. */
export const shopping = {
  read: (access: Access, basinId: string): Promise<ShoppingAnswer> =>
    access.within(async (transaction) => {
      await findBasin(basinId, transaction)
      return answer(basinId, transaction)
    }),

  /** Takes over what was changed later than what is known; a phone that was away brings its own times. */
  merge: (
    access: Access,
    basinId: string,
    entries: readonly ShoppingEntry[],
  ): Promise<ShoppingAnswer> =>
    access.within(async (transaction) => {
      await findBasin(basinId, transaction)
      await roomFor(basinId, entries, transaction)
      const known = await ShoppingLine.findAll({
        where: { basinId, key: entries.map(({ key }) => key) },
        transaction,
      })
      const later = entries.filter(({ key, changedAt }) => {
        const before = known.find((line) => line.key === key)
        return !before || before.changedAt.getTime() <= Date.parse(changedAt)
      })
      for (const { key, have, price, tickedAt, tickedBy, changedAt } of later)
        await ShoppingLine.upsert(
          {
            basinId,
            workspaceId: access.workspaceId,
            key,
            have,
            price,
            tickedAt: tickedAt === null ? null : new Date(tickedAt),
            tickedBy,
            changedAt: notAfter(changedAt, new Date()),
          },
          { transaction },
        )
      return answer(basinId, transaction)
    }),
}

/** A device whose clock is ahead must not win against all that comes after. */
function notAfter(time: string, now: Date): Date {
  const given = new Date(time)
  return given > now ? now : given
}

async function findBasin(id: string, transaction: Transaction): Promise<void> {
  const basin = await Basin.findOne({ where: { id, deletedAt: null }, transaction })
  if (!basin) throw new Refusal('not-found', 'There is no such basin.')
}

async function roomFor(
  basinId: string,
  entries: readonly ShoppingEntry[],
  transaction: Transaction,
): Promise<void> {
  const others = await ShoppingLine.count({
    where: { basinId, key: { [Op.notIn]: entries.map(({ key }) => key) } },
    transaction,
  })
  if (others + entries.length > COUNTS.shoppingLines)
    throw new Refusal('invalid', 'This list is too long.', {
      faults: [{ path: 'entries', message: `a basin keeps at most ${COUNTS.shoppingLines} lines` }],
    })
}

async function answer(basinId: string, transaction: Transaction): Promise<ShoppingAnswer> {
  const lines = await ShoppingLine.findAll({
    where: { basinId },
    order: [['key', 'ASC']],
    transaction,
  })
  return {
    entries: lines.map(({ key, have, price, tickedAt, tickedBy, changedAt }) => ({
      key,
      have,
      price,
      tickedAt: tickedAt?.toISOString() ?? null,
      tickedBy,
      changedAt: changedAt.toISOString(),
    })),
  }
}
