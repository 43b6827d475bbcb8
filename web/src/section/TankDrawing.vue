<script setup lang="ts">
import type { DisplayTank, Solved } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import { rockHeap } from './rocks.ts'
import type { Scale } from './scale.ts'

const SIZES = ['lengthM', 'heightM', 'floorHeightM'] as const
const store = useDesign()
const { tank, solved, scale, bottom } = defineProps<{
  tank: DisplayTank
  solved: Solved<'tank'>
  scale: Scale
  /** Where the stand's legs end on the sheet. */
  bottom: number
}>()

/** Sizes that are assumed are drawn in pencil. */
const pencil = computed(() => SIZES.some((size) => store.assumed.has(`tanks[${tank.id}].${size}`)))
const shape = computed(() => {
  const z = (heightM: number) => scale.y(tank.floorHeightM + heightM)
  const left = scale.x(tank.xM)
  const right = scale.x(tank.xM + tank.lengthM)
  const sandM = Math.min(solved.sandDepthM, tank.waterLevelM)
  return {
    left,
    right,
    width: right - left,
    base: z(0),
    top: z(tank.heightM),
    rim: z(tank.rimM),
    water: z(tank.waterLevelM),
    sand: z(sandM),
    floor: bottom,
    rockShare: Math.min(1, solved.rockVolumeM3 / Math.max(solved.grossVolumeM3, 1e-6)),
  }
})
</script>

<template>
  <g>
    <g v-if="tank.floorHeightM > 0.03" fill="var(--wood)" :opacity="pencil ? 0.55 : 1">
      <rect :x="shape.left - 6" :y="shape.base + 3" :width="shape.width + 12" height="9" />
      <rect
        :x="shape.left - 2"
        :y="shape.base + 12"
        width="8"
        :height="Math.max(0, shape.floor - shape.base - 12)"
      />
      <rect
        :x="shape.right - 6"
        :y="shape.base + 12"
        width="8"
        :height="Math.max(0, shape.floor - shape.base - 12)"
      />
    </g>
    <rect
      :x="shape.left"
      :y="shape.water"
      :width="shape.width"
      :height="Math.max(0, shape.base - shape.water)"
      fill="url(#depth)"
      data-part="tank-water"
    />
    <path
      v-if="tank.displacement.rockMassKg > 0"
      :d="rockHeap({ ...shape, base: shape.sand, top: shape.water, share: shape.rockShare })"
      fill="var(--rock)"
    />
    <rect
      :x="shape.left"
      :y="shape.sand"
      :width="shape.width"
      :height="Math.max(0, shape.base - shape.sand)"
      fill="var(--sand)"
    />
    <path
      :d="`M${shape.left} ${shape.top} V${shape.base} H${shape.right} V${shape.top}`"
      fill="none"
      :stroke="pencil ? 'var(--pencil)' : 'var(--glass)'"
      :stroke-width="pencil ? 2 : 4"
      :stroke-dasharray="pencil ? '9 4' : undefined"
      stroke-linejoin="miter"
      :data-drawn="pencil ? 'pencil' : 'ink'"
    />
    <path
      :d="`M${shape.left} ${shape.rim} H${shape.right}`"
      stroke="var(--ink-soft)"
      stroke-dasharray="5 5"
    />
    <path
      :d="`M${shape.left} ${shape.water} H${shape.right}`"
      stroke="var(--water-ink)"
      stroke-width="1.6"
    />
  </g>
</template>
