<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import FigureRow from '../bench/FigureRow.vue'
import BenchHead from '../bench/BenchHead.vue'
import FindingList from '../bench/FindingList.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import DevicePicker from './DevicePicker.vue'
import { doseChart, type Lit } from './dose-chart.ts'
import LampFields from './LampFields.vue'
import PlaceFields from './PlaceFields.vue'
import SkimmerFigures from './SkimmerFigures.vue'
import SterilizerCandidates from './SterilizerCandidates.vue'
import TargetRows from './TargetRows.vue'
import { useDevices } from './use-devices.ts'

const PlainChart = defineAsyncComponent(() => import('../shell/PlainChart.vue'))
const KINDS = ['sterilizer', 'flow-meter'] as const
const LIT: ReadonlySet<string> = new Set(KINDS)
const store = useDesign()
const units = useUnits()
const { own, chosen, index, add, swap, takeOut } = useDevices(({ part }) => LIT.has(part.kind))
const lit = computed(
  () =>
    store.solved!.treatment.sterilizers.find(({ deviceId }) => deviceId === chosen.value?.id) ??
    null,
)
const device = computed(() =>
  store.solved!.treatment.devices.find(({ deviceId }) => deviceId === chosen.value?.id),
)
const drawn = computed((): Lit | null => {
  const { targets, targetId } = store.shown!.treatment
  const target = targets.find(({ id }) => id === targetId) ?? targets[0]
  return lit.value && target
    ? {
        lit: lit.value,
        water: store.solved!.treatment.load,
        targets,
        target,
      }
    : null
})
const removal = computed(() =>
  lit.value?.targets.find(({ targetId }) => targetId === drawn.value?.target.id),
)
const chamber = (id: string | null) =>
  store.shown!.sump.chambers.find((chamber) => chamber.id === id)?.name ?? 'the tank'
const way = computed(() => {
  const sterilizer = lit.value
  if (!sterilizer || sterilizer.fromChamberId === null) return ''
  const from = chamber(sterilizer.fromChamberId)
  const to = chamber(sterilizer.toChamberId)
  const skipped = sterilizer.skips.map((id) => chamber(id)).join(', ')
  const { flowM3PerS: main, flowBandM3PerS: band } = store.solved!.returnSide
  if (!skipped) return `From ${from} to ${to}.`
  return sterilizer.flowM3PerS < main
    ? `From ${from} to ${to}, past ${skipped}. It matters little: the return moves ${units.text('flow', main, band)}, so what it skips is passed many times by the rest.`
    : `From ${from} to ${to}, past ${skipped}. More goes through it than the return brings: those chambers see less water than the sump does.`
})
const inWords = computed(() => {
  const sterilizer = lit.value
  if (!sterilizer || sterilizer.doseJPerM2 === null || !removal.value)
    return 'Dose and removal against flow'
  return `At ${units.text('flow', sterilizer.flowM3PerS, sterilizer.flowBandM3PerS)} the dose is ${units.text('dose', sterilizer.doseJPerM2, sterilizer.doseBandJPerM2)} and ${units.text('rate', removal.value.removalPerS, removal.value.removalBandPerS)} are removed; less flow gives more dose, more flow more removal.`
})
</script>

<template>
  <div v-if="store.shown && store.solved" class="space-y-5 px-5 py-4">
    <BenchHead station="sterilizer"
      >What the light does to water that passes it, and to the tank.</BenchHead
    >
    <FindingList station="sterilizer" />
    <fieldset :disabled="!!store.preview" class="min-w-0 space-y-5">
      <DevicePicker :devices="own" :chosen="chosen" :kinds="KINDS" @add="add" />
      <SkimmerFigures
        v-if="chosen && device && !lit"
        :device="chosen"
        :solved="device"
        :skimmer="null"
      />
      <template v-if="chosen && lit && device">
        <section aria-label="Figures">
          <dl class="facts">
            <dt>Its line brings it</dt>
            <dd>{{ units.text('flow', lit.flowM3PerS, lit.flowBandM3PerS) }}</dd>
          </dl>
          <FigureRow
            v-if="lit.doseJPerM2 !== null"
            figure="dose"
            label="Dose"
            :device-id="chosen.id"
            :value="{ quantity: 'dose', si: lit.doseJPerM2 }"
            :band="lit.doseBandJPerM2"
          />
          <FigureRow
            v-if="removal"
            figure="removal"
            label="Removed from the tank"
            :device-id="chosen.id"
            :value="{ quantity: 'rate', si: removal.removalPerS }"
            :band="removal.removalBandPerS"
          />
          <dl class="facts">
            <dt>The lamp has left</dt>
            <dd>{{ units.text('share', lit.ageing) }}</dd>
            <dt>until its hours are over</dt>
            <dd>{{ lit.lampLeftS > 0 ? units.text('duration', lit.lampLeftS) : 'past them' }}</dd>
            <dt>Power</dt>
            <dd>{{ units.text('power', device.powerW) }}</dd>
          </dl>
          <p v-if="way" class="caption mt-1">{{ way }}</p>
        </section>
        <section v-if="drawn" aria-labelledby="dose-head">
          <h3 id="dose-head" class="heading">Slow for dose, fast for turnover</h3>
          <PlainChart
            name="dose"
            class="h-64"
            :in-words="inWords"
            :option="(colour) => doseChart(drawn!, units.family, colour)"
            data-testid="dose-chart"
          />
          <p class="caption">
            <span class="font-semibold text-needle">Line: dose.</span>
            <span class="font-semibold text-(--water-ink)"> Dashes: removal from the tank.</span>
            Dots: this branch. Shaded: flows that give the dose for {{ drawn.target.organism }}.
          </p>
        </section>
        <TargetRows :lit="lit" />
        <SterilizerCandidates :device="chosen" @swap="swap" />
        <LampFields v-if="chosen.lamp" :lamp="chosen.lamp" :index="index" />
      </template>
      <section v-if="chosen" aria-labelledby="place-head">
        <h3 id="place-head" class="heading mb-1">Where it is</h3>
        <PlaceFields :device="chosen" :index="index" />
        <button class="button mt-2" @click="takeOut">Take it out</button>
      </section>
    </fieldset>
    <p class="caption border-t border-rule pt-3">
      Ultraviolet C hurts eyes and skin: never look at a lit lamp, switch it off at the wall before
      it is opened. Never lit without flow. Salt-safe parts only. It is no treatment plan for sick
      animals.
    </p>
  </div>
</template>
