<script setup lang="ts">
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import DimensionLine from './DimensionLine.vue'
import LevelMark from './LevelMark.vue'
import type { DrawnSump } from './sump-drawing.ts'

/** What is written on the sump: levels, names, the two lines that matter, and its sizes on demand. */
const { sump } = defineProps<{
  sump: DrawnSump
  dimensions: boolean
  /** Says what the still level is: at the sump's own station. */
  named: boolean
}>()
const units = useUnits()

/** Beside the sump, clear of its pipes, where the return chamber is its last; else over the line. */
const LAST_PX = 12
const fillWords = computed(() => {
  const { right, y } = sump.fillLine!
  return sump.right - right < LAST_PX
    ? ({ x: sump.right + 8, y: y + 4, anchor: 'start' } as const)
    : ({ x: right - 4, y: y - 4, anchor: 'end' } as const)
})
</script>

<template>
  <g>
    <text
      v-if="sump.fillLine"
      :x="fillWords.x"
      :y="fillWords.y"
      :text-anchor="fillWords.anchor"
      font-size="12"
      fill="var(--aril)"
      class="halo"
    >
      fill no higher
    </text>
    <text
      v-if="sump.still !== null && named"
      :x="sump.stillTextX"
      :y="sump.still - 5"
      text-anchor="end"
      font-size="12"
      fill="var(--resin)"
      class="halo"
    >
      after a power cut
    </text>
    <template v-for="chamber in sump.chambers" :key="`cl${chamber.id}`">
      <LevelMark
        v-if="chamber.wide"
        :x="chamber.left + 12"
        :y="chamber.level"
        :text="units.text('length', chamber.levelM, chamber.levelBandM)"
      />
      <text
        v-if="chamber.wide"
        :x="(chamber.left + chamber.right) / 2"
        :y="sump.bottom + 18"
        text-anchor="middle"
        font-size="12"
        fill="var(--ink-soft)"
        class="halo"
      >
        {{ chamber.name }}
      </text>
      <DimensionLine
        v-if="dimensions && chamber.right - chamber.left > 30"
        :x1="chamber.left"
        :y1="sump.bottom + 40"
        :x2="chamber.right"
        :y2="sump.bottom + 40"
        :text="units.text('length', chamber.lengthM)"
      />
    </template>
    <template v-if="dimensions">
      <DimensionLine
        v-for="wall in sump.walls"
        :key="`wd${wall.id}`"
        :x1="wall.x + wall.width + 5"
        :y1="sump.bottom"
        :x2="wall.x + wall.width + 5"
        :y2="wall.top"
        :text="units.text('length', wall.topM)"
      />
    </template>
  </g>
</template>
