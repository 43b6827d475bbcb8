<script setup lang="ts">
import { Maximize, Minus, Plus, ScanSearch } from '@lucide/vue'

import SavePicture from '../shell/SavePicture.vue'

/** Saved as a picture, nearer, farther, all of it, and what is chosen. */
defineProps<{
  zoom: number
  drawing: () => SVGSVGElement | null
  name: string
  /** Nothing of it is fitted by itself. */
  whole?: boolean
}>()
defineEmits<{ nearer: []; farther: []; all: []; chosen: [] }>()
</script>

<template>
  <div
    class="absolute bottom-2 right-3 z-5 flex rounded-lg border border-rule bg-sheet"
    role="group"
    aria-label="How near the drawing is"
  >
    <SavePicture :drawing="drawing" :name="name" above />
    <slot />
    <button
      v-if="!whole"
      class="icon-button"
      aria-label="Fit what is chosen"
      title="Fit what is chosen"
      @click="$emit('chosen')"
    >
      <ScanSearch :size="16" />
    </button>
    <template v-if="zoom > 1">
      <button class="icon-button" aria-label="Fit all" title="Fit all (0)" @click="$emit('all')">
        <Maximize :size="16" />
      </button>
      <button
        class="icon-button"
        aria-label="Farther"
        title="Farther (−)"
        @click="$emit('farther')"
      >
        <Minus :size="16" />
      </button>
    </template>
    <button class="icon-button" aria-label="Nearer" title="Nearer (+)" @click="$emit('nearer')">
      <Plus :size="16" />
    </button>
  </div>
</template>
