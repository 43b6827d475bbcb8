<script setup lang="ts">
/** The engineer's mark for a free water surface, with its name and height. */
defineProps<{ x: number; y: number; text: string; anchor?: 'start' | 'end' }>()
</script>

<template>
  <g>
    <path
      :d="`M${x - 6} ${y - 9} H${x + 6} L${x} ${y - 1} Z`"
      fill="var(--sheet)"
      stroke="var(--water-ink)"
      stroke-width="1.4"
    />
    <path
      :d="`M${x - 8} ${y + 4} H${x + 8} M${x - 4} ${y + 7} H${x + 4}`"
      stroke="var(--water-ink)"
      stroke-width="1.2"
    />
    <text
      :x="anchor === 'end' ? x - 12 : x + 12"
      :y="y - 4"
      :text-anchor="anchor ?? 'start'"
      class="label halo"
      fill="var(--ink)"
      >{{ text }}</text
    >
  </g>
</template>

<style scoped>
.label {
  font-size: 13px;
}
</style>
