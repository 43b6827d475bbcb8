import { packField, type PackedField, unpackField, type Field } from '@yew-basin/core'
import { ref, shallowRef } from 'vue'
import { fieldsApi } from '../api/basins.ts'
import { useNotices } from '../shell/notices.ts'

/** A kept field that is looked at beside the present one. */
export interface BesideField {
  readonly name: string
  readonly field: Field
}

/** The fields that a keeper keeps of a tank by a name, and those of them that stand beside the present one. */
export function useKeptFields(
  place: () => { readonly designId: string; readonly tankId: string } | null,
) {
  const notices = useNotices()
  const names = ref<readonly string[]>([])
  const beside = shallowRef<readonly BesideField[]>([])
  const fault = ref('')

  /** Says what went wrong; what was there stays. */
  async function tried(work: (designId: string, tankId: string) => Promise<void>): Promise<void> {
    const at = place()
    if (!at) return
    fault.value = ''
    try {
      await work(at.designId, at.tankId)
    } catch (error) {
      fault.value = (error as Error).message
    }
  }

  const list = () =>
    tried(async (designId, tankId) => {
      names.value = []
      beside.value = []
      const { kept } = await fieldsApi.kept(designId, tankId)
      names.value = kept.map(({ name }) => name)
    })

  const keepAs = (name: string, packed: PackedField) =>
    tried(async (designId, tankId) => {
      await fieldsApi.keepAs(designId, tankId, name, packField(packed))
      names.value = [name, ...names.value.filter((other) => other !== name)]
      beside.value = beside.value.filter((other) => other.name !== name)
    })

  const toggle = (name: string) =>
    tried(async (designId, tankId) => {
      if (beside.value.some((other) => other.name === name)) {
        beside.value = beside.value.filter((other) => other.name !== name)
        return
      }
      const bytes = await fieldsApi.readKept(designId, tankId, name)
      const packed = bytes ? unpackField(bytes) : null
      if (packed)
        beside.value = [...beside.value, { name, field: packed.field }].slice(-MOST_BESIDE)
    })

  /** Dropped, and put back by one press. */
  const drop = (name: string) =>
    tried(async (designId, tankId) => {
      const bytes = await fieldsApi.readKept(designId, tankId, name)
      await fieldsApi.dropKept(designId, tankId, name)
      names.value = names.value.filter((other) => other !== name)
      beside.value = beside.value.filter((other) => other.name !== name)
      if (!bytes) return
      const run = () =>
        tried(async () => {
          await fieldsApi.keepAs(designId, tankId, name, bytes)
          names.value = [...names.value, name]
        })
      notices.tell(`“${name}” is kept no more.`, { action: { label: 'Undo', run } })
    })

  return { names, beside, fault, list, keepAs, toggle, drop }
}

/** So many stand beside the present one before a column is too narrow to be read. */
const MOST_BESIDE = 2
