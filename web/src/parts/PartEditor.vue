<script setup lang="ts">
import type { BulkheadSpec, FittingSpec, NozzleSpec, ValveSpec } from '@yew-basin/contract'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import type { CirculationPart, DevicePart, PipeSize, PumpPart } from '@yew-basin/core'
import type { PartAnswer } from '@yew-basin/contract'
import { ref, shallowRef, watch } from 'vue'
import { Refused } from '../api/client.ts'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import PipeSizePicker from '../run/PipeSizePicker.vue'
import { VALVE_FORMS } from '../run/piece-words.ts'
import { useNotices } from '../shell/notices.ts'
import { boxFaults } from './new-pump.ts'
import { isDevice, type PartDraft } from './part-words.ts'
import PartConflict from './PartConflict.vue'
import { usePartDrafts } from './part-drafts.ts'
import { useParts } from './parts-store.ts'
import PumpEditor from './PumpEditor.vue'
import CirculationEditor from './CirculationEditor.vue'
import DeviceEditor from './DeviceEditor.vue'

/** One part of the keeper's own while it is being changed. */
const { draft } = defineProps<{ draft: PartDraft }>()
const emit = defineEmits<{ done: [] }>()
const store = useParts()
const notices = useNotices()
const drafts = usePartDrafts()
const name = ref(draft.name)
const spec = shallowRef<object>(draft.spec)
const faults = ref<readonly string[]>([])
const busy = ref(false)
/** What another tab kept meanwhile. */
const theirs = shallowRef<PartAnswer | null>(null)
watch([name, spec], () => {
  drafts.change({ name: name.value, spec: spec.value as PartAnswer['spec'] })
})
const give = (change: object) => {
  spec.value = { ...spec.value, ...change }
}

/** @param id null: as a part of its own */
async function keep(over = draft.revision, id = draft.id) {
  // What is not there yet is said here; what is there and cannot be, the server says.
  faults.value = draft.kind === 'pump' ? boxFaults(spec.value as PumpPart, name.value) : []
  if (faults.value.length > 0) return
  busy.value = true
  try {
    const named = draft.kind === 'pump' || draft.kind === 'circulation' || isDevice(draft.kind)
    const sent = named ? { ...spec.value, id: 'own', name: name.value } : spec.value
    const kept = await store.keep(
      { id, revision: over },
      { kind: draft.kind, name: name.value, spec: sent },
    )
    notices.tell(
      `${name.value} is among your parts.`,
      id === null ? {} : { action: { label: 'Undo', run: () => store.undo(kept) } },
    )
    emit('done')
  } catch (error) {
    const problem = error instanceof Refused ? error.problem : null
    if (problem?.code === 'revision-moved') {
      theirs.value = problem.current as PartAnswer
      return
    }
    faults.value = problem?.faults?.map(({ path, message }) => `${path} ${message}`) ?? [
      (error as Error).message,
    ]
  } finally {
    busy.value = false
  }
}

function keepMine() {
  const { revision } = theirs.value!
  theirs.value = null
  drafts.change({ revision })
  void keep(revision)
}
async function keepBoth() {
  store.put(theirs.value!)
  theirs.value = null
  await keep(0, null)
}
function takeTheirs() {
  store.put(theirs.value!)
  theirs.value = null
  emit('done')
}
</script>

<template>
  <section class="space-y-3" aria-labelledby="part-heading">
    <h2 id="part-heading" class="text-xl font-semibold">Change the part</h2>
    <TextField v-model="name" label="Name of the part" :most="COUNTS.nameLength" />
    <PumpEditor
      v-if="draft.kind === 'pump'"
      :model-value="spec as PumpPart"
      @update:model-value="spec = $event"
    />
    <CirculationEditor
      v-else-if="draft.kind === 'circulation'"
      :model-value="spec as CirculationPart"
      @update:model-value="spec = $event"
    />
    <DeviceEditor
      v-else-if="isDevice(draft.kind)"
      :model-value="spec as DevicePart"
      @update:model-value="spec = $event"
    />
    <PipeSizePicker
      v-else-if="draft.kind === 'pipe' || draft.kind === 'hose'"
      :name="draft.kind === 'pipe' ? 'Pipe' : 'Hose'"
      :only="draft.kind"
      :model-value="spec as PipeSize"
      @update:model-value="spec = $event"
    />
    <QuantityField
      v-else-if="draft.kind === 'fitting'"
      label="K on the bore of its line"
      :limit="LIMITS.loss"
      :model-value="(spec as FittingSpec).k"
      @update:model-value="give({ k: $event })"
    />
    <div v-else-if="draft.kind === 'valve'" class="grid grid-cols-2 gap-3">
      <label class="block">
        <span class="caption">Form</span>
        <select
          class="box"
          :value="(spec as ValveSpec).form"
          @change="give({ form: ($event.target as HTMLSelectElement).value })"
        >
          <option v-for="{ value, label } in VALVE_FORMS" :key="value" :value="value">
            {{ label }}
          </option>
        </select>
      </label>
      <QuantityField
        label="Coefficient, open"
        :limit="LIMITS.kv"
        :model-value="(spec as ValveSpec).kvM3PerH"
        @update:model-value="give({ kvM3PerH: $event })"
      />
    </div>
    <div v-else-if="draft.kind === 'bulkhead'" class="grid grid-cols-3 gap-3">
      <QuantityField
        label="Its bore"
        :limit="LIMITS.bore"
        :model-value="(spec as BulkheadSpec).boreM"
        @update:model-value="give({ boreM: $event })"
      />
      <QuantityField
        label="Hole to drill"
        :limit="LIMITS.drilledHole"
        :model-value="(spec as BulkheadSpec).holeM"
        @update:model-value="give({ holeM: $event })"
      />
      <QuantityField
        label="Across its flange"
        :limit="LIMITS.drilledHole"
        :model-value="(spec as BulkheadSpec).flangeM"
        @update:model-value="give({ flangeM: $event })"
      />
    </div>
    <QuantityField
      v-else
      label="Bore of its mouth"
      :limit="LIMITS.bore"
      :model-value="(spec as NozzleSpec).boreM"
      @update:model-value="give({ boreM: $event })"
    />
    <ul v-if="faults.length > 0" class="text-aril" role="alert">
      <li v-for="fault in faults" :key="fault">{{ fault }}</li>
    </ul>
    <div class="flex gap-2">
      <button class="button button-main" :disabled="busy" @click="keep()">Keep it</button>
      <button class="button" @click="$emit('done')">Leave it</button>
    </div>
    <PartConflict
      v-if="theirs"
      :theirs="theirs"
      :mine="name"
      @mine="keepMine"
      @theirs="takeTheirs"
      @both="keepBoth"
      @close="theirs = null"
    />
  </section>
</template>
