<script setup lang="ts">
import { say } from '@yew-basin/core'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'
import { STATION_NAMES, STATIONS } from '../workspace/stations.ts'
import { useDesign } from '../workspace/design-store.ts'

/** What came out: the flow with its band, what stands in the way, what is assumed and where. */
defineProps<{ wantsFlow: boolean }>()
const store = useDesign()
const units = useUnits()
const SAYS = {
  stop: 'something stops it',
  watch: 'keep an eye on it',
  fine: 'fine',
  assumed: 'nothing against it',
  'not-set': 'not set yet',
} as const
const flow = computed(() => store.solved!.returnSide)
const wanted = computed(() => store.solved!.totals.wantedFlowM3PerS)
const stops = computed(() => store.solved!.findings.filter(({ severity }) => severity === 'stop'))
const stations = computed(() => STATIONS.map((id) => ({ id, ...store.standings![id] })))
</script>

<template>
  <div class="space-y-4">
    <p data-testid="start-flow">
      <span class="block text-3xl font-semibold">
        {{ units.text('flow', flow.flowM3PerS, flow.flowBandM3PerS) }}
        <span class="text-lg font-normal text-ink-soft"
          >± {{ units.band({ quantity: 'flow', si: flow.flowM3PerS }, flow.flowBandM3PerS) }}</span
        >
      </span>
      <span class="text-ink-soft"
        >at the {{ store.solved!.tanks.length > 1 ? 'tanks' : 'tank'
        }}<template v-if="wantsFlow">, of {{ units.text('flow', wanted) }} you want</template></span
      >
    </p>
    <div v-if="stops.length > 0" class="rounded-lg bg-aril-wash p-3" data-testid="start-stops">
      <p class="font-semibold text-aril">What only your own answers can change</p>
      <ul class="mt-1 space-y-2">
        <li v-for="(stop, i) in stops" :key="i">
          <strong class="font-semibold">{{ say(stop.title, units.family) }}</strong>
          <span class="block">{{ say(stop.reason, units.family) }}</span>
        </li>
      </ul>
    </div>
    <ul class="divide-y divide-rule border-y border-rule" aria-label="How each stop stands">
      <li v-for="{ id, state, assumed } in stations" :key="id">
        <RouterLink
          :to="`/basins/${store.basin?.id}/${id}`"
          class="flex items-center gap-3 px-1 py-2 hover:bg-sunk"
        >
          <StateMark :state="state" :size="16" />
          <span class="grow font-semibold">{{ STATION_NAMES[id] }}</span>
          <span class="text-ink-soft"
            >{{ SAYS[state]
            }}<template v-if="assumed.length > 0">, {{ assumed.length }} assumed</template></span
          >
        </RouterLink>
      </li>
    </ul>
    <p class="text-ink-soft">
      What you did not say is assumed: pencilled in the drawing and in its fields until you type it
      or confirm it. Measure before you buy.
    </p>
  </div>
</template>
