<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { PIPE_PARTS } from './cut-words.ts'

/** Each stock length as a bar with its cuts and what is left of it. */
const { plan } = defineProps<{ plan: building.CutPlan }>()
const units = useUnits()
const WIDE = 1000
const HIGH = 34
const GAP = 16
const nesting = computed(() => plan.nesting!)
const bars = computed(() =>
  nesting.value.stocks.map((stock, n) => {
    const perM = WIDE / nesting.value.stockM
    let x = 0
    const cuts = stock.map((i) => {
      const width = plan.lengthsM[i]! * perM
      const cut = { mark: plan.marks[i]!, x, width, lengthM: plan.lengthsM[i]! }
      x += width + nesting.value.sawCutM * perM
      return cut
    })
    return {
      y: n * (HIGH + GAP),
      cuts,
      restX: Math.min(WIDE, x),
      restM: nesting.value.offcutsM[n]!,
    }
  }),
)
const inWords = computed(() =>
  bars.value
    .map(
      ({ cuts, restM }, n) =>
        `length ${n + 1}: ${cuts.map(({ mark, lengthM }) => `${mark} ${units.cut(lengthM, PIPE_PARTS)}`).join(', ')}; ${units.text('length', restM)} left`,
    )
    .join('. '),
)
</script>

<template>
  <svg
    role="img"
    :aria-label="inWords"
    :viewBox="`0 0 ${WIDE} ${bars.length * (HIGH + GAP)}`"
    class="block w-full"
    font-family="inherit"
  >
    <g v-for="(bar, n) in bars" :key="n" :transform="`translate(0 ${bar.y})`">
      <rect :width="WIDE" :height="HIGH" fill="var(--sunk)" stroke="var(--rule)" />
      <g v-for="cut in bar.cuts" :key="cut.mark">
        <rect
          :x="cut.x"
          :width="cut.width"
          :height="HIGH"
          fill="var(--water-light)"
          stroke="var(--needle)"
        />
        <text
          v-if="cut.width > 26"
          :x="cut.x + cut.width / 2"
          :y="HIGH / 2 + 5"
          text-anchor="middle"
          font-size="15"
          fill="#14211b"
        >
          {{ cut.mark }}
        </text>
      </g>
      <text
        v-if="WIDE - bar.restX > 110"
        :x="WIDE - 6"
        :y="HIGH / 2 + 5"
        text-anchor="end"
        font-size="14"
        fill="var(--ink-soft)"
      >
        {{ units.text('length', bar.restM) }} left
      </text>
    </g>
  </svg>
</template>
