<script setup lang="ts">
import type { assuming } from '@yew-basin/core'

/** Shape and word go with the colour: square stop, diamond watch, circle fine, pencilled circle assumed, a bar not set. */
const { state, size = 16 } = defineProps<{ state: assuming.StandingState; size?: number }>()
const COLOURS = {
  stop: 'var(--aril-mark)',
  watch: 'var(--resin-mark)',
  fine: 'var(--lichen-mark)',
  other: 'var(--ink-soft)',
}
</script>

<template>
  <svg
    :width="size"
    :height="size"
    viewBox="0 0 16 16"
    role="img"
    :aria-label="state === 'not-set' ? 'not set' : state"
    class="shrink-0"
  >
    <rect v-if="state === 'stop'" x="2" y="2" width="12" height="12" :fill="COLOURS.stop" />
    <path
      v-else-if="state === 'watch'"
      d="M8 1 15 8 8 15 1 8Z"
      fill="var(--sheet)"
      :stroke="COLOURS.watch"
      stroke-width="2"
    />
    <path
      v-else-if="state === 'not-set'"
      d="M2.5 8H13.5"
      :stroke="COLOURS.other"
      stroke-width="2"
    />
    <circle
      v-else-if="state === 'assumed'"
      cx="8"
      cy="8"
      r="6"
      fill="var(--sheet)"
      :stroke="COLOURS.other"
      stroke-width="1.6"
      stroke-dasharray="3 2.4"
    />
    <circle
      v-else
      cx="8"
      cy="8"
      r="6"
      fill="var(--sheet)"
      :stroke="COLOURS.fine"
      stroke-width="2.4"
    />
  </svg>
</template>
