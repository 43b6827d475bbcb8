<script setup lang="ts">
import type { Device, Solved } from '@yew-basin/core'
import { computed } from 'vue'
import FigureRow from '../bench/FigureRow.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { NOISE_NAMES } from './treatment-words.ts'

/** What a device does here, stands like and costs. */
const { device, solved, skimmer } = defineProps<{
  device: Device
  solved: Solved<'device'>
  skimmer: Solved<'skimmer'> | null
}>()
const store = useDesign()
const units = useUnits()
const currency = computed(() => store.shown!.tariff?.currency ?? '')
const handM = computed(() => solved.clearance?.handM ?? null)
const WINDOW_SAYS = { within: 'gets it', below: 'too little', above: 'too much' } as const
const left = (si: number) =>
  si < 0 ? `${units.text('length', -si)} too little` : units.text('length', si)
</script>

<template>
  <section aria-label="Figures">
    <template v-if="skimmer">
      <FigureRow
        v-if="skimmer.shareOfThroughflow !== null"
        figure="shareOfThroughflow"
        label="Share of its chamber’s flow"
        :device-id="device.id"
        :value="{ quantity: 'share', si: skimmer.shareOfThroughflow }"
      />
      <FigureRow
        v-if="skimmer.systemVolumesPerH !== null"
        figure="systemVolumes"
        label="System volumes skimmed"
        :device-id="device.id"
        :value="{ quantity: 'turnover', si: skimmer.systemVolumesPerH }"
      />
      <FigureRow
        v-if="skimmer.dwellS !== null"
        figure="dwell"
        label="Dwell in its body"
        :device-id="device.id"
        :value="{ quantity: 'duration', si: skimmer.dwellS }"
      />
      <FigureRow
        figure="air"
        label="Air over its neck"
        :device-id="device.id"
        :value="{ quantity: 'air-per-neck', si: skimmer.airPerNeckMPerS }"
      />
      <FigureRow
        v-if="skimmer.depth"
        figure="skimmerDepth"
        label="Water over its foot"
        :device-id="device.id"
        :value="{ quantity: 'length', si: skimmer.depth.depthM }"
        :mark="`wants ${units.text('length', skimmer.depth.leastM)} to ${units.text('length', skimmer.depth.mostM)}`"
      />
    </template>
    <dl class="facts">
      <template v-if="skimmer?.depth">
        <dt>A stand that suits it</dt>
        <dd>{{ units.text('length', skimmer.depth.standM) }}</dd>
        <dt>or the chamber’s water at</dt>
        <dd>{{ units.text('length', skimmer.depth.wantedChamberDepthM) }}</dd>
      </template>
      <template v-if="skimmer && skimmer.aboveCupM !== null">
        <dt>Over its cup, raised to come off</dt>
        <dd>{{ left(skimmer.aboveCupM) }}</dd>
      </template>
      <template v-if="solved.clearance?.liftsOutM != null && device.part.kind !== 'heater'">
        <dt>Over the sump’s rim, lifted out whole</dt>
        <dd>{{ left(solved.clearance.liftsOutM) }}</dd>
      </template>
      <template v-if="handM !== null">
        <dt>Widest gap for a hand</dt>
        <dd>{{ units.text('length', handM) }}</dd>
      </template>
      <template v-if="solved.flowM3PerS !== null && !skimmer">
        <dt>Water that reaches it</dt>
        <dd>{{ units.text('flow', solved.flowM3PerS, solved.flowBandM3PerS) }}</dd>
        <template v-if="device.part.window && solved.window">
          <dt>
            It wants
            {{ units.shown({ quantity: 'flow', si: device.part.window.leastM3PerS }).number }} to
            {{ units.text('flow', device.part.window.mostM3PerS) }}
          </dt>
          <dd>{{ WINDOW_SAYS[solved.window] }}</dd>
        </template>
      </template>
      <template v-if="skimmer">
        <dt>Falls back when it stops</dt>
        <dd>{{ units.text('volume', skimmer.givesBackM3) }}</dd>
        <template v-if="skimmer.topOffRunsS !== null">
          <dt>then the top-off runs, at most</dt>
          <dd>{{ units.text('duration', skimmer.topOffRunsS) }}</dd>
        </template>
      </template>
      <dt>{{ solved.energyPerYearJ === null ? 'Power, while it is on' : 'Power' }}</dt>
      <dd>{{ units.text('power', solved.powerW) }}</dd>
      <template v-if="solved.costPerYear !== null">
        <dt>in a year</dt>
        <dd>{{ Math.round(solved.costPerYear) }} {{ currency }}</dd>
      </template>
      <dt>Price, 1 to 5</dt>
      <dd>{{ device.part.priceClass }}</dd>
      <dt>Noise</dt>
      <dd>{{ NOISE_NAMES[device.part.noise] }}</dd>
    </dl>
  </section>
</template>
