import { packedFieldFault } from '@yew-basin/core'
import { COUNTS, type KeptFieldsAnswer } from '@yew-basin/contract'
import { Op, type Transaction } from 'sequelize'
import { designOf } from '../basin/basin-store.ts'
import { findDesign } from '../basin/design-service.ts'
import type { Access } from '../db/access.ts'
import { Refusal } from '../http/refusal.ts'
import { StoredField } from './field-model.ts'

/** A field of a tank of a design. */
export interface FieldPlace {
  readonly designId: string
  readonly tankId: string
  /** Empty: the last one that was run. */
  readonly name: string
}

/** Keeps the last field of each tank of a workspace's designs, and some by a name. */
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
      await roomFor(place, transaction)
      const { workspaceId } = access
      await StoredField.upsert(
        { ...place, workspaceId, bytes, madeAt: new Date() },
        { transaction },
      )
    })
  },

  /** What is kept of a tank by a name, the latest first. */
  kept: (access: Access, { designId, tankId }: FieldPlace): Promise<KeptFieldsAnswer> =>
    access.within(async (transaction) => {
      await findPlace({ designId, tankId }, transaction)
      const rows = await StoredField.findAll({
        attributes: ['name', 'madeAt'],
        where: { designId, tankId, name: { [Op.ne]: '' } },
        order: [['madeAt', 'DESC']],
        transaction,
      })
      return { kept: rows.map(({ name, madeAt }) => ({ name, madeAt: madeAt.toISOString() })) }
    }),

  drop: (access: Access, place: FieldPlace): Promise<void> =>
    access.within(async (transaction) => {
      await findPlace(place, transaction)
      const gone = await StoredField.destroy({ where: { ...place }, transaction })
      if (gone === 0) throw new Refusal('not-found', 'No field is kept by that name.')
    }),
}

/** A few of each tank, so that they can be told apart beside each other. */
async function roomFor(place: FieldPlace, transaction: Transaction): Promise<void> {
  if (place.name === '') return
  const { designId, tankId, name } = place
  if (name.trim() === '' || name.length > COUNTS.nameLength)
    throw new Refusal('invalid', 'What was sent has no usable name.', {
      faults: [{ path: 'name', message: `must have 1 to ${COUNTS.nameLength} characters` }],
    })
  const others = await StoredField.count({
    where: { designId, tankId, name: { [Op.notIn]: ['', name] } },
    transaction,
  })
  if (others >= COUNTS.keptFields)
    throw new Refusal('invalid', 'No more fields can be kept of this tank.', {
      faults: [{ path: 'name', message: `at most ${COUNTS.keptFields} are kept: drop one first` }],
    })
}

/** The design must be there, and have the tank. */
async function findPlace(
  { designId, tankId }: Omit<FieldPlace, 'name'>,
  transaction: Transaction,
): Promise<void> {
  const design = designOf(await findDesign(designId, transaction))
  if (!design.tanks.some((tank) => tank.id === tankId))
    throw new Refusal('not-found', 'This design, as it is saved, has no such tank.')
}
