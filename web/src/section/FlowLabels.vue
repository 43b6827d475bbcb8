<script setup lang="ts">
import { useUnits } from '../shell/units.ts'
import type { FlowLabel } from './flow-labels.ts'

/** What each line carries, written where there is room for it. */
defineProps<{ labels: readonly FlowLabel[] }>()
const units = useUnits()
const more = (label: FlowLabel) =>
  [label.name, label.speedMPerS === null ? '' : units.text('speed', label.speedMPerS)]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <g v-for="(label, i) in labels" :key="i" font-size="14" :text-anchor="label.anchor">
    <text :x="label.x" :y="label.y" fill="var(--ink)" font-weight="650" class="halo">
      {{ units.text('flow', label.flowM3PerS, label.flowBandM3PerS) }}
    </text>
    <text v-if="more(label)" :x="label.x" :y="label.y + 17" fill="var(--ink-soft)" class="halo">
      {{ more(label) }}
    </text>
  </g>
</template>
