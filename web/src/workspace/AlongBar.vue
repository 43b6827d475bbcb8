<script setup lang="ts">
import { useDesign } from './design-store.ts'

/** Lines that went along with what was moved can be left as they were: said where it is in sight, on a phone too. */
const store = useDesign()
</script>

<template>
  <div
    v-if="store.wentAlong && !store.preview"
    class="flex flex-wrap items-center gap-x-3 gap-y-2 border-t border-rule bg-sheet px-4 py-1.5"
    data-testid="went-along"
  >
    <span class="min-w-0 grow basis-40">
      Pipe went along: {{ store.wentAlong.names.join(', ') }}.
    </span>
    <button class="button shrink-0" @click="store.leaveLines">Leave it as it was</button>
  </div>
</template>
