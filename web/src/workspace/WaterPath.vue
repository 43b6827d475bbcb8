<script setup lang="ts">
import { leadOf, worstBlocked, type SolvedBasin } from '@yew-basin/core'
import { computed, useTemplateRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import StateMark from '../shell/StateMark.vue'
import { SIZE_SAYS } from '../treatment/treatment-words.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from './design-store.ts'
import { STATION_NAMES } from './stations.ts'

const { station } = defineProps<{ station: string }>()
const store = useDesign()
const units = useUnits()

const length = (si: number, bandSi?: number) => units.text('length', si, bandSi)

/** The thickest sheet of water over any rim. */
function overflowFigure({ overflows }: SolvedBasin): string {
  if (overflows.length === 0) return 'not set yet'
  const { headM, headBandM } = overflows.reduce((a, b) => (b.headM > a.headM ? b : a))
  return `${length(headM, headBandM)} over the rim`
}

function drainsFigure({ overflows, drains }: SolvedBasin): string {
  const left = worstBlocked(overflows)
  if (left === null) {
    return drains.length > 0 || overflows.length === 0 ? 'not set yet' : 'none needed'
  }
  const { leftM, marginBandM } = left
  return leftM === null
    ? 'spills with one blocked'
    : `${length(leftM, marginBandM)} left, one blocked`
}

function sumpFigure({ sump: { outage } }: SolvedBasin): string {
  if (!outage) return 'sizes not set yet'
  const { leftM, marginBandM } = outage
  return leftM === null ? 'spills in a power cut' : `${length(leftM, marginBandM)} left, power cut`
}

function returnFigure(solved: SolvedBasin): string {
  const { flowM3PerS, flowBandM3PerS } = solved.returnSide
  const { headM, headBandM } = leadOf(solved).pump
  return `${units.text('flow', flowM3PerS, flowBandM3PerS)} at ${units.text('head', headM, headBandM)}`
}

function skimmerFigure({ treatment: { skimmers, devices } }: SolvedBasin): string {
  const [first] = skimmers
  if (first?.depth && first.depth.says !== 'right') return `stands too ${first.depth.says}`
  if (first) return `skimmer ${SIZE_SAYS[first.inForce.says]}`
  return devices.length > 0 ? 'no skimmer' : 'none set yet'
}

function sterilizerFigure({ treatment: { sterilizers } }: SolvedBasin): string {
  const [first] = sterilizers
  if (!first) return 'none set yet'
  if (first.doseJPerM2 === null) return 'no water passes it'
  const dose = units.text('dose', first.doseJPerM2, first.doseBandJPerM2)
  return `${dose} at ${units.text('flow', first.flowM3PerS, first.flowBandM3PerS)}`
}

/** On a phone the path is wider than the screen: the open station is brought into it. */
const list = useTemplateRef<HTMLElement>('list')
watch(
  [() => station, list],
  () =>
    list.value
      ?.querySelector('[aria-current=step]')
      ?.scrollIntoView?.({ block: 'nearest', inline: 'center' }),
  { flush: 'post' },
)

const stations = computed(() => {
  const { solved, standings } = store
  if (!solved || !standings) return []
  const { tanks, totals } = solved
  return [
    {
      id: 'tank',
      name: tanks.length > 1 ? 'Tanks and targets' : STATION_NAMES.tank,
      figure: `${units.text('volume', totals.netVolumeM3)} net, wants ${units.text('flow', totals.wantedFlowM3PerS)}`,
      standing: standings.tank,
    },
    {
      id: 'overflow',
      name: STATION_NAMES.overflow,
      figure: overflowFigure(solved),
      standing: standings.overflow,
    },
    {
      id: 'drains',
      name: STATION_NAMES.drains,
      figure: drainsFigure(solved),
      standing: standings.drains,
    },
    { id: 'sump', name: STATION_NAMES.sump, figure: sumpFigure(solved), standing: standings.sump },
    {
      id: 'return',
      name: STATION_NAMES.return,
      figure: returnFigure(solved),
      standing: standings.return,
    },
    {
      id: 'skimmer',
      name: STATION_NAMES.skimmer,
      figure: skimmerFigure(solved),
      standing: standings.skimmer,
    },
    {
      id: 'sterilizer',
      name: STATION_NAMES.sterilizer,
      figure: sterilizerFigure(solved),
      standing: standings.sterilizer,
    },
  ]
})
</script>

<template>
  <nav aria-label="The water’s way" class="px-3 py-3 lg:py-4">
    <p class="caption mb-2 hidden px-2 lg:block">The water’s way</p>
    <ol
      ref="list"
      class="path-line relative flex gap-2 overflow-x-auto lg:flex-col lg:overflow-visible"
    >
      <li v-for="place in stations" :key="place.id" class="relative w-36 flex-none lg:w-auto">
        <RouterLink
          :to="`/basins/${store.basin?.id}/${place.id}`"
          class="flex gap-2.5 rounded-lg px-2 py-2"
          :class="place.id === station ? 'bg-needle-wash' : 'hover:bg-sunk'"
          :aria-current="place.id === station ? 'step' : undefined"
        >
          <StateMark :state="place.standing.state" :size="18" class="relative mt-0.5" />
          <span class="min-w-0">
            <span class="block font-semibold leading-tight">{{ place.name }}</span>
            <span class="caption block">{{ place.figure }}</span>
            <span v-if="place.standing.assumed.length > 0" class="caption block italic">
              {{ place.standing.assumed.length }} assumed
            </span>
          </span>
        </RouterLink>
      </li>
    </ol>
    <p class="caption mt-6 hidden px-2 lg:block">
      <kbd class="font-mono">[</kbd> and <kbd class="font-mono">]</kbd> step along it.
    </p>
  </nav>
</template>

<style scoped>
@media (min-width: 64rem) {
  .path-line::before {
    content: '';
    position: absolute;
    left: 15.5px;
    top: 18px;
    bottom: 30px;
    width: 3px;
    background: var(--water-light);
  }
}
</style>
