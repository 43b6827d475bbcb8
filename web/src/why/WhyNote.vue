<script setup lang="ts">
import { explaining, type Finding, say, type Station } from '@yew-basin/core'
import { computed, defineAsyncComponent, ref, useId } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** Why a stop, or a finding, is so: the ideas it turns on, each with a drawing, opened when asked. */
const { station, finding = null } = defineProps<{
  station: Station
  finding?: Finding | null
  /** What it is asked of, for the ear. */
  about: string
}>()
const IdeaPicture = defineAsyncComponent(() => import('./IdeaPicture.vue'))
const store = useDesign()
const units = useUnits()
const id = useId()
const open = ref(false)
const ideas = computed(() => {
  if (!open.value || !store.solved) return []
  return finding
    ? explaining.ideasOfFinding(store.solved, finding)
    : explaining.ideasOfStation(store.solved, station)
})
</script>

<template>
  <div>
    <button
      class="confirm caption -ml-[0.3rem]"
      :aria-label="`Why is this so? ${about}`"
      :aria-expanded="open"
      :aria-controls="id"
      @click="open = !open"
    >
      Why is this so?
    </button>
    <ul v-if="open" :id="id" class="mb-2 mt-1 space-y-4" data-testid="ideas">
      <li v-for="idea in ideas" :key="idea.name">
        <IdeaPicture :name="idea.name" />
        <p class="mt-1.5 font-semibold leading-snug">{{ say(idea.title, units.family) }}</p>
        <p class="text-[0.92rem]">{{ say(idea.holds, units.family) }}</p>
        <p v-if="idea.here" class="mt-1 text-[0.92rem] italic">
          {{ say(idea.here, units.family) }}
        </p>
      </li>
    </ul>
  </div>
</template>
