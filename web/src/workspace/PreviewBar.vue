<script setup lang="ts">
import { say } from '@yew-basin/core'
import { useUnits } from '../shell/units.ts'
import { useDesign } from './design-store.ts'

/** On a page that scrolls it stands at the screen's foot, else at the drawing's. */
defineProps<{ onPage?: boolean }>()
const store = useDesign()
const units = useUnits()
</script>

<template>
  <div
    v-if="store.preview"
    class="inset-x-3 z-10 flex flex-wrap items-center gap-x-3 gap-y-2 rounded-lg border-2 border-dashed border-needle bg-sheet px-4 py-2"
    :class="onPage ? 'fixed bottom-16 md:bottom-4' : 'absolute bottom-12'"
    role="status"
  >
    <span class="min-w-0 grow basis-64">
      <strong class="font-semibold">Preview:</strong>
      {{ say(store.preview.label, units.family) }}. Nothing is changed yet.
    </span>
    <span class="flex shrink-0 gap-2">
      <button class="button" @click="store.preview = null">Back</button>
      <button class="button button-main" @click="store.applyFix(store.preview)">Apply</button>
    </span>
  </div>
</template>
