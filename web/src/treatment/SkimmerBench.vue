<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { setTo, type Solved, type TreatmentPlan } from '@yew-basin/core'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import BenchHead from '../bench/BenchHead.vue'
import FindingList from '../bench/FindingList.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import DevicePicker from './DevicePicker.vue'
import HeatFields from './HeatFields.vue'
import HeatFigures from './HeatFigures.vue'
import LoadFields from './LoadFields.vue'
import PlaceFields from './PlaceFields.vue'
import PluggedIn from './PluggedIn.vue'
import SkimmerCandidates from './SkimmerCandidates.vue'
import SkimmerFigures from './SkimmerFigures.vue'
import { SCHOOLS, SIZE_SAYS, TIPS } from './treatment-words.ts'
import { useDevices } from './use-devices.ts'

const KINDS = ['skimmer', 'heater', 'chiller', 'reactor', 'scrubber'] as const
const store = useDesign()
const units = useUnits()
const { own, chosen, index, add, swap, takeOut } = useDevices(
  ({ part }) => part.kind !== 'sterilizer' && part.kind !== 'flow-meter',
)
const treatment = computed(() => store.solved!.treatment)
const plan = computed(() => store.shown!.treatment)
const solved = computed(() =>
  treatment.value.devices.find(({ deviceId }) => deviceId === chosen.value?.id),
)
const skimmer = computed(
  () => treatment.value.skimmers.find(({ deviceId }) => deviceId === chosen.value?.id) ?? null,
)
const FACTORS = rowsOf<TreatmentPlan>(
  ['oversizeFrom', 'Rated for at least, times', LIMITS.oversize],
  ['oversizeTo', 'and at most, times', LIMITS.oversize],
)
/** The other factor gives way: the first is never over the second. */
function setFactor(key: 'oversizeFrom' | 'oversizeTo' | 'otherShare', to: number) {
  const { oversizeFrom, oversizeTo } = plan.value
  if (key === 'oversizeFrom' && to > oversizeTo) setBoth(to, to)
  else if (key === 'oversizeTo' && to < oversizeFrom) setBoth(to, to)
  else store.set(['treatment', key], to)
}
const setBoth = (from: number, to: number) =>
  store.edit([setTo(['treatment', 'oversizeFrom'], from), setTo(['treatment', 'oversizeTo'], to)])
/** What a school asks for, as a range of ratings. */
function wanted({ wantedM3, fitsFrom, fitsTo }: Solved<'skimmer'>['inForce']): string {
  const from = units.shown({ quantity: 'volume', si: fitsFrom * wantedM3 }).number
  return `${from} to ${units.text('volume', fitsTo * wantedM3)}`
}
</script>

<template>
  <div v-if="store.shown && store.solved" class="space-y-5 px-5 py-4">
    <BenchHead station="skimmer">What cleans the water, matched to what is put into it.</BenchHead>
    <FindingList station="skimmer" />
    <fieldset :disabled="!!store.preview" class="min-w-0 space-y-5">
      <DevicePicker :devices="own" :chosen="chosen" :kinds="KINDS" @add="add" />
      <section v-if="skimmer" aria-labelledby="schools-head">
        <h3 id="schools-head" class="heading mb-1">Two schools</h3>
        <div class="grid grid-cols-2 gap-2" role="radiogroup" aria-labelledby="schools-head">
          <label
            v-for="school in SCHOOLS"
            :key="school.value"
            class="block rounded-lg border px-3 py-2"
            :class="
              plan.school === school.value ? 'border-needle bg-needle-wash' : 'border-rule bg-sheet'
            "
            :data-school="school.value"
          >
            <span class="flex items-center gap-2 font-semibold">
              <input
                type="radio"
                name="skimmer-school"
                :checked="plan.school === school.value"
                @change="store.set(['treatment', 'school'], school.value)"
              />
              {{ school.label }}
            </span>
            <span class="block">
              {{ SIZE_SAYS[skimmer.verdicts[school.value].says]
              }}{{ TIPS[skimmer.verdicts[school.value].tipsAt ?? 'no'] }}:
              {{ units.text('volume', skimmer.verdicts[school.value].ratedM3) }} rated,
              {{ wanted(skimmer.verdicts[school.value]) }} wanted
            </span>
            <span class="caption block">{{ school.why }}</span>
          </label>
        </div>
        <div v-if="plan.school === 'oversize'" class="mt-2 grid max-w-80 grid-cols-2 gap-x-3">
          <QuantityRows :of="plan" :rows="FACTORS" @change="setFactor" />
        </div>
      </section>
      <template v-if="chosen && solved">
        <SkimmerFigures :device="chosen" :solved="solved" :skimmer="skimmer" />
        <section aria-labelledby="place-head">
          <h3 id="place-head" class="heading mb-1">Where it stands</h3>
          <PlaceFields :device="chosen" :index="index" />
          <div class="mt-2 flex gap-2">
            <RouterLink class="button" :to="`/basins/${store.basin?.id}/room`"
              >See it in the room</RouterLink
            >
            <button class="button" @click="takeOut">Take it out</button>
          </div>
        </section>
        <SkimmerCandidates v-if="skimmer" :device="chosen" @swap="swap" />
      </template>
      <LoadFields />
      <section aria-labelledby="heat-head">
        <h3 id="heat-head" class="heading mb-1">How warm it stays</h3>
        <HeatFields />
        <HeatFigures v-if="store.solved.heat" class="mt-2" :heat="store.solved.heat" />
      </section>
      <PluggedIn />
    </fieldset>
    <p class="caption border-t border-rule pt-3">
      Everything near salt water goes on a residual-current device, with a drip loop in each cable.
      Switch a heater off before the water leaves it.
    </p>
  </div>
</template>
