<script setup lang="ts">
import type { DrawnOverflow } from './overflow-drawing.ts'

/** The box that the water falls into, its rim and its teeth. */
defineProps<{ one: DrawnOverflow }>()
</script>

<template>
  <g>
    <rect
      v-if="one.floor > one.rim"
      :x="one.left"
      :y="one.rim"
      :width="one.right - one.left"
      :height="one.floor - one.rim"
      fill="var(--sheet)"
      fill-opacity="0.72"
    />
    <rect
      v-if="one.water !== null"
      :x="one.left"
      :y="one.water"
      :width="one.right - one.left"
      :height="Math.max(0, one.floor - one.water)"
      fill="url(#depth)"
      data-part="box-water"
    />
    <path
      v-if="one.water !== null"
      :d="`M${one.left} ${one.water} H${one.right}`"
      stroke="var(--water-ink)"
      stroke-width="1.4"
    />
    <path
      v-if="one.floor > one.rim"
      :d="`M${one.left} ${one.teethTop} V${one.floor} H${one.right} V${one.teethTop}`"
      fill="none"
      stroke="var(--ink-soft)"
      stroke-width="2"
    />
    <path :d="`M${one.left} ${one.crest} H${one.right}`" stroke="var(--ink-soft)" />
    <path
      v-if="one.teeth"
      :d="one.teeth"
      :stroke="one.drowned ? 'var(--resin-mark)' : 'var(--ink)'"
      stroke-width="1.6"
      data-part="teeth"
    />
  </g>
</template>
