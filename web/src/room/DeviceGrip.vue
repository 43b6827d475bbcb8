<script setup lang="ts">
import { toMillimetre, deviceRectangle, type Device, type Solved } from '@yew-basin/core'
import { computed } from 'vue'
import { useDrag } from '../section/use-drag.ts'
import { useUnits } from '../shell/units.ts'
import { toFloorPlan, type FloorScale } from './room-scale.ts'

/** A device on the floor: dragged, or moved by the arrow keys, ten times as far with Shift. */
const { device, solved, scale, chosen } = defineProps<{
  device: Device
  solved: Solved<'device'>
  scale: FloorScale
  chosen: boolean
}>()
const emit = defineEmits<{ move: [xM: number, yM: number]; choose: [] }>()
const units = useUnits()

const STEP_M = 0.005
const FONT_PX = 12
const place = computed(() => toFloorPlan(scale, deviceRectangle(device)))
const bad = computed(
  () =>
    !!solved.clearance &&
    (solved.clearance.sticksOutM > 0 ||
      solved.clearance.collidesWith.length > 0 ||
      solved.clearance.runsIntoSump),
)
const inWords = computed(() => {
  const from = `${units.text('length', device.xM)} from the left, ${units.text('length', device.yM)} from the front`
  return `${device.name}, ${from}${bad.value ? ', does not fit there' : ''}`
})
/** Words that are wider than the device stand under it. */
const wordsY = computed(() =>
  device.name.length * (FONT_PX / 2) > place.value.width
    ? place.value.y + place.value.height + FONT_PX
    : place.value.y + place.value.height / 2 + FONT_PX / 3,
)
const handPx = computed(() => device.part.handM * scale.pxPerM)

const { dragging, drag, key } = useDrag(
  () => {
    emit('choose')
    const { xM, yM } = device
    // Held fast while it is dragged: the sheet may rescale under it.
    const { pxPerM } = scale
    return ({ byX, byY }) =>
      emit('move', toMillimetre(xM + byX / pxPerM), toMillimetre(yM - byY / pxPerM))
  },
  () => STEP_M * scale.pxPerM,
)
</script>

<template>
  <g
    role="button"
    tabindex="0"
    class="grip"
    :class="{ dragging }"
    :aria-label="inWords"
    aria-roledescription="device that can be moved"
    :aria-pressed="chosen"
    :data-device="device.id"
    @pointerdown.prevent="drag"
    @keydown="key"
    @keydown.enter.prevent="emit('choose')"
    @focus="emit('choose')"
  >
    <rect
      v-if="chosen"
      :x="place.x - handPx"
      :y="place.y - handPx"
      :width="place.width + 2 * handPx"
      :height="place.height + 2 * handPx"
      rx="9"
      fill="none"
      stroke="var(--resin-mark)"
      stroke-dasharray="3 4"
      data-part="hand room"
    />
    <rect
      v-bind="place"
      rx="5"
      :fill="bad ? 'var(--aril-wash)' : 'var(--needle-wash)'"
      :stroke="bad ? 'var(--aril)' : chosen ? 'var(--needle)' : 'var(--glass)'"
      :stroke-width="chosen ? 2.5 : 1.5"
      :stroke-dasharray="bad ? '6 3' : undefined"
    />
    <text
      :x="place.x + place.width / 2"
      :y="wordsY"
      text-anchor="middle"
      :font-size="FONT_PX"
      class="words"
      fill="var(--ink)"
    >
      {{ device.name }}
    </text>
  </g>
</template>

<style scoped>
.grip {
  cursor: grab;
  touch-action: none;
}
.dragging {
  cursor: grabbing;
}
.words {
  pointer-events: none;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
</style>
