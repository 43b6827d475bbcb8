<script setup lang="ts">
import { useDesign } from '../workspace/design-store.ts'

/** Which tank the bench is about, where there are several. */
const store = useDesign()
</script>

<template>
  <div
    v-if="store.shown && store.shown.tanks.length > 1"
    class="flex flex-wrap gap-1"
    role="group"
    aria-label="Tank"
  >
    <button
      v-for="(tank, i) in store.shown.tanks"
      :key="tank.id"
      class="rounded-md px-2.5 py-1"
      :class="i === store.tankIndex ? 'bg-needle-wash font-semibold text-needle' : 'hover:bg-sunk'"
      :aria-pressed="i === store.tankIndex"
      @click="store.tankId = tank.id"
    >
      {{ tank.name }}
    </button>
  </div>
</template>
