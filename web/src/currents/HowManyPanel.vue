<script setup lang="ts">
import type { CirculationPart, placing } from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import { START_WORDS, SURFACE_SAYS } from './currents-words.ts'

/** One, two and four of a pump in this tank, and the fewest that are enough. */
const { part } = defineProps<{ part: CirculationPart }>()
const currents = useCurrents()
const units = useUnits()
const isCounting = computed(() => currents.at?.what === 'how-many')
const share = (of: number) => `${Math.round(100 * of)} %`
const enough = computed(() => currents.counted?.enough)
const isBare = computed(() => currents.counted?.tried[0]?.verdict.zones.length === 0)
function take({ start }: placing.SoMany) {
  currents.setPumps(start.pumps)
  currents.chosen = null
}
</script>

<template>
  <section aria-labelledby="many-head" class="space-y-2">
    <h3 id="many-head" class="heading">How many do I need?</h3>
    <p class="text-[0.92rem]">
      One, two and four of {{ part.name }} as they are usually begun, each as a coarse field.
    </p>
    <div v-if="isCounting" class="flex items-center gap-2">
      <progress class="grow" :value="currents.at!.share" max="1" aria-label="Numbers are tried" />
      <span class="caption w-9 text-right">{{ share(currents.at!.share) }}</span>
      <button class="button" @click="currents.stop()">Stop</button>
    </div>
    <button
      v-else
      class="button"
      :disabled="!!currents.at"
      @click="currents.howMany(currents.domain!, part)"
    >
      Try them
    </button>
    <div v-if="currents.counted" role="status" data-testid="how-many">
      <p>
        <template v-if="enough">
          <strong>{{ enough.start.pumps.length }}</strong>
          {{ enough.start.pumps.length === 1 ? 'is' : 'are' }} enough: more gain little.
        </template>
        <template v-else>
          None of these is enough: water stays dead. A stronger pump, or another aim, is wanted.
        </template>
      </p>
      <ul class="divide-y divide-rule">
        <li
          v-for="row in currents.counted.tried"
          :key="row.start.name"
          class="flex items-center gap-2 py-1"
          :class="{ 'bg-needle-wash': row === enough }"
        >
          <span class="grow">
            <span class="font-semibold">{{ START_WORDS[row.start.name] }}</span>
            <span class="caption block">
              {{ share(row.share) }} {{ isBare ? 'of the water moves' : 'of the faces as wanted' }},
              {{ share(row.verdict.deadShare) }} dead; surface
              {{ SURFACE_SAYS[row.verdict.surfaceSays] }};
              {{ units.text('power', row.powerW) }}
            </span>
          </span>
          <button
            class="button shrink-0"
            :aria-label="`Begin with: ${START_WORDS[row.start.name]}`"
            @click="take(row)"
          >
            Take it
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>
