<script setup lang="ts">
import { computed } from 'vue'
import { clockTime } from '../shell/clock.ts'
import type { SaveState } from './autosave.ts'
import { saveFile } from '../shell/save-file.ts'
import { useDesign } from './design-store.ts'

const store = useDesign()

const TEXTS: Record<Exclude<SaveState, 'saved' | 'refused'>, string> = {
  waiting: 'Unsaved',
  saving: 'Saving…',
  offline: 'Offline, kept here',
  conflict: 'Saved elsewhere first',
  gone: 'Basin is gone',
}
const text = computed(() => {
  if (store.saveState === 'refused') return `Not saved: ${store.saveFault}`
  if (store.saveState !== 'saved') return TEXTS[store.saveState]
  return `Saved ${clockTime(store.savedAt)}`
})
const bad = computed(() => !['saved', 'waiting', 'saving'].includes(store.saveState))

/** The design as a file, when the server cannot keep it. */
function rescue() {
  if (!store.design || !store.basin) return
  const text = JSON.stringify(store.asFile(store.basin.name, store.design), null, 2)
  saveFile(`${store.basin.name}.yew-basin.json`, text, 'application/json')
}
</script>

<template>
  <span class="flex items-center gap-2 text-sm" :class="bad ? 'text-aril' : 'text-ink-soft'">
    <span role="status" data-testid="save-state">{{ text }}</span>
    <button v-if="store.saveState === 'offline'" class="underline" @click="store.retryNow">
      Try now
    </button>
    <button
      v-if="store.saveState === 'gone' || store.saveState === 'refused'"
      class="underline"
      @click="rescue"
    >
      Download it
    </button>
  </span>
</template>
