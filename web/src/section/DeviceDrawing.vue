<script setup lang="ts">
import type { DrawnDevice } from './sump-drawing.ts'

/** A device in the section: its box, its stand, and a skimmer's neck and cup. */
defineProps<{ device: DrawnDevice }>()
/** The cup takes the top of a skimmer, the neck the part below it. */
const CUP = 0.2
const NECK = 0.16
</script>

<template>
  <g :data-part="`device ${device.id}`">
    <title>{{ device.name }}</title>
    <template v-if="device.standPx > 1">
      <path
        :d="`M${device.x + 2} ${device.y + device.height} v${device.standPx} M${device.x + device.width - 2} ${device.y + device.height} v${device.standPx} M${device.x} ${device.y + device.height} h${device.width}`"
        stroke="var(--ink-soft)"
        stroke-width="2"
        fill="none"
      />
    </template>
    <path
      v-if="device.skims && !device.outside"
      :d="`M${device.x} ${device.y} h${device.width} v${device.height * CUP} h${-device.width * 0.22} v${device.height * NECK} l${device.width * 0.22} ${device.height * 0.12} V${device.y + device.height} h${-device.width} V${device.y + device.height * (CUP + NECK + 0.12)} l${device.width * 0.22} ${-device.height * 0.12} v${-device.height * NECK} h${-device.width * 0.22} Z`"
      fill="var(--sheet)"
      fill-opacity="0.72"
      stroke="var(--ink-soft)"
      stroke-width="1.4"
      stroke-linejoin="round"
    />
    <rect
      v-else
      :x="device.x"
      :y="device.y"
      :width="device.width"
      :height="device.height"
      rx="3"
      :fill="device.outside ? 'none' : 'var(--sheet)'"
      fill-opacity="0.72"
      :stroke="device.outside ? 'var(--glass)' : 'var(--ink-soft)'"
      :stroke-dasharray="device.outside ? '2 4' : undefined"
      stroke-width="1.2"
    />
  </g>
</template>
