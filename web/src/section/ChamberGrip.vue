<script setup lang="ts">
import { computed, ref } from 'vue'
import type { DrawnChamber } from './sump-drawing.ts'
import { followPointer } from './use-drag.ts'

/** A handle at a chamber's foot: dragged over another chamber, or moved with the arrow keys, it reorders them. */
const { chamber, chambers, bottom } = defineProps<{
  chamber: DrawnChamber
  chambers: readonly DrawnChamber[]
  bottom: number
}>()
const emit = defineEmits<{ move: [from: number, to: number] }>()

const HALF_PX = 15
const index = computed(() => chambers.findIndex(({ id }) => id === chamber.id))
const draggedX = ref<number | null>(null)
const middle = computed(() => (chamber.left + chamber.right) / 2)
const x = computed(() => draggedX.value ?? middle.value)

/** The chamber under a place on the sheet. */
function placeAt(at: number): number {
  const found = chambers.findIndex(({ right }) => at < right)
  return found < 0 ? chambers.length - 1 : found
}

function drag(event: PointerEvent) {
  const from = middle.value
  followPointer(
    event,
    ({ byX }) => (draggedX.value = from + byX),
    () => {
      const to = draggedX.value === null ? index.value : placeAt(draggedX.value)
      draggedX.value = null
      if (to !== index.value) emit('move', index.value, to)
    },
  )
}

function step(event: KeyboardEvent) {
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  const to = index.value + by
  if (by === 0 || to < 0 || to >= chambers.length) return
  event.preventDefault()
  emit('move', index.value, to)
}
</script>

<template>
  <g
    class="grip"
    role="slider"
    tabindex="0"
    :aria-label="`Chamber ${chamber.name}, its place`"
    aria-valuemin="1"
    :aria-valuemax="chambers.length"
    :aria-valuenow="index + 1"
    :aria-valuetext="`${index + 1} of ${chambers.length} from the left`"
    :transform="`translate(${x} ${bottom - 16})`"
    @pointerdown.stop="drag"
    @keydown.stop="step"
    @click.stop
  >
    <rect
      :x="-HALF_PX"
      y="-12"
      :width="2 * HALF_PX"
      height="24"
      rx="5"
      fill="var(--sheet)"
      :fill-opacity="draggedX === null ? 0.75 : 1"
      stroke="var(--needle)"
    />
    <path
      d="M-6 -4H-5.9M0 -4H0.1M6 -4H6.1M-6 4H-5.9M0 4H0.1M6 4H6.1"
      stroke="var(--needle)"
      stroke-width="3"
      stroke-linecap="round"
    />
  </g>
</template>

<style scoped>
.grip {
  cursor: grab;
}
.grip:active {
  cursor: grabbing;
}
</style>
