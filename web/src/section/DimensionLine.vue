<script setup lang="ts">
import { computed } from 'vue'

const { x1, y1, x2, y2 } = defineProps<{
  x1: number
  y1: number
  x2: number
  y2: number
  text: string
}>()
const upright = computed(() => x1 === x2)
const middle = computed(() => ({ x: (x1 + x2) / 2, y: (y1 + y2) / 2 }))
</script>

<template>
  <g stroke="var(--ink-soft)" stroke-width="1" fill="none">
    <path :d="`M${x1} ${y1} L${x2} ${y2}`" />
    <path v-if="upright" :d="`M${x1 - 5} ${y1} h10 M${x2 - 5} ${y2} h10`" />
    <path v-else :d="`M${x1} ${y1 - 5} v10 M${x2} ${y2 - 5} v10`" />
    <text
      v-if="upright"
      :transform="`translate(${middle.x + 15} ${middle.y}) rotate(-90)`"
      text-anchor="middle"
      stroke="none"
      fill="var(--ink)"
      class="dimension"
    >
      {{ text }}
    </text>
    <text
      v-else
      :x="middle.x"
      :y="middle.y - 7"
      text-anchor="middle"
      stroke="none"
      fill="var(--ink)"
      class="dimension"
    >
      {{ text }}
    </text>
  </g>
</template>

<style scoped>
.dimension {
  font-size: 13px;
}
</style>
