<script setup lang="ts">
import { setTo, toMillimetre, editing } from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { type DrawnSump, type DrawnWall } from './sump-drawing.ts'
import ChamberGrip from './ChamberGrip.vue'
import DeviceDrawing from './DeviceDrawing.vue'
import type { Scale } from './scale.ts'
import { followPointer } from './use-drag.ts'

/** The sump with the water in it; its walls can be dragged, or moved with the arrow keys. */
const { sump, scale, movable } = defineProps<{
  sump: DrawnSump
  scale: Scale
  /** Walls are moved only at the sump's own station. */
  movable: boolean
}>()
const store = useDesign()
const units = useUnits()

const STEP_M = 0.001
const BIG_STEP_M = 0.01

function moveTo(index: number, atM: number) {
  const design = store.design!
  const { leastM, mostM } = editing.wallRange(design.sump, index)
  if (mostM < leastM) return
  const kept = Math.min(mostM, Math.max(leastM, toMillimetre(atM)))
  store.set(['sump', 'walls', index, 'atM'], kept)
}

function drag(event: PointerEvent, wall: DrawnWall) {
  if (!movable || store.preview) return
  const startM = store.design!.sump.walls[wall.index]!.atM
  followPointer(event, ({ byX }) => moveTo(wall.index, startM + byX / scale.pxPerM))
}

function step(event: KeyboardEvent, wall: DrawnWall) {
  const way = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  if (way === 0 || !movable || store.preview) return
  event.preventDefault()
  const atM = store.design!.sump.walls[wall.index]!.atM
  moveTo(wall.index, atM + way * (event.shiftKey ? BIG_STEP_M : STEP_M))
}

function reorder(from: number, to: number) {
  if (store.preview) return
  const ids = store.design!.sump.chambers.map(({ id }) => id)
  const [moved] = ids.splice(from, 1)
  ids.splice(to, 0, moved!)
  store.edit([setTo(['sump'], editing.reordered(store.design!.sump, ids))])
}

const pencil = computed(() =>
  ['lengthM', 'heightM'].some((size) => store.assumed.has(`sump.box.${size}`)),
)
function wallColour(wall: DrawnWall): string {
  if (wall.opaque) return 'var(--ink)'
  return store.isPencil(`sump.walls[${wall.id}]`) ? 'var(--pencil)' : 'var(--glass)'
}

/** The teeth of a comb as notches in its top. */
function comb({ x, width, top, teethPx }: DrawnWall): string {
  const pitch = Math.max(3, teethPx / 2.5)
  const notches: string[] = []
  for (let y = top; y < top + teethPx; y += pitch) {
    notches.push(`M${x} ${y} h${width}`)
  }
  return notches.join(' ')
}
</script>

<template>
  <g>
    <rect
      v-for="chamber in sump.chambers"
      :key="`w${chamber.id}`"
      :x="chamber.left"
      :y="chamber.level"
      :width="Math.max(0, chamber.right - chamber.left)"
      :height="Math.max(0, sump.bottom - chamber.level)"
      fill="url(#depth)"
      data-part="chamber-water"
    />
    <DeviceDrawing v-for="device in sump.devices" :key="device.id" :device="device" />
    <path
      v-for="chamber in sump.chambers"
      :key="`l${chamber.id}`"
      :d="`M${chamber.left} ${chamber.level} H${chamber.right}`"
      stroke="var(--water-ink)"
      stroke-width="1.4"
    />
    <path
      v-if="sump.still !== null"
      :d="`M${sump.left} ${sump.still} H${sump.right}`"
      stroke="var(--resin-mark)"
      stroke-width="1.2"
      stroke-dasharray="6 4"
      data-part="still-level"
    />
    <path
      v-if="sump.fillLine"
      :d="`M${sump.fillLine.left} ${sump.fillLine.y} H${sump.fillLine.right}`"
      stroke="var(--aril-mark)"
      stroke-width="1.6"
      data-part="fill-line"
    />
    <g
      v-for="wall in sump.walls"
      :key="wall.id"
      :class="{ wall: movable }"
      v-bind="
        movable
          ? {
              role: 'slider',
              tabindex: 0,
              'aria-label': `Wall ${wall.index + 1}`,
              'aria-valuenow': Math.round(store.design!.sump.walls[wall.index]!.atM * 1000),
              'aria-valuetext': `${units.text('length', store.design!.sump.walls[wall.index]!.atM)} from the left`,
            }
          : {}
      "
      @pointerdown.stop="drag($event, wall)"
      @keydown="step($event, wall)"
      @click.stop
    >
      <rect
        v-if="movable"
        :x="wall.x - 12"
        :y="sump.top"
        :width="wall.width + 24"
        :height="sump.bottom - sump.top"
        fill="transparent"
      />
      <rect
        :x="wall.x"
        :y="wall.top"
        :width="wall.width"
        :height="Math.max(0, wall.foot - wall.top)"
        :fill="wallColour(wall)"
        data-part="wall"
      />
      <path v-if="wall.teethPx > 0" :d="comb(wall)" stroke="var(--sheet)" stroke-width="1.5" />
      <circle
        v-if="wall.pipe"
        :cx="wall.x + wall.width / 2"
        :cy="wall.pipe.y"
        :r="wall.pipe.r"
        fill="var(--water-light)"
        stroke="var(--ink)"
      />
    </g>
    <template v-if="movable && sump.chambers.length > 1">
      <ChamberGrip
        v-for="chamber in sump.chambers.filter((chamber) => chamber.right - chamber.left > 34)"
        :key="`g${chamber.id}`"
        :chamber="chamber"
        :chambers="sump.chambers"
        :bottom="sump.bottom"
        @move="reorder"
      />
    </template>
    <path
      :d="`M${sump.left - 2} ${sump.top} V${sump.bottom + 2} H${sump.right + 2} V${sump.top}`"
      fill="none"
      :stroke="pencil ? 'var(--pencil)' : 'var(--glass)'"
      :stroke-width="pencil ? 2 : 4"
      :stroke-dasharray="pencil ? '9 4' : undefined"
    />
  </g>
</template>

<style scoped>
.wall {
  cursor: ew-resize;
}
</style>
