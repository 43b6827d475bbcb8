<script setup lang="ts">
import type { explaining } from '@yew-basin/core'
import { computed, useId } from 'vue'
import { DRAWING_SIZE, IDEA_DRAWINGS, type ShapeKind } from './idea-drawings.ts'

/** The drawing of an idea; what it shows is said in words beside it. */
const { name } = defineProps<{ name: explaining.IdeaName }>()
const tip = useId()
/** A tip stands at the end of a path: each arrow is one of its own. */
const shapes = computed(() => IDEA_DRAWINGS[name].shapes.flatMap(eachArrow))

type Shape = readonly [kind: ShapeKind, d: string]
function eachArrow([kind, d]: Shape): Shape[] {
  return kind === 'arrow' ? d.split(/ (?=M)/).map((part) => [kind, part]) : [[kind, d]]
}

const LOOKS: Readonly<Record<ShapeKind, { fill: string; stroke: string; width: number }>> = {
  water: { fill: 'var(--water-light)', stroke: 'none', width: 0 },
  moves: { fill: 'var(--water-deep)', stroke: 'none', width: 0 },
  wall: { fill: 'none', stroke: 'var(--ink)', width: 2 },
  pipe: { fill: 'none', stroke: 'var(--ink)', width: 11 },
  'in-pipe': { fill: 'none', stroke: 'var(--water-light)', width: 8 },
  air: { fill: 'none', stroke: 'var(--sheet)', width: 8 },
  thin: { fill: 'none', stroke: 'var(--ink-soft)', width: 1 },
  arrow: { fill: 'none', stroke: 'var(--needle)', width: 2 },
}
</script>

<template>
  <svg
    :viewBox="`0 0 ${DRAWING_SIZE.width} ${DRAWING_SIZE.height}`"
    class="w-full rounded bg-sheet"
    aria-hidden="true"
  >
    <marker
      :id="tip"
      viewBox="0 0 8 8"
      refX="6"
      refY="4"
      markerWidth="5"
      markerHeight="5"
      orient="auto"
    >
      <path d="M0 0L8 4L0 8Z" fill="var(--needle)" />
    </marker>
    <path
      v-for="([kind, d], i) in shapes"
      :key="i"
      :d="d"
      :fill="LOOKS[kind].fill"
      :stroke="LOOKS[kind].stroke"
      :stroke-width="LOOKS[kind].width"
      :marker-end="kind === 'arrow' ? `url(#${tip})` : undefined"
    />
    <text
      v-for="([x, y, text], i) in IDEA_DRAWINGS[name].words"
      :key="i"
      :x="x"
      :y="y"
      class="drawn-word"
    >
      {{ text }}
    </text>
  </svg>
</template>

<style scoped>
.drawn-word {
  font-size: 12.5px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
  stroke-linejoin: round;
}
</style>
