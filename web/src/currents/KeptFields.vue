<script setup lang="ts">
import { COUNTS } from '@yew-basin/contract/limits'
import { computed, ref } from 'vue'
import TextField from '../bench/TextField.vue'
import BesideFields from './BesideFields.vue'
import { useCurrents } from './currents-store.ts'

/** Fields kept by a name, to be compared with the present one. */
const currents = useCurrents()
const kept = currents.kept
/** null: as it is usually called. */
const name = ref<string | null>(null)
/** A name that is free, by what moves the water. */
const usual = computed(() => {
  const n = currents.scene!.pumps.length
  const begun = n === 1 ? 'One pump' : `${n} pumps`
  const taken = new Set(kept.names)
  for (let i = 1; ; i++) {
    const free = i === 1 ? begun : `${begun} · ${i}`
    if (!taken.has(free)) return free
  }
})
async function keep() {
  const { field, of, apart } = currents
  await kept.keepAs(name.value?.trim() || usual.value, { field: field!, of, apart })
  name.value = null
}
const isBeside = (of: string) => kept.beside.some((field) => field.name === of)
</script>

<template>
  <section v-if="currents.field" aria-labelledby="kept-head" class="space-y-2">
    <h3 id="kept-head" class="heading">Keep it, and compare</h3>
    <div class="flex items-end gap-2">
      <TextField
        class="grow"
        label="What you call this field"
        :most="COUNTS.nameLength"
        :model-value="name ?? usual"
        @update:model-value="name = $event"
      />
      <button class="button shrink-0" :disabled="currents.stale" @click="keep">Keep it</button>
    </div>
    <ul v-if="kept.names.length > 0" class="divide-y divide-rule" aria-label="Kept fields">
      <li v-for="of in kept.names" :key="of" class="flex items-center gap-2 py-1">
        <label class="flex min-w-0 grow items-center gap-2">
          <input type="checkbox" :checked="isBeside(of)" @change="kept.toggle(of)" />
          <span class="min-w-0 break-words">{{ of }}</span>
        </label>
        <button class="button shrink-0" :aria-label="`Drop ${of}`" @click="kept.drop(of)">
          Drop
        </button>
      </li>
    </ul>
    <p v-if="kept.fault" class="text-aril" role="alert">{{ kept.fault }}</p>
    <BesideFields v-if="kept.beside.length > 0" />
  </section>
</template>
