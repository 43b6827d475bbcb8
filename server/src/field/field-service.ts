import { packedFieldFault } from '@yew-basin/core'
import { Basin } from '../basin/basin-model.ts'
import { designOf } from '../basin/basin-store.ts'
import { Design } from '../basin/design-model.ts'
import { Refusal } from '../http/refusal.ts'
import { StoredField } from './field-model.ts'

/** Keeps the last field of each tank of a workspace's designs. */
export class FieldService {
  async read(workspaceId: string, designId: string, tankId: string): Promise<Buffer | null> {
    await this.#find(workspaceId, designId, tankId)
    const row = await StoredField.findOne({ where: { designId, tankId } })
    return row?.bytes ?? null
  }

  async keep(workspaceId: string, designId: string, tankId: string, bytes: Buffer): Promise<void> {
    await this.#find(workspaceId, designId, tankId)
    const message = packedFieldFault(bytes)
    if (message !== null)
      throw new Refusal('invalid', 'What was sent is no field.', {
        faults: [{ path: '', message }],
      })
    await StoredField.upsert({ designId, tankId, bytes, madeAt: new Date() })
  }

  /** The design must be this workspace's, and have the tank. */
  async #find(workspaceId: string, id: string, tankId: string): Promise<void> {
    const design = await Design.findOne({
      where: { id },
      include: { model: Basin, as: 'basin', where: { workspaceId, deletedAt: null } },
    })
    if (!design) throw new Refusal('not-found', 'This design is not in your workspace.')
    if (!designOf(design).tanks.some((tank) => tank.id === tankId))
      throw new Refusal('not-found', 'This design, as it is saved, has no such tank.')
  }
}
