import { packedFieldFault } from '@yew-basin/core'
import type { Transaction } from 'sequelize'
import { designOf } from '../basin/basin-store.ts'
import { findDesign } from '../basin/design-service.ts'
import type { Access } from '../db/access.ts'
import { Refusal } from '../http/refusal.ts'
import { StoredField } from './field-model.ts'

/** A tank of a design. */
export interface FieldPlace {
  readonly designId: string
  readonly tankId: string
}

/** Keeps the last field of each tank of a workspace's designs. */
export const fields = {
  read: (access: Access, place: FieldPlace): Promise<Buffer | null> =>
    access.within(async (transaction) => {
      await findPlace(place, transaction)
      const row = await StoredField.findOne({ where: { ...place }, transaction })
      return row?.bytes ?? null
    }),

  keep: async (access: Access, place: FieldPlace, bytes: Buffer): Promise<void> => {
    const message = packedFieldFault(bytes)
    if (message !== null)
      throw new Refusal('invalid', 'What was sent is no field.', {
        faults: [{ path: '', message }],
      })
    await access.within(async (transaction) => {
      await findPlace(place, transaction)
      const { workspaceId } = access
      await StoredField.upsert(
        { ...place, workspaceId, bytes, madeAt: new Date() },
        { transaction },
      )
    })
  },
}

/** The design must be there, and have the tank. */
async function findPlace(
  { designId, tankId }: FieldPlace,
  transaction: Transaction,
): Promise<void> {
  const design = designOf(await findDesign(designId, transaction))
  if (!design.tanks.some((tank) => tank.id === tankId))
    throw new Refusal('not-found', 'This design, as it is saved, has no such tank.')
}
