<script setup lang="ts">
import { computed } from 'vue'
import FittingMark from './FittingMark.vue'
import { DASH_PX, type DrawnRun } from './run-drawing.ts'

const { run, flowing, backwards } = defineProps<{
  run: DrawnRun
  selected: string | null
  flowing: boolean
  backwards: boolean
}>()
const flat = computed(() => run.pipes.filter((pipe) => pipe.depth === null))
const deep = computed(() => run.pipes.filter((pipe) => pipe.depth !== null))
</script>

<template>
  <g stroke-linecap="round">
    <line
      v-for="pipe in flat"
      :key="`w${pipe.pieceId}`"
      v-bind="{ x1: pipe.x1, y1: pipe.y1, x2: pipe.x2, y2: pipe.y2 }"
      :stroke="pipe.pieceId === selected ? 'var(--aril-mark)' : 'var(--glass)'"
      :stroke-width="pipe.outsidePx"
    />
    <line
      v-for="pipe in flat"
      :key="`b${pipe.pieceId}`"
      v-bind="{ x1: pipe.x1, y1: pipe.y1, x2: pipe.x2, y2: pipe.y2 }"
      :stroke="flowing ? 'var(--water-deep)' : 'var(--water-light)'"
      :stroke-width="pipe.borePx"
      data-part="bore"
    />
    <template v-if="flowing">
      <line
        v-for="pipe in flat"
        :key="`f${pipe.pieceId}`"
        v-bind="{ x1: pipe.x1, y1: pipe.y1, x2: pipe.x2, y2: pipe.y2 }"
        class="moving"
        :class="{ backwards }"
        stroke="var(--water-light)"
        stroke-linecap="butt"
        :stroke-width="Math.max(1.2, pipe.borePx * 0.28)"
        :stroke-dasharray="`${DASH_PX * 0.35} ${DASH_PX * 0.65}`"
        :style="{ animationDuration: `${pipe.dashS}s` }"
      />
    </template>
    <g
      v-for="pipe in deep"
      :key="`d${pipe.pieceId}`"
      :stroke="pipe.pieceId === selected ? 'var(--aril-mark)' : 'var(--glass)'"
    >
      <circle
        :cx="pipe.x1"
        :cy="pipe.y1"
        :r="Math.max(5, pipe.outsidePx * 0.75)"
        fill="var(--water-deep)"
        stroke-width="2"
      />
      <circle
        v-if="pipe.depth === 'front'"
        :cx="pipe.x1"
        :cy="pipe.y1"
        r="2"
        fill="var(--sheet)"
        stroke="none"
      />
      <path
        v-else
        :d="`M${pipe.x1 - 3} ${pipe.y1 - 3} l6 6 m0 -6 l-6 6`"
        stroke="var(--sheet)"
        stroke-width="1.5"
      />
    </g>
    <FittingMark
      v-for="fitting in run.fittings"
      :key="fitting.piece.id"
      :fitting="fitting"
      :selected="fitting.piece.id === selected"
    />
  </g>
</template>

<style scoped>
.moving {
  animation: run 1s linear infinite;
}
.moving.backwards {
  animation-direction: reverse;
}
@keyframes run {
  from {
    stroke-dashoffset: 22px;
  }
  to {
    stroke-dashoffset: 0;
  }
}
</style>
