<script setup lang="ts">
import { X } from '@lucide/vue'
import { useRouter } from 'vue-router'
import { TOUR_STEPS } from './tour-steps.ts'
import { useTour } from './tour-store.ts'

/** A step of the tour, in a row of its own: it covers nothing, and everything can be worked while it stands. */
const { basinId } = defineProps<{ basinId: string }>()
const tour = useTour()
const router = useRouter()

async function go(by: 1 | -1) {
  tour.go(by)
  if (!tour.step) return
  await router.replace(`/basins/${basinId}/${tour.step.station}`)
  // On a phone the parts stand one under the other.
  document.querySelector(`.area-${tour.step.place}`)?.scrollIntoView?.({ block: 'nearest' })
}
</script>

<template>
  <section
    v-if="tour.step"
    aria-label="Tour"
    class="flex flex-wrap items-center gap-x-4 gap-y-1.5 border-t border-rule bg-needle-wash px-4 py-2"
  >
    <p class="min-w-0 grow basis-72" aria-live="polite">
      <strong class="font-semibold">{{ tour.step.title }}.</strong> {{ tour.step.text }}
    </p>
    <span class="flex flex-none items-center gap-2">
      <span class="caption">{{ tour.at! + 1 }} of {{ TOUR_STEPS.length }}</span>
      <button v-if="tour.at! > 0" class="button" @click="go(-1)">Back</button>
      <button class="button button-main" @click="go(1)">
        {{ tour.isLast ? 'Done' : 'Next' }}
      </button>
      <button class="icon-button" aria-label="Leave the tour" @click="tour.leave">
        <X :size="16" />
      </button>
    </span>
  </section>
</template>
