<script setup lang="ts">
import { toMillimetre } from '@yew-basin/core'
import { computed, ref } from 'vue'
import { useUnits } from '../shell/units.ts'
import { snapped, type Snap } from './snap.ts'
import { useDrag } from './use-drag.ts'

/** A handle on something in the drawing: dragged, or moved by the arrow keys; its numbers are shown meanwhile. */
const { name, at, fromM, pxPerM, snaps } = defineProps<{
  name: string
  /** On the sheet, px. */
  at: { readonly x: number; readonly y: number }
  /** In the room, across the sheet and up it, m. */
  fromM: { readonly across: number; readonly up: number }
  pxPerM: number
  snaps: { readonly across: readonly Snap[]; readonly up: readonly Snap[] }
}>()
/** Where it is wanted, m. */
const emit = defineEmits<{ move: [toM: { across: number; up: number }] }>()
const units = useUnits()
const STEP_M = 0.001
const words = ref('')

/** Along a way in which the pointer hardly went nothing moves, px. */
const HARDLY_PX = 3

const { dragging, drag, key } = useDrag(
  () => {
    const begun = { ...fromM }
    const along = (way: 'across' | 'up', byPx: number) => {
      const wantedM = begun[way] + byPx / pxPerM
      if (!dragging.value) return { atM: toMillimetre(wantedM), words: '' }
      if (Math.abs(byPx) < HARDLY_PX) return { atM: begun[way], words: '' }
      return snapped(wantedM, { snaps: snaps[way], pxPerM, family: units.family })
    }
    return ({ byX, byY }) => {
      const across = along('across', byX)
      const up = along('up', -byY)
      words.value = [across.words, up.words].filter(Boolean).join(', ')
      emit('move', { across: across.atM, up: up.atM })
    }
  },
  () => STEP_M * pxPerM,
)
const isFocused = ref(false)
function blur() {
  isFocused.value = false
  words.value = ''
}
const numbers = computed(
  () => `${units.text('length', fromM.across)} · ${units.text('length', fromM.up)}`,
)
/** About what its words take, px. */
const LETTER_PX = 7.2
const wide = computed(() => 14 + LETTER_PX * Math.max(numbers.value.length, words.value.length))
const inWords = computed(
  () =>
    `${name}, ${units.text('length', fromM.across)} from the left, ${units.text('length', fromM.up)} up`,
)
</script>

<template>
  <g
    class="grip handle"
    role="button"
    tabindex="0"
    :aria-label="inWords"
    aria-roledescription="handle, moved by the arrow keys"
    :data-grip="name"
    :transform="`translate(${at.x} ${at.y})`"
    @pointerdown.stop.prevent="drag"
    @keydown.stop="key"
    @focus="isFocused = true"
    @blur="blur"
    @click.stop
  >
    <circle class="ring" r="14" fill="transparent" />
    <path d="M0 -9L9 0L0 9L-9 0Z" fill="var(--sheet)" stroke="var(--needle)" stroke-width="2" />
    <path d="M-4 0H4M0 -4V4" stroke="var(--needle)" stroke-width="1.5" />
    <g v-if="dragging || isFocused" transform="translate(16 -34)">
      <rect
        :width="wide"
        :height="words ? 38 : 22"
        rx="4"
        fill="var(--sheet)"
        stroke="var(--rule)"
      />
      <text x="7" y="15" font-size="13" fill="var(--ink)">{{ numbers }}</text>
      <text v-if="words" x="7" y="31" font-size="13" fill="var(--needle)">{{ words }}</text>
    </g>
  </g>
</template>

<style scoped>
.grip {
  cursor: move;
  touch-action: none;
}
.grip:focus {
  outline: none;
}
.grip:focus-visible .ring {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
