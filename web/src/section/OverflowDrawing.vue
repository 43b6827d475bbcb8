<script setup lang="ts">
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import type { DrawnOverflow } from './overflow-drawing.ts'

/** The box that the water falls into, its rim and its teeth. */
const { overflow } = defineProps<{ overflow: DrawnOverflow }>()
const store = useDesign()
const pencil = computed(() => store.isPencil(`tanks[${overflow.tankId}].overflow.box.`))
</script>

<template>
  <g>
    <rect
      v-if="overflow.floor > overflow.rim"
      :x="overflow.left"
      :y="overflow.rim"
      :width="overflow.right - overflow.left"
      :height="overflow.floor - overflow.rim"
      fill="var(--sheet)"
      fill-opacity="0.72"
    />
    <rect
      v-if="overflow.water !== null"
      :x="overflow.left"
      :y="overflow.water"
      :width="overflow.right - overflow.left"
      :height="Math.max(0, overflow.floor - overflow.water)"
      fill="url(#depth)"
      data-part="box-water"
    />
    <path
      v-if="overflow.water !== null"
      :d="`M${overflow.left} ${overflow.water} H${overflow.right}`"
      stroke="var(--water-ink)"
      stroke-width="1.4"
    />
    <path
      v-if="overflow.floor > overflow.rim"
      :d="`M${overflow.left} ${overflow.teethTop} V${overflow.floor} H${overflow.right} V${overflow.teethTop}`"
      fill="none"
      :stroke="pencil ? 'var(--pencil)' : 'var(--ink-soft)'"
      :stroke-width="pencil ? 1.5 : 2"
      :stroke-dasharray="pencil ? '7 3' : undefined"
    />
    <path :d="`M${overflow.left} ${overflow.crest} H${overflow.right}`" stroke="var(--ink-soft)" />
    <path
      v-if="overflow.teeth"
      :d="overflow.teeth"
      :stroke="overflow.drowned ? 'var(--resin-mark)' : 'var(--ink)'"
      stroke-width="1.6"
      data-part="teeth"
    />
  </g>
</template>
