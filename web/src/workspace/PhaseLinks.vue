<script setup lang="ts">
import { RouterLink } from 'vue-router'
import { useLastPlaces } from './last-places.ts'
import { PHASES, type Phase } from './phases.ts'

/** The phases of the job: in the header, and on a phone under the thumb. */
const { basinId, now } = defineProps<{ basinId: string; now: Phase }>()
const places = useLastPlaces()
</script>

<template>
  <nav aria-label="Phases" class="flex gap-1">
    <RouterLink
      v-for="phase in PHASES"
      :key="phase.id"
      :to="places.toPhase(basinId, phase)"
      class="rounded-md px-3 py-0.5 text-center font-semibold text-ink-soft hover:bg-sunk max-md:grow max-md:leading-11"
      :class="{ 'bg-needle-wash text-needle!': phase === now }"
      :aria-current="phase === now ? 'true' : undefined"
    >
      {{ phase.label }}
    </RouterLink>
  </nav>
</template>
