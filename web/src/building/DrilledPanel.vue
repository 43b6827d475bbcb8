<script setup lang="ts">
import { computed } from 'vue'
import type { TemplateSheet } from './template.ts'

/** A panel with its holes, to scale. */
const { sheet } = defineProps<{ sheet: TemplateSheet }>()
const line = computed(() => Math.max(sheet.width, sheet.height) / 320)
const inWords = computed(
  () =>
    `${sheet.title}: ${sheet.holes.map(({ name, x, y, r }) => `${name}, ${x} mm from the left, ${y} mm up, ${2 * r} mm wide`).join('; ')}`,
)
</script>

<template>
  <svg
    role="img"
    :aria-label="inWords"
    :viewBox="`${-4 * line} ${-4 * line} ${sheet.width + 8 * line} ${sheet.height + 8 * line}`"
    fill="none"
    stroke="var(--needle)"
    :stroke-width="line"
  >
    <rect :width="sheet.width" :height="sheet.height" fill="var(--sheet)" />
    <g
      v-for="(hole, i) in sheet.holes"
      :key="i"
      :transform="`translate(${hole.x} ${sheet.height - hole.y})`"
    >
      <circle :r="hole.flange" stroke="var(--rule)" />
      <circle :r="hole.r" fill="var(--water-light)" />
      <path :d="`M${-hole.r} 0H${hole.r}M0 ${-hole.r}V${hole.r}`" :stroke-width="line / 2" />
    </g>
  </svg>
</template>
