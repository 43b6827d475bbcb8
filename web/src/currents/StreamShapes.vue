<script setup lang="ts">
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import type { CutName, CutScale } from './cut.ts'
import { streamShape } from './scene-shapes.ts'

/** Every stream by the jet laws: how wide it is where, and where it meets something. */
const { cut, scale } = defineProps<{ cut: CutName; scale: CutScale }>()
const currents = useCurrents()
const units = useUnits()
const shapes = computed(() =>
  currents.quick.map((reach) => ({
    id: reach.streamId,
    rock: reach.meets === 'rock' || reach.meets === 'sand',
    nozzle: !currents.scene!.pumps.some(({ id }) => id === reach.streamId),
    speed: units.text('slow-speed', reach.endMPerS),
    ...streamShape(cut, scale, reach),
  })),
)
</script>

<template>
  <g pointer-events="none">
    <g v-for="shape in shapes" :key="shape.id">
      <polygon
        v-if="shape.outline"
        :points="shape.outline"
        fill="var(--needle)"
        :fill-opacity="currents.field ? 0 : 0.13"
        stroke="var(--needle)"
        stroke-opacity="0.55"
        stroke-dasharray="5 3"
      />
      <circle
        v-if="shape.outline"
        :cx="shape.to.x"
        :cy="shape.to.y"
        r="3.5"
        :fill="shape.rock ? 'var(--resin-mark)' : 'var(--needle)'"
      />
      <text
        v-if="shape.outline && cut === 'plan'"
        :x="shape.to.x + (shape.to.x < shape.from.x ? 8 : -8)"
        :y="shape.to.y - 7"
        :text-anchor="shape.to.x < shape.from.x ? 'start' : 'end'"
        font-size="12"
        class="speed"
      >
        {{ shape.speed }}
      </text>
      <path
        v-if="shape.nozzle"
        :d="`M ${shape.from.x - 6} ${shape.from.y - 6} h 12 l -6 11 z`"
        fill="var(--water-ink)"
      />
    </g>
  </g>
</template>

<style scoped>
.speed {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
</style>
