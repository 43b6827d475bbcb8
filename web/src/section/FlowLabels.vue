<script setup lang="ts">
import { useUnits } from '../shell/units.ts'
import { type FlowLabel, LINE_PX } from './flow-labels.ts'

/** What each line carries, written where there is room for it. */
defineProps<{ labels: readonly FlowLabel[] }>()
const units = useUnits()
/** What is said under its flow, a line each. */
function under({ name, speedMPerS, isStacked }: FlowLabel): string[] {
  const words = [name, speedMPerS === null ? '' : units.text('speed', speedMPerS)].filter(Boolean)
  return isStacked || words.length === 0 ? words : [words.join(', ')]
}
</script>

<template>
  <g v-for="(label, i) in labels" :key="i" font-size="14" :text-anchor="label.anchor">
    <text :x="label.x" :y="label.y" fill="var(--ink)" font-weight="650" class="halo">
      {{ units.text('flow', label.flowM3PerS, label.flowBandM3PerS) }}
    </text>
    <text
      v-for="(words, n) in under(label)"
      :key="n"
      :x="label.x"
      :y="label.y + LINE_PX * (n + 1)"
      fill="var(--ink-soft)"
      class="halo"
    >
      {{ words }}
    </text>
  </g>
</template>
