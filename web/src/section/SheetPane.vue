<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import WholeIsometric from '../isometric/WholeIsometric.vue'
import PlanDrawing from './PlanDrawing.vue'
import type { SheetView } from './scale.ts'
import SectionDrawing from './SectionDrawing.vue'

/** The drawing in the middle: from the front, from above, or as a pipe fitter draws it. */
const view = useStorage<SheetView | 'isometric'>('yew.sheet', 'section')
const dimensions = useStorage('yew.dimensions', false)
const VIEWS = [
  { id: 'section', label: 'Section' },
  { id: 'plan', label: 'Plan' },
  { id: 'isometric', label: 'Isometric' },
] as const
</script>

<template>
  <PlanDrawing v-if="view === 'plan'" />
  <WholeIsometric v-else-if="view === 'isometric'" />
  <SectionDrawing v-else />
  <div
    class="absolute right-3 top-2 z-10 flex rounded-lg border border-rule bg-sheet p-0.5 text-[0.85rem]"
    role="group"
    aria-label="Drawing"
  >
    <button
      v-for="offer in VIEWS"
      :key="offer.id"
      class="rounded-md px-2 py-0.5"
      :class="view === offer.id ? 'bg-needle-wash font-semibold text-needle' : 'text-ink-soft'"
      :aria-pressed="view === offer.id"
      @click="view = offer.id"
    >
      {{ offer.label }}
    </button>
    <button
      v-if="view === 'section'"
      class="rounded-md px-2 py-0.5"
      :class="dimensions ? 'bg-needle-wash font-semibold text-needle' : 'text-ink-soft'"
      :aria-pressed="dimensions"
      @click="dimensions = !dimensions"
    >
      Sizes
    </button>
  </div>
</template>
