import type { PartAnswer, PartKind } from '@yew-basin/contract'
import type { Sequelize } from 'sequelize'
import { Refusal } from '../http/refusal.ts'
import { OwnPart } from './own-part-model.ts'
import { Part } from './part-model.ts'

/** Own parts a workspace may keep. */
const MOST_OWN_PARTS = 500

/** What is sent to be kept. */
export interface SentPart {
  readonly kind: PartKind
  readonly name: string
  readonly spec: object
}

/** The sample library and a workspace's own parts. Every call names the workspace; nothing reaches beyond it. */
export class PartService {
  readonly #sequelize: Sequelize

  constructor(sequelize: Sequelize) {
    this.#sequelize = sequelize
  }

  async all(workspaceId: string): Promise<PartAnswer[]> {
    const samples = await Part.findAll({
      order: [
        ['kind', 'ASC'],
        ['position', 'ASC'],
      ],
    })
    const own = await OwnPart.findAll({
      where: { workspaceId },
      order: [
        ['createdAt', 'ASC'],
        ['id', 'ASC'],
      ],
    })
    return [
      ...own.map(ownAnswer),
      ...samples.map(({ id, kind, name, spec }) =>
        answer(id, { kind, name, stored: spec, own: false }),
      ),
    ]
  }

  keep(workspaceId: string, sent: SentPart): Promise<PartAnswer> {
    return this.#sequelize.transaction(async (transaction) => {
      const held = await OwnPart.count({ where: { workspaceId }, transaction })
      if (held >= MOST_OWN_PARTS) {
        throw new Refusal(
          'invalid',
          `You keep ${held} parts of your own; ${MOST_OWN_PARTS} is the most.`,
        )
      }
      const part = await OwnPart.create({ workspaceId, ...sent }, { transaction })
      return ownAnswer(part)
    })
  }

  async change(workspaceId: string, id: string, sent: SentPart): Promise<PartAnswer> {
    const part = await this.#find(workspaceId, id)
    if (part.kind !== sent.kind) {
      throw new Refusal('invalid', `It is a ${part.kind} and stays one.`)
    }
    await part.update({ name: sent.name, spec: sent.spec })
    return ownAnswer(part)
  }

  async remove(workspaceId: string, id: string): Promise<void> {
    const part = await this.#find(workspaceId, id)
    await part.destroy()
  }

  async #find(workspaceId: string, id: string): Promise<OwnPart> {
    const part = await OwnPart.findOne({ where: { workspaceId, id } })
    if (!part) throw new Refusal('not-found', 'This part is not among your own.')
    return part
  }
}

function ownAnswer({ id, kind, name, spec }: OwnPart): PartAnswer {
  return answer(id, { kind, name, stored: spec, own: true })
}

/** A pump is known in designs by its part's id and name. */
function answer(
  id: string,
  {
    kind,
    name,
    stored,
    own,
  }: {
    readonly kind: PartKind
    readonly name: string
    readonly stored: object
    readonly own: boolean
  },
): PartAnswer {
  const spec = kind === 'pump' ? { ...stored, id, name } : stored
  return { id, kind, name, own, spec } as PartAnswer
}
