<script setup lang="ts">
import { useDesign } from './design-store.ts'

/** Lines that went along with what was moved can be left as they were. */
const store = useDesign()
</script>

<template>
  <div
    v-if="store.wentAlong && !store.preview"
    class="absolute inset-x-3 bottom-12 z-10 flex flex-wrap items-center gap-x-3 gap-y-2 rounded-lg border border-rule bg-sheet px-4 py-2"
    data-testid="went-along"
  >
    <span class="min-w-0 grow basis-64">
      Pipe went along: {{ store.wentAlong.names.join(', ') }}.
    </span>
    <button class="button shrink-0" @click="store.leaveLines">Leave it as it was</button>
  </div>
</template>
