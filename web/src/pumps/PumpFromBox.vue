<script setup lang="ts">
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import type { PumpPart } from '@yew-basin/core'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import BoxNumbers from '../parts/BoxNumbers.vue'
import { boxFaults, newPump } from '../parts/new-pump.ts'
import { useParts } from '../parts/parts-store.ts'
import { useNotices } from '../shell/notices.ts'

/** A pump that no list has, by the numbers on its box. */
const { outletBoreM } = defineProps<{ outletBoreM: number }>()
const emit = defineEmits<{ made: [part: PumpPart] }>()
const shelf = useParts()
const notices = useNotices()
const form = useTemplateRef<HTMLFormElement>('form')
const open = ref(false)
const busy = ref(false)
const part = ref<PumpPart>(newPump())
const faults = ref<readonly string[]>([])
const give = (change: Partial<PumpPart>) => {
  part.value = { ...part.value, ...change }
}
const controllable = computed({
  get: () => part.value.control === 'controllable',
  set: (on) =>
    give(
      on ? { control: 'controllable', leastSpeed: 0.3 } : { control: 'fixed-speed', leastSpeed: 1 },
    ),
})

async function begin() {
  part.value = { ...newPump(), outletBoreM }
  faults.value = []
  open.value = true
  await nextTick()
  form.value?.querySelector('input')?.focus()
}

/** Among the keeper's parts where the server can be reached; in this design in any case. */
async function use() {
  faults.value = boxFaults(part.value)
  if (faults.value.length > 0) return
  const { name } = part.value
  busy.value = true
  try {
    const kept = await shelf.keep(
      { id: null, revision: 0 },
      { kind: 'pump', name, spec: part.value },
    )
    emit(
      'made',
      shelf.pumps.find(({ id }) => id === kept.id)!,
    )
    notices.tell(`${name} runs here, and is among your parts.`)
  } catch (error) {
    emit('made', { ...part.value, id: crypto.randomUUID() })
    notices.tell(`${name} runs here, but is not among your parts: ${(error as Error).message}`, {
      tone: 'bad',
    })
  } finally {
    busy.value = false
    open.value = false
  }
}
</script>

<template>
  <div>
    <button v-if="!open" class="button mt-2" @click="begin">Not listed? Type its box</button>
    <form
      v-else
      ref="form"
      class="mt-2 space-y-2 rounded-lg border border-rule bg-sheet p-3"
      aria-label="A pump from its box"
      @submit.prevent="use"
      @keydown.esc="open = false"
    >
      <BoxNumbers :numbers="part" @given="give" />
      <div class="grid grid-cols-[1fr_7rem] gap-x-3">
        <TextField
          label="What you call it"
          :most="COUNTS.nameLength"
          :model-value="part.name"
          @update:model-value="give({ name: $event })"
        />
        <QuantityField
          label="Outlet’s bore"
          :limit="LIMITS.bore"
          :model-value="part.outletBoreM"
          @update:model-value="give({ outletBoreM: $event })"
        />
      </div>
      <label class="flex items-center gap-2">
        <input v-model="controllable" type="checkbox" /> its speed is set by a controller
      </label>
      <p class="caption">
        Between the two numbers its curve is a guess, so its band is wide. A curve can be given in
        Parts.
      </p>
      <ul v-if="faults.length > 0" class="text-aril" role="alert">
        <li v-for="fault in faults" :key="fault">{{ fault }}</li>
      </ul>
      <div class="flex gap-2">
        <button type="submit" class="button button-main" :disabled="busy">Use it here</button>
        <button type="button" class="button" @click="open = false">Leave it</button>
      </div>
    </form>
  </div>
</template>
