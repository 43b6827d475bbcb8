<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { WantedRange } from '@yew-basin/core'
import QuantityField from '../bench/QuantityField.vue'
import { useCurrents } from './currents-store.ts'
import { ZONE_NAMES } from './currents-words.ts'

/** The speeds wanted in each zone, with why. */
const currents = useCurrents()
function set(zone: WantedRange['zone'], change: Partial<WantedRange>) {
  const ranges = currents.scene!.ranges.map((range) =>
    range.zone === zone ? { ...range, ...change } : range,
  )
  currents.setRanges(ranges)
}
</script>

<template>
  <details>
    <summary class="heading py-1">Speeds wanted</summary>
    <ul class="space-y-2">
      <li v-for="range in currents.scene!.ranges" :key="range.zone">
        <strong class="font-semibold">{{ ZONE_NAMES[range.zone] }}</strong>
        <div class="grid grid-cols-2 gap-x-3">
          <QuantityField
            :label="`${ZONE_NAMES[range.zone]}, at least`"
            hide-label
            hint="at least"
            :limit="{ ...LIMITS.current, max: range.mostMPerS }"
            :model-value="range.leastMPerS"
            @update:model-value="set(range.zone, { leastMPerS: $event })"
          />
          <QuantityField
            :label="`${ZONE_NAMES[range.zone]}, at most`"
            hide-label
            hint="at most"
            :limit="{ ...LIMITS.current, min: range.leastMPerS }"
            :model-value="range.mostMPerS"
            @update:model-value="set(range.zone, { mostMPerS: $event })"
          />
        </div>
        <label class="block">
          <span class="sr-only">Why, for {{ ZONE_NAMES[range.zone] }}</span>
          <textarea
            class="box text-[0.88rem]"
            rows="2"
            maxlength="2000"
            :value="range.reason"
            @change="set(range.zone, { reason: ($event.target as HTMLTextAreaElement).value })"
          />
        </label>
      </li>
    </ul>
  </details>
</template>
