<script setup lang="ts">
import { ref, watch } from 'vue'
import { basinsApi } from '../api/basins.ts'
import { Refused } from '../api/client.ts'
import ModalPanel from '../shell/ModalPanel.vue'

const { open } = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: []; done: [id: string] }>()

/** What the server takes; a basin is a few kilobytes. */
const LARGEST_BYTES = 2_000_000

const busy = ref(false)
const fault = ref('')
const faults = ref<readonly { path: string; message: string }[]>([])

watch(
  () => open,
  () => clear(),
)

function clear() {
  fault.value = ''
  faults.value = []
}

async function chosen(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  clear()
  busy.value = true
  try {
    if (file.size > LARGEST_BYTES)
      throw new Error(`${file.name} is larger than an exported basin can be (2 MB).`)
    const basin = await basinsApi.bringIn(await file.text())
    emit('close')
    emit('done', basin.id)
  } catch (error) {
    fault.value = `${file.name} was not imported, and nothing was changed.`
    faults.value =
      error instanceof Refused && error.problem.faults
        ? error.problem.faults
        : [{ path: '', message: (error as Error).message }]
  } finally {
    busy.value = false
    input.value = ''
  }
}
</script>

<template>
  <ModalPanel :open="open" title="Import a basin" wide @close="$emit('close')">
    <p class="mt-2 text-ink-soft">
      Choose a file that Yew Basin exported. It comes in beside what you have.
    </p>
    <label class="mt-4 block">
      <span class="caption">File (.json)</span>
      <input
        type="file"
        accept=".json,application/json"
        class="box mt-1 py-1.5"
        :disabled="busy"
        @change="chosen"
      />
    </label>
    <p v-if="busy" class="mt-3" role="status">Reading it…</p>
    <div v-if="fault" class="mt-4 rounded-lg bg-aril-wash p-4" role="alert">
      <p class="font-semibold text-aril">{{ fault }}</p>
      <ul class="mt-2 max-h-64 space-y-1 overflow-y-auto">
        <li v-for="(problem, i) in faults" :key="i">
          <code v-if="problem.path" class="font-mono text-sm">{{ problem.path }}</code>
          {{ problem.message }}
        </li>
      </ul>
    </div>
    <div class="mt-5 flex justify-end">
      <button class="button" @click="$emit('close')">Close</button>
    </div>
  </ModalPanel>
</template>
