<script setup lang="ts">
import { toMillimetre } from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import { ZONE_NAMES } from './currents-words.ts'
import { CUTS, type CutName, type CutScale } from './cut.ts'
import type { RockShape } from './scene-shapes.ts'
import { useDrag } from '../section/use-drag.ts'

/** A rock that can be dragged over a drawing. */
const { cut, scale, shape } = defineProps<{ cut: CutName; scale: CutScale; shape: RockShape }>()
const currents = useCurrents()
const units = useUnits()
const STEP_M = 0.005
const FIELDS = { x: 'xM', y: 'yM', z: 'zM' } as const
const SIZES = { xM: 'lengthM', yM: 'widthM', zM: 'heightM' } as const

const isChosen = computed(() => currents.chosen?.id === shape.rock.id)
const choose = () => (currents.chosen = { kind: 'rock', id: shape.rock.id })

/** Kept in the tank. */
function held(field: 'xM' | 'yM' | 'zM', m: number): number {
  const { rock } = shape
  const domain = currents.domain!
  const room = { xM: domain.lengthM, yM: domain.widthM, zM: domain.depthM }[field]
  const half = rock[SIZES[field]] / 2
  // Its middle stays in the water; what is under the floor is cut off.
  return toMillimetre(Math.min(room - half, Math.max(field === 'zM' ? -half : 0, m)))
}

const { dragging, drag, key } = useDrag(
  () => {
    choose()
    const { across, up } = CUTS[cut]
    const a = FIELDS[across]
    const b = FIELDS[up]
    const from = { a: shape.rock[a], b: shape.rock[b] }
    const { id } = shape.rock
    const { pxPerM } = scale
    return ({ byX, byY }) =>
      currents.setRock(id, {
        [a]: held(a, from.a + byX / pxPerM),
        [b]: held(b, from.b - byY / pxPerM),
      })
  },
  () => STEP_M * scale.pxPerM,
)
const inWords = computed(() => {
  const { rock } = shape
  return `${rock.name}, ${ZONE_NAMES[rock.zone]}, ${units.text('length', rock.xM)} from the left, ${units.text('length', rock.yM)} from the front`
})
</script>

<template>
  <g
    role="button"
    tabindex="0"
    class="grip"
    :class="{ dragging }"
    :aria-label="inWords"
    aria-roledescription="rock that can be moved"
    :aria-pressed="isChosen"
    :data-rock="shape.rock.id"
    @pointerdown.prevent="drag"
    @keydown="key"
    @focus="choose"
  >
    <ellipse
      v-if="shape.rock.form === 'boulder'"
      :cx="shape.x + shape.width / 2"
      :cy="shape.y + shape.height / 2"
      :rx="shape.width / 2"
      :ry="shape.height / 2"
      class="rock"
      :class="{ chosen: isChosen, clear: currents.field }"
    />
    <rect
      v-else
      :x="shape.x"
      :y="shape.y"
      :width="shape.width"
      :height="shape.height"
      rx="3"
      class="rock"
      :class="{ chosen: isChosen, clear: currents.field }"
    />
  </g>
</template>

<style scoped>
.grip {
  cursor: grab;
  touch-action: none;
  outline: none;
}
.grip:focus-visible .rock {
  stroke: var(--water-deep);
  stroke-width: 3;
}
.dragging {
  cursor: grabbing;
}
.rock {
  fill: var(--rock);
  fill-opacity: 0.75;
  stroke: color-mix(in srgb, var(--rock) 55%, var(--ink));
  stroke-width: 1.2;
}
/** The field shows what is cut; the rest of the rock is an outline. */
.clear {
  fill-opacity: 0.22;
}
.chosen {
  stroke: var(--needle);
  stroke-width: 2.5;
}
</style>
