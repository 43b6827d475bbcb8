import type { PartAnswer, PartKind } from '@yew-basin/contract'
import type { Transaction } from 'sequelize'
import type { Access } from '../db/access.ts'
import { changeKept, findKept, restoreKept, type KeptTable } from '../db/kept.ts'
import { Refusal } from '../http/refusal.ts'
import { OwnPart } from './own-part-model.ts'
import { Part } from './part-model.ts'

/** What is sent to be kept. */
export interface SentPart {
  readonly kind: PartKind
  readonly name: string
  readonly spec: object
}

type Seen = { readonly id: string; readonly changed: number }

/** A keeper's own parts among the things that are kept. */
export const OWN_PARTS: KeptTable<OwnPart> = { model: OwnPart, words: 'part', sent: ownAnswer }

/** The sample library and a workspace's own parts. */
export const parts = {
  all: (access: Access): Promise<PartAnswer[]> =>
    access.within(async (transaction) => [
      ...(await ownOnes(transaction)).map(ownAnswer),
      ...(await samples(transaction)).map(({ id, kind, name, spec }) =>
        answer({ id, kind, name, spec, own: false, revision: 0 }),
      ),
    ]),

  keep: (access: Access, sent: SentPart): Promise<PartAnswer> =>
    access.within(async (transaction) =>
      ownAnswer(
        await OwnPart.create({ workspaceId: access.workspaceId, ...sent }, { transaction }),
      ),
    ),

  change: (access: Access, seen: Seen, { kind, name, spec }: SentPart): Promise<PartAnswer> =>
    access.within(async (transaction) => {
      const part = await findKept(OWN_PARTS, seen.id, transaction)
      if (part.kind !== kind) {
        throw new Refusal('invalid', `It is a ${part.kind} and stays one.`)
      }
      return ownAnswer(await changeKept(OWN_PARTS, seen, { name, spec }, transaction))
    }),

  /** Into the bin. */
  remove: (access: Access, seen: Seen): Promise<void> =>
    access.within(async (transaction) => {
      await changeKept(OWN_PARTS, seen, { deletedAt: new Date() }, transaction)
    }),

  restore: (access: Access, id: string): Promise<PartAnswer> =>
    access.within(async (transaction) => {
      await restoreKept(OWN_PARTS, id, transaction)
      return ownAnswer(await findKept(OWN_PARTS, id, transaction))
    }),
}

const ownOnes = (transaction: Transaction) =>
  OwnPart.findAll({
    where: { deletedAt: null },
    order: [
      ['createdAt', 'ASC'],
      ['id', 'ASC'],
    ],
    transaction,
  })

const samples = (transaction: Transaction) =>
  Part.findAll({
    order: [
      ['kind', 'ASC'],
      ['position', 'ASC'],
    ],
    transaction,
  })

function ownAnswer({ id, kind, name, spec, revision }: OwnPart): PartAnswer {
  return answer({ id, kind, name, spec, own: true, revision })
}

interface Shown {
  readonly id: string
  readonly kind: PartKind
  readonly name: string
  readonly spec: object
  readonly own: boolean
  readonly revision: number
}

/** A pump is known in designs by its part's id and name; one that was kept before its size could be has none. */
function answer({ spec, ...shown }: Shown): PartAnswer {
  const { id, kind, name } = shown
  return {
    ...shown,
    spec: kind === 'pump' ? { size: null, ...spec, id, name } : spec,
  } as PartAnswer
}
