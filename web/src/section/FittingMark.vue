<script setup lang="ts">
import type { DrawnFitting } from './run-drawing.ts'

const { fitting } = defineProps<{ fitting: DrawnFitting; selected: boolean }>()
</script>

<template>
  <g
    :transform="`translate(${fitting.x} ${fitting.y}) rotate(${fitting.turnDeg})`"
    :stroke="selected ? 'var(--aril-mark)' : 'var(--needle)'"
    stroke-width="1.6"
    stroke-linejoin="round"
  >
    <g v-if="fitting.piece.kind === 'valve'">
      <path
        :d="`M${-fitting.halfPx - 2} ${-fitting.halfPx} L${fitting.halfPx + 2} ${fitting.halfPx} V${-fitting.halfPx} L${-fitting.halfPx - 2} ${fitting.halfPx} Z`"
        :fill="fitting.piece.opening > 0 ? 'var(--sheet)' : 'var(--aril-mark)'"
      />
      <path :d="`M0 0 V${-fitting.halfPx - 8} M-6 ${-fitting.halfPx - 8} H6`" fill="none" />
    </g>
    <path
      v-else-if="fitting.piece.kind === 'union'"
      :d="`M-2.5 ${-fitting.halfPx - 1} V${fitting.halfPx + 1} M2.5 ${-fitting.halfPx - 1} V${fitting.halfPx + 1}`"
      fill="none"
      stroke-width="3"
    />
    <g v-else-if="fitting.piece.kind === 'check-valve'">
      <path
        :d="`M${-fitting.halfPx} ${-fitting.halfPx} L${fitting.halfPx} 0 L${-fitting.halfPx} ${fitting.halfPx} Z`"
        fill="var(--sheet)"
      />
      <path :d="`M${fitting.halfPx} ${-fitting.halfPx} V${fitting.halfPx}`" fill="none" />
    </g>
    <path
      v-else-if="fitting.piece.kind === 'reducer'"
      :d="`M-6 ${-fitting.halfPx - 2} L6 ${-fitting.halfPx / 2} V${fitting.halfPx / 2} L-6 ${fitting.halfPx + 2} Z`"
      fill="var(--sheet)"
    />
    <path
      v-else-if="fitting.piece.kind === 'bulkhead'"
      :d="`M-4 ${-fitting.halfPx - 5} H4 V${fitting.halfPx + 5} H-4 Z`"
      fill="var(--needle)"
    />
    <circle
      v-else-if="fitting.piece.kind === 'tee'"
      :r="fitting.halfPx * 0.75 + 1.5"
      fill="var(--sheet)"
    />
    <g v-else-if="fitting.piece.kind === 'device'">
      <rect
        :x="-17"
        :y="-fitting.halfPx - 5"
        width="34"
        :height="2 * fitting.halfPx + 10"
        rx="5"
        fill="var(--needle-wash)"
      />
      <path d="M-9 0 H9 M5 -4 L9 0 L5 4" fill="none" />
    </g>
    <path
      v-else-if="fitting.piece.kind === 'nozzle'"
      :d="`M-5 ${-fitting.halfPx} L9 ${-fitting.halfPx * 0.55} V${fitting.halfPx * 0.55} L-5 ${fitting.halfPx} Z`"
      fill="var(--needle)"
    />
  </g>
</template>
