<script setup lang="ts">
import { cabinetRectangle, chamberSpans, sumpRectangle, setTo } from '@yew-basin/core'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import DeviceGrip from './DeviceGrip.vue'
import { floorScale, toFloorPlan } from './room-scale.ts'

/** Sump, cabinet and all that stands in them from above, to scale. */
const store = useDesign()
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)

const drawing = computed(() => {
  const design = store.shown
  const box = design?.sump.box
  if (!design || !box || width.value === 0) return null
  const scale = floorScale(design, width.value, height.value)
  const cabinet = cabinetRectangle(design.sump)
  const spans = chamberSpans(design.sump, box.lengthM)
  const inside = { fromYM: 0, toYM: box.widthM }
  return {
    scale,
    cabinet: cabinet && toFloorPlan(scale, cabinet),
    doors: cabinet
      ? design.sump.cabinet!.doors.map(({ id, face, fromM, toM }) => ({
          id,
          ...(face === 'front'
            ? {
                x1: scale.x(cabinet.fromXM + fromM),
                x2: scale.x(cabinet.fromXM + toM),
                y1: scale.y(cabinet.fromYM),
                y2: scale.y(cabinet.fromYM),
              }
            : {
                x1: scale.x(face === 'left' ? cabinet.fromXM : cabinet.toXM),
                x2: scale.x(face === 'left' ? cabinet.fromXM : cabinet.toXM),
                y1: scale.y(cabinet.fromYM + fromM),
                y2: scale.y(cabinet.fromYM + toM),
              }),
        }))
      : [],
    sump: toFloorPlan(scale, sumpRectangle(box)),
    water: spans.map(({ fromM, toM }, i) => ({
      ...design.sump.chambers[i]!,
      ...toFloorPlan(scale, { fromXM: fromM, toXM: toM, ...inside }),
    })),
    walls: design.sump.walls.map(({ id, atM, thicknessM }) => ({
      id,
      ...toFloorPlan(scale, { fromXM: atM, toXM: atM + thicknessM, ...inside }),
    })),
    pumps: design.returnSide.pumps.map(({ id, outlet }) => ({
      id,
      x: scale.x(outlet.xM - box.xM),
      y: scale.y(outlet.yM - box.yM),
    })),
  }
})

/** A narrow chamber has no room for its name. */
const NAMED_PX = 58
const PUMP_PX = 9

function move(index: number, xM: number, yM: number) {
  const at = ['sump', 'devices', index] as const
  store.edit([setTo([...at, 'xM'], xM), setTo([...at, 'yM'], yM)])
}
</script>

<template>
  <figure ref="frame" class="relative" aria-labelledby="room-title">
    <figcaption id="room-title" class="caption absolute left-3 top-1.5 z-10">
      From above, to scale, the front at the bottom
    </figcaption>
    <svg
      v-if="drawing"
      :width="width"
      :height="height"
      role="group"
      aria-label="Plan of sump and cabinet"
      class="absolute inset-0"
    >
      <template v-if="drawing.cabinet">
        <rect
          v-bind="drawing.cabinet"
          fill="var(--sunk)"
          stroke="var(--ink-soft)"
          stroke-width="5"
          data-testid="cabinet"
        />
        <line
          v-for="door in drawing.doors"
          :key="door.id"
          v-bind="door"
          stroke="var(--sheet)"
          stroke-width="6"
        />
        <line
          v-for="door in drawing.doors"
          :key="`${door.id} edge`"
          v-bind="door"
          stroke="var(--lichen-mark)"
          stroke-width="2"
          stroke-dasharray="5 4"
        />
      </template>
      <rect v-bind="drawing.sump" fill="var(--sheet)" stroke="var(--glass)" stroke-width="2" />
      <g v-for="chamber in drawing.water" :key="chamber.id">
        <rect
          :x="chamber.x"
          :y="chamber.y"
          :width="chamber.width"
          :height="chamber.height"
          fill="var(--water-light)"
          fill-opacity="0.5"
        />
        <text
          v-if="chamber.width > NAMED_PX"
          :x="chamber.x + chamber.width / 2"
          :y="chamber.y + 15"
          text-anchor="middle"
          font-size="12"
          fill="var(--ink-soft)"
        >
          {{ chamber.name }}
        </text>
      </g>
      <rect v-for="wall in drawing.walls" :key="wall.id" v-bind="wall" fill="var(--glass)" />
      <g v-for="pump in drawing.pumps" :key="pump.id">
        <circle :cx="pump.x" :cy="pump.y" :r="PUMP_PX" fill="var(--needle)" />
        <text :x="pump.x" :y="pump.y + 22" text-anchor="middle" font-size="11.5" fill="var(--ink)">
          pump
        </text>
      </g>
      <DeviceGrip
        v-for="(device, i) in store.shown!.sump.devices"
        :key="device.id"
        :device="device"
        :solved="store.solved!.treatment.devices[i]!"
        :scale="drawing.scale"
        :chosen="store.deviceId === device.id"
        @choose="store.deviceId = device.id"
        @move="(xM, yM) => move(i, xM, yM)"
      />
    </svg>
  </figure>
</template>
