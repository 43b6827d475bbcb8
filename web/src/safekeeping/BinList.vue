<script setup lang="ts">
import { ref } from 'vue'
import ModalPanel from '../shell/ModalPanel.vue'
import { useSafekeeping } from './safekeeping-store.ts'

/** What was deleted, with how long it can still be had back. */
const store = useSafekeeping()
const asking = ref(false)
const DAY_MS = 86_400_000

function left(goneAt: string): string {
  const days = Math.ceil((Date.parse(goneAt) - Date.now()) / DAY_MS)
  if (days < 1) return 'gone tonight'
  return days === 1 ? 'one day left' : `${days} days left`
}
async function empty() {
  asking.value = false
  await store.empty()
}
</script>

<template>
  <section aria-labelledby="bin-heading">
    <h2 id="bin-heading" class="text-xl font-semibold">Bin</h2>
    <p v-if="store.bin.length === 0" class="mt-1 text-ink-soft">
      Nothing lies in it. What you delete stays here for thirty days.
    </p>
    <template v-else>
      <ul class="mt-3 divide-y divide-rule border-y border-rule" aria-label="In the bin">
        <li
          v-for="entry in store.bin"
          :key="`${entry.thing} ${entry.id}`"
          class="flex items-center gap-3 py-2"
        >
          <span class="min-w-0 grow">
            <span class="font-semibold">{{ entry.name }}</span>
            <span class="caption ml-2">
              {{ entry.thing === 'basin' ? 'a basin' : 'a part of your own' }},
              {{ left(entry.goneAt) }}</span
            >
          </span>
          <button
            class="button"
            :aria-label="`Put ${entry.name} back`"
            @click="store.restore(entry)"
          >
            Put back
          </button>
        </li>
      </ul>
      <button class="button mt-3 text-aril" @click="asking = true">Empty the bin</button>
    </template>
    <ModalPanel :open="asking" title="Empty the bin?" @close="asking = false">
      <p class="mt-2">
        {{ store.bin.length === 1 ? 'What lies' : `All ${store.bin.length} things that lie` }} in it
        will be gone for good. This cannot be undone.
      </p>
      <div class="mt-5 flex justify-end gap-2">
        <button class="button" @click="asking = false">Keep them</button>
        <button class="button button-main" @click="empty">Empty it</button>
      </div>
    </ModalPanel>
  </section>
</template>
