<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { RotateCw } from '@lucide/vue'
import { useElementSize, useStorage } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import LensBar from '../section/LensBar.vue'
import { ZOOM_STEP } from '../section/lens.ts'
import IsometricDrawing from './IsometricDrawing.vue'
import { markLabels } from './mark-labels.ts'
import { useIsometric } from './use-isometric.ts'

/** All of it from the front right, to turn by quarters: where a manifold hangs, and what stands before what. */
const {
  stateOf = null,
  atJoints = null,
  without = null,
} = defineProps<{
  stateOf?: ((partIds: readonly string[]) => 'done' | 'now' | 'later') | null
  atJoints?: ReadonlySet<string> | null
  without?: ReadonlySet<string> | null
}>()
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)
const turn = useStorage<building.Turn>('yew.isometric.turn', 0)
const drawing = useIsometric(
  () => ({ kind: 'whole' }),
  () => turn.value,
)

const NEAREST = 6
const zoom = ref(1)
/** Room for signs and words at the edges, units. */
const ROUND = 120
const scale = computed(() => {
  if (!drawing.value || width.value === 0) return 0
  const fits = Math.min(
    width.value / (drawing.value.width + ROUND),
    height.value / (drawing.value.height + ROUND),
  )
  return Math.min(1.2, fits) * zoom.value
})
/** Smaller than this no word of it can be read. */
const READABLE = 0.8
const labels = computed(() => {
  if (!drawing.value || scale.value < READABLE) return []
  return markLabels(drawing.value)
})
const SIDES = ['front right', 'left front', 'back left', 'right back'] as const
const next = () => (turn.value = ((turn.value + 1) % SIDES.length) as building.Turn)
const svg = () => frame.value?.querySelector<SVGSVGElement>('svg[data-isometric]') ?? null
</script>

<template>
  <figure
    ref="frame"
    class="absolute inset-0 grid place-items-center overflow-auto"
    :aria-label="`Isometric, seen from the ${SIDES[turn]}`"
    tabindex="0"
  >
    <figcaption
      class="caption pointer-events-none absolute left-3 top-2 z-4 rounded bg-sheet/85 px-1"
    >
      Isometric, from the {{ SIDES[turn] }}
    </figcaption>
    <IsometricDrawing
      v-if="drawing && scale > 0"
      :drawing="drawing"
      :labels="labels"
      :scale="scale"
      :state-of="stateOf"
      :at-joints="atJoints"
      :without="without"
      :name="`All pipes, seen from the ${SIDES[turn]}`"
    />
  </figure>
  <LensBar
    whole
    :zoom="zoom"
    :drawing="svg"
    name="isometric"
    @nearer="zoom = Math.min(NEAREST, zoom * ZOOM_STEP)"
    @farther="zoom = Math.max(1, zoom / ZOOM_STEP)"
    @all="zoom = 1"
  >
    <button
      class="icon-button"
      aria-label="Turn by a quarter"
      title="Turn by a quarter"
      @click="next"
    >
      <RotateCw :size="16" />
    </button>
  </LensBar>
</template>
