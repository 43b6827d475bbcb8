<script setup lang="ts">
import { onUnmounted } from 'vue'
import SheetPane from '../section/SheetPane.vue'
import { useDesign } from '../workspace/design-store.ts'

/** A list, and on a wide page the drawing beside it, in which it lights up what it is about. */
const store = useDesign()
// What a list lights up is the list's.
onUnmounted(() => (store.litPieces = []))
</script>

<template>
  <div class="grid gap-6 xl:grid-cols-[minmax(0,1fr)_26rem]">
    <div class="min-w-0 space-y-4">
      <slot />
    </div>
    <aside
      aria-label="Where it goes"
      class="relative hidden h-[32rem] overflow-hidden rounded-lg border border-rule bg-sheet xl:sticky xl:top-4 xl:block"
    >
      <slot name="beside"><SheetPane /></slot>
    </aside>
  </div>
</template>
