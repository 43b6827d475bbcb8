<script setup lang="ts">
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import FittingMark from './FittingMark.vue'
import { DASH_PX, type DrawnRun } from './run-drawing.ts'

const { run, marked = null } = defineProps<{
  run: DrawnRun
  /** Pieces that are marked. */
  marked?: ReadonlySet<string> | null
  /** The line the bench is about; the others are drawn fainter. */
  chosen: boolean
}>()
const store = useDesign()
/** A pipe whose length is assumed is drawn in pencil. */
function wallOf(pieceId: string): string {
  const names = [`drains[${run.lineId}]`, `returnSide.lines[${run.lineId}]`]
  const isAssumed = names.some((name) =>
    store.assumed.has(`${name}.run.pieces[${pieceId}].lengthM`),
  )
  return isAssumed ? 'var(--pencil)' : 'var(--glass)'
}
/** Air in a pipe is drawn as paper: an emergency that is dry, or the core of a vented one. */
function boreColour(moves: boolean): string {
  if (run.filling !== 'water') return 'var(--sheet)'
  return moves ? 'var(--water-deep)' : 'var(--water-light)'
}
const isMarked = computed(() => run.pipes.some(({ pieceId }) => marked?.has(pieceId)))
const flat = computed(() => run.pipes.filter((pipe) => pipe.depth === null))
const deep = computed(() => run.pipes.filter((pipe) => pipe.depth !== null))
</script>

<template>
  <g stroke-linecap="round" fill="none" :opacity="chosen || isMarked ? 1 : 0.62">
    <path
      v-for="pipe in flat"
      :key="`w${pipe.pieceId}`"
      :d="pipe.curve ?? `M${pipe.x1} ${pipe.y1} L${pipe.x2} ${pipe.y2}`"
      :stroke="marked?.has(pipe.pieceId) ? 'var(--aril-mark)' : wallOf(pipe.pieceId)"
      :stroke-width="pipe.outsidePx"
    />
    <path
      v-for="pipe in flat"
      :key="`b${pipe.pieceId}`"
      :d="pipe.curve ?? `M${pipe.x1} ${pipe.y1} L${pipe.x2} ${pipe.y2}`"
      :stroke="boreColour(pipe.dashS > 0)"
      :stroke-width="pipe.borePx"
      data-part="bore"
    />
    <path
      v-for="pipe in flat.filter((stretch) => stretch.dashS > 0)"
      :key="`f${pipe.pieceId}`"
      :d="pipe.curve ?? `M${pipe.x1} ${pipe.y1} L${pipe.x2} ${pipe.y2}`"
      class="moving"
      :class="{ backwards: pipe.backwards }"
      :stroke="run.filling === 'film' ? 'var(--water-deep)' : 'var(--water-light)'"
      stroke-linecap="butt"
      :stroke-width="Math.max(1.2, pipe.borePx * (run.filling === 'film' ? 0.5 : 0.28))"
      :stroke-dasharray="`${DASH_PX * 0.35} ${DASH_PX * 0.65}`"
      :style="{ animationDuration: `${pipe.dashS}s` }"
    />
    <g
      v-for="pipe in deep"
      :key="`d${pipe.pieceId}`"
      :stroke="marked?.has(pipe.pieceId) ? 'var(--aril-mark)' : wallOf(pipe.pieceId)"
    >
      <circle
        :cx="pipe.x1"
        :cy="pipe.y1"
        :r="Math.max(5, pipe.outsidePx * 0.75)"
        fill="var(--water-deep)"
        stroke-width="2"
      />
      <circle
        v-if="pipe.depth === 'towards'"
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
      :selected="marked?.has(fitting.piece.id) ?? false"
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
