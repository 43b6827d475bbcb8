<script setup lang="ts">
import { toBeHeard, say } from '@yew-basin/core'
import { watchDebounced } from '@vueuse/core'
import { ref } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from './design-store.ts'

/** After an edit, one polite line for those who hear the page; what only came in is not told. */
const store = useDesign()
const units = useUnits()
const line = ref('')
/** Who types on is not spoken into. */
const PAUSE_MS = 900

const along = () => (store.wentAlong ? ` Went along: ${store.wentAlong.names.join(', ')}.` : '')

watchDebounced(
  () => [store.design, store.preview] as const,
  ([, preview], [before]) => {
    if (!before || !store.solved) return
    line.value = `${preview ? 'As it would be: ' : ''}${say(toBeHeard(store.solved), units.family)}.${along()}`
  },
  { debounce: PAUSE_MS },
)
</script>

<template>
  <p class="sr-only" role="status" data-testid="spoken">{{ line }}</p>
</template>
