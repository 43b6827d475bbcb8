<script setup lang="ts">
import { domainMark, type CirculationPart, type placing } from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import type { HowManyOf } from './field-work.ts'
import { START_WORDS, SURFACE_SAYS } from './currents-words.ts'

/** One, two and four of a pump in this tank, and the fewest that are enough. */
const { part } = defineProps<{ part: CirculationPart }>()
const currents = useCurrents()
const units = useUnits()
const isCounting = computed(() => currents.at?.what === 'how-many')
const share = (of: number) => `${Math.round(100 * of)} %`
const enough = computed(() => currents.counted?.enough)
/** Of more than were tried nothing is known. */
const moreWereTried = computed(() => currents.counted?.tried.at(-1) !== enough.value)
/** The tank but for its pumps, and the pump: what a count is of. */
function markOf({ domain, part: counted }: HowManyOf) {
  const streams = domain.streams.filter(({ from }) => from === 'nozzle')
  return [domainMark({ ...domain, streams }, 'coarse'), JSON.stringify(domain.ranges), counted.id]
}
const isStale = computed(() => {
  const of = currents.countedOf
  return of !== null && String(markOf(of)) !== String(markOf({ domain: currents.domain!, part }))
})
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
      @click="currents.howMany({ domain: currents.domain!, part })"
    >
      Try them
    </button>
    <div v-if="currents.counted" role="status" data-testid="how-many">
      <p v-if="isStale" class="rounded-md bg-resin-wash px-2 py-1">
        <strong class="font-semibold text-resin">Before your last change.</strong> They were tried
        with another pump or another layout; try them again.
      </p>
      <p>
        <template v-if="enough">
          <strong>{{ enough.start.pumps.length }}</strong>
          {{ enough.start.pumps.length === 1 ? 'is' : 'are' }} enough<template v-if="moreWereTried"
            >: more of them gain little</template
          >.
        </template>
        <template v-else>
          None of these will do: where the faces fare best, water stays dead. A stronger pump, or
          another aim, is wanted.
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
