<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { useAtWork } from '../calc/at-work.ts'
import { useUnits } from '../shell/units.ts'

/** Long work that goes on while another view is shown: how far it is, and the way back to it. */
const works = useAtWork()
const route = useRoute()
const units = useUnits()
const elsewhere = computed(() =>
  works.value
    .filter(({ to }) => to() !== route.path)
    .map(({ words, to, progress }) => ({
      words,
      to: to()!,
      share: units.text('share', progress.value!.done / Math.max(1e-9, progress.value!.of)),
    })),
)
</script>

<template>
  <RouterLink
    v-for="work in elsewhere"
    :key="work.words"
    :to="work.to"
    class="flex-none whitespace-nowrap rounded-full border border-water-deep px-2.5 py-0.5 text-sm text-needle"
    data-testid="work-chip"
  >
    {{ work.words }} {{ work.share }}
  </RouterLink>
</template>
