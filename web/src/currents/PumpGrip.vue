<script setup lang="ts">
import {
  toMillimetre,
  openingOf,
  nearestPosition,
  towardsOf,
  type CirculationPump,
} from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import { PANEL_NAMES } from './currents-words.ts'
import { CUTS, onCut, type CutName, type CutScale } from './cut.ts'
import { useDrag } from '../section/use-drag.ts'

/** A circulation pump: its body drags along the panels, its tip aims it. */
const { cut, scale, pump } = defineProps<{
  cut: CutName
  scale: CutScale
  pump: CirculationPump
}>()
const currents = useCurrents()
const units = useUnits()
const STEP_M = 0.005
const TIP_PX = 34

const domain = computed(() => currents.domain!)
const opening = computed(() => openingOf(pump, domain.value))
const at = computed(() => onCut(cut, scale, opening.value))
const way = computed(() => {
  const to = towardsOf(pump)
  const { across, up } = CUTS[cut]
  return { x: to[across], y: -to[up] }
})
const tip = computed(() => ({
  x: at.value.x + TIP_PX * way.value.x,
  y: at.value.y + TIP_PX * way.value.y,
}))
const isChosen = computed(() => currents.chosen?.id === pump.id)
const choose = () => (currents.chosen = { kind: 'pump', id: pump.id })

function moveTo(
  byX: number,
  byY: number,
  from: { x: number; y: number; z: number; alongM: number; upM: number },
) {
  const x = byX / scale.pxPerM
  const y = -byY / scale.pxPerM
  if (cut === 'plan') return nearestPosition(domain.value, pump.part, from.x + x, from.y + y)
  const half = pump.part.bodyM / 2
  const upM = toMillimetre(Math.min(domain.value.depthM - half, Math.max(half, from.upM + y)))
  const onEnd = pump.panel === 'left' || pump.panel === 'right'
  const slides = cut === 'front' ? !onEnd : onEnd
  const room = onEnd ? domain.value.widthM : domain.value.lengthM
  return slides
    ? { upM, alongM: toMillimetre(Math.min(room - half, Math.max(half, from.alongM + x))) }
    : { upM }
}

const body = useDrag(
  () => {
    choose()
    const from = { ...opening.value, alongM: pump.alongM, upM: pump.upM }
    return ({ byX, byY }) => currents.setPump(pump.id, moveTo(byX, byY, from))
  },
  () => STEP_M * scale.pxPerM,
)

/** On the plan the tip turns it, on the sections it tilts it. */
const aim = useDrag(
  () => {
    choose()
    const from = { tip: tip.value, at: at.value, turnDeg: pump.turnDeg, tiltDeg: pump.tiltDeg }
    const before = Math.atan2(-(from.tip.y - from.at.y), from.tip.x - from.at.x)
    const mirrored = way.value.x < 0
    return ({ byX, byY }) => {
      const now = Math.atan2(-(from.tip.y + byY - from.at.y), from.tip.x + byX - from.at.x)
      const by = ((now - before) * 180) / Math.PI
      const turned = by > 180 ? by - 360 : by < -180 ? by + 360 : by
      const bounded = (deg: number) => Math.round(Math.min(85, Math.max(-85, deg)))
      if (cut === 'plan') currents.setPump(pump.id, { turnDeg: bounded(from.turnDeg + turned) })
      else
        currents.setPump(pump.id, {
          tiltDeg: bounded(from.tiltDeg + (mirrored ? -turned : turned)),
        })
    }
  },
  () => 1.2,
)
const inWords = computed(
  () =>
    `${pump.name} on the ${PANEL_NAMES[pump.panel].toLowerCase()}, ${units.text('length', pump.upM)} up, turned ${pump.turnDeg}°`,
)
</script>

<template>
  <g :data-pump="pump.id">
    <line
      :x1="at.x"
      :y1="at.y"
      :x2="tip.x"
      :y2="tip.y"
      stroke="var(--needle)"
      :stroke-width="isChosen ? 2.5 : 1.5"
    />
    <g
      v-if="isChosen"
      role="button"
      tabindex="0"
      class="grip"
      :class="{ dragging: aim.dragging.value }"
      :aria-label="`Aim of ${pump.name}`"
      aria-roledescription="aim that can be turned"
      @pointerdown.prevent="aim.drag"
      @keydown="aim.key"
    >
      <circle :cx="tip.x" :cy="tip.y" r="12" fill="transparent" />
      <circle
        class="mark"
        :cx="tip.x"
        :cy="tip.y"
        r="6"
        fill="var(--sheet)"
        stroke="var(--needle)"
        stroke-width="2.5"
      />
    </g>
    <g
      role="button"
      tabindex="0"
      class="grip"
      :class="{ dragging: body.dragging.value }"
      :aria-label="inWords"
      aria-roledescription="pump that can be moved"
      :aria-pressed="isChosen"
      @pointerdown.prevent="body.drag"
      @keydown="body.key"
      @focus="choose"
    >
      <circle :cx="at.x" :cy="at.y" r="13" fill="transparent" />
      <rect
        class="mark"
        :x="at.x - 8"
        :y="at.y - 8"
        width="16"
        height="16"
        :rx="pump.part.form === 'jet' ? 8 : 3"
        :fill="isChosen ? 'var(--needle)' : 'var(--sheet)'"
        stroke="var(--needle)"
        stroke-width="2"
      />
    </g>
  </g>
</template>

<style scoped>
.grip {
  cursor: grab;
  touch-action: none;
  outline: none;
}
.grip:focus-visible .mark {
  stroke: var(--resin-mark);
  stroke-width: 3;
}
.dragging {
  cursor: grabbing;
}
</style>
