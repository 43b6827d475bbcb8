<script setup lang="ts">
import { say, whatMatters } from '@yew-basin/core'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** What brings the band of a line's flow, and what one step of each choice does to it. */
const { lineId } = defineProps<{ lineId: string }>()
const store = useDesign()
const units = useUnits()

/** Half a dozen designs are tried for it: not at every keystroke, but once typing rests. */
const calm = refDebounced(
  computed(() => store.shown),
  300,
)
const found = computed(() => (calm.value ? whatMatters(calm.value, lineId) : null))
const percent = (share: number) => `${Math.round(share * 100)}%`
const widest = computed(() =>
  Math.max(...(found.value?.steps.map(({ byM3PerS }) => Math.abs(byM3PerS)) ?? []), 1e-12),
)
const most = computed(() =>
  Math.max(...(found.value?.lifts.map(({ flowM3PerS }) => flowM3PerS || 0) ?? []), 1e-12),
)
const by = (si: number) => `${si < 0 ? '' : '+'}${units.text('flow', si)}`
</script>

<template>
  <section
    v-if="found"
    aria-label="What matters most"
    class="mb-3 rounded-lg bg-sunk px-3 py-2.5 text-[0.9rem]"
    data-testid="what-matters"
  >
    <h3 class="font-semibold">What its band comes from</h3>
    <ul class="mt-1">
      <li v-for="matter in found.matters" :key="matter.name.text" class="py-1">
        <span class="flex items-baseline gap-2">
          <span class="grow">{{ say(matter.name, units.family) }}</span>
          <span class="tabular-nums">{{ percent(matter.share) }}</span>
        </span>
        <span class="mt-0.5 block h-1.5 rounded-full bg-rule">
          <span
            class="block h-full rounded-full bg-[var(--water-ink)]"
            :style="{ width: percent(matter.share) }"
          />
        </span>
        <span class="caption">{{ say(matter.shrink, units.family) }}</span>
      </li>
    </ul>
    <template v-if="found.steps.length > 0">
      <h3 class="mt-2 font-semibold">One step of each choice</h3>
      <ul class="mt-1">
        <li v-for="step in found.steps" :key="say(step.change, 'metric')" class="py-0.5">
          <span class="flex items-baseline gap-2">
            <span class="grow">{{ say(step.change, units.family) }}</span>
            <span class="whitespace-nowrap tabular-nums">{{ by(step.byM3PerS) }}</span>
          </span>
          <span class="mt-0.5 block h-1.5 rounded-full bg-rule">
            <span
              class="block h-full rounded-full"
              :class="step.byM3PerS < 0 ? 'bg-[var(--resin-mark)]' : 'bg-[var(--lichen-mark)]'"
              :style="{ width: percent(Math.abs(step.byM3PerS) / widest) }"
            />
          </span>
        </li>
      </ul>
    </template>
    <template v-if="found.lifts.length > 0">
      <h3 class="mt-2 font-semibold">Were the lift another</h3>
      <ul class="mt-1">
        <li
          v-for="lift in found.lifts"
          :key="lift.liftM"
          class="grid grid-cols-[4.5rem_1fr_5.5rem] items-center gap-2 py-0.5"
        >
          <span class="whitespace-nowrap tabular-nums">{{ units.text('head', lift.liftM) }}</span>
          <span class="block h-1.5 rounded-full bg-rule">
            <span
              class="block h-full rounded-full bg-[var(--water-ink)]"
              :style="{ width: percent(Math.max(0, lift.flowM3PerS || 0) / most) }"
            />
          </span>
          <span class="whitespace-nowrap text-right tabular-nums">{{
            units.text('flow', lift.flowM3PerS, found.bandM3PerS)
          }}</span>
        </li>
      </ul>
    </template>
    <p class="caption mt-2">
      Shares are of the squared band; steps are solved anew, the lift with all levels held.
    </p>
  </section>
</template>
