<script setup lang="ts">
/** The room's floor; or, when it is far below, a note of how far and a stand drawn cut. */
defineProps<{ floor: number | null; bottom: number; width: number; belowText: string }>()
</script>

<template>
  <g v-if="floor !== null">
    <rect x="20" :y="floor" :width="Math.max(0, width - 40)" height="12" fill="url(#ground)" />
    <path :d="`M20 ${floor} H${width - 20}`" stroke="var(--ink-soft)" stroke-width="1.4" />
  </g>
  <g v-else>
    <path
      :d="`M20 ${bottom} H${width / 2 - 14} l8 -8 l12 16 l8 -8 H${width - 20}`"
      fill="none"
      stroke="var(--ink-soft)"
      stroke-width="1.2"
    />
    <text x="24" :y="bottom + 19" font-size="13" fill="var(--ink-soft)">{{ belowText }}</text>
  </g>
</template>
