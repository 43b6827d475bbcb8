<script setup lang="ts">
import { computed } from 'vue'
import { clockTime } from '../shell/clock.ts'
import type { SaveState } from './autosave.ts'
import { saveFile } from '../shell/save-file.ts'
import { useDesign } from './design-store.ts'
import type { KeptState } from './drafts.ts'

const store = useDesign()

const TEXTS: Record<Exclude<SaveState, 'saved' | 'refused' | 'offline'>, string> = {
  waiting: 'Unsaved',
  saving: 'Saving…',
  conflict: 'Saved elsewhere first',
  gone: 'Basin is gone',
}
/** “Kept here” is said once it is. */
const OFFLINE: Record<KeptState, string> = {
  nothing: 'Offline',
  keeping: 'Offline, being kept here…',
  kept: 'Offline, kept here',
  lost: 'Offline, and this browser keeps nothing: leaving loses it',
}
const text = computed(() => {
  if (store.saveState === 'offline') return OFFLINE[store.kept]
  if (store.saveState === 'refused') {
    const where = store.kept === 'kept' ? '. It is kept in this browser.' : ''
    return `Not saved: ${store.saveFault.replace(/\.$/, '')}${where}`
  }
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
    <span data-testid="save-state">{{ text }}</span>
    <!-- That it saved is not said again and again; that it did not, is. -->
    <span class="sr-only" role="status">{{ bad ? text : '' }}</span>
    <button
      v-if="store.saveState === 'offline' || store.saveState === 'refused'"
      class="shrink-0 underline"
      @click="store.retryNow"
    >
      Try now
    </button>
    <button
      v-if="store.saveState === 'gone' || store.saveState === 'refused' || store.kept === 'lost'"
      class="shrink-0 underline"
      @click="rescue"
    >
      Download it
    </button>
  </span>
</template>
