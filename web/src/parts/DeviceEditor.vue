<script setup lang="ts">
import { LIMITS, type Limit } from '@yew-basin/contract/limits'
import type { DevicePart, LoadClass, SkimmerSpec, SterilizerSpec } from '@yew-basin/core'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import TickField from '../bench/TickField.vue'
import { NOISES, SKIMMER_FORMS } from '../treatment/treatment-words.ts'
import { litresAnHour } from './part-words.ts'

/** A skimmer, a sterilizer or another device, as its box prints it. */
const model = defineModel<DevicePart>({ required: true })

type Field<T> = readonly [keyof T & string, string, Limit]

const SIZES: readonly Field<DevicePart>[] = [
  ['lengthM', 'Length of its box', LIMITS.deviceSize],
  ['widthM', 'Width of its box', LIMITS.deviceSize],
  ['heightM', 'Height, foot to top', LIMITS.deviceSize],
  ['sectionM2', 'Takes of the surface', LIMITS.footprint],
  ['handM', 'Room for a hand', LIMITS.reach],
  ['powerW', 'Power from the wall', LIMITS.devicePower],
  ['priceClass', 'Price, 1 to 5', LIMITS.priceClass],
]
const SKIMMER: readonly Field<SkimmerSpec>[] = [
  ['flowM3PerS', 'Water through it', LIMITS.deviceFlow],
  ['airM3PerS', 'Air it draws', LIMITS.deviceFlow],
  ['bodyM3', 'Water in its body', LIMITS.body],
  ['neckBoreM', 'Bore of its neck', LIMITS.neck],
  ['givesBackM3', 'Falls back when it stops', LIMITS.submerged],
  ['cupLiftM', 'Its cup rises by', LIMITS.reach],
]
const RATINGS: readonly (readonly [LoadClass, string])[] = [
  ['light', 'Rated at a light load'],
  ['medium', 'Rated at a medium load'],
  ['heavy', 'Rated at a heavy load'],
]
const BY_MAKER: readonly Field<SterilizerSpec>[] = [
  ['ratedDoseJPerM2', 'Printed dose', LIMITS.dose],
  ['ratedFlowM3PerS', 'at a flow of', LIMITS.ratedFlow],
]
const BY_LAMP: readonly Field<SterilizerSpec>[] = [
  ['uvcPowerW', 'Ultraviolet C of the lamp', LIMITS.pumpPower],
  ['arcLengthM', 'Lit length', LIMITS.arc],
  ['sleeveDiameterM', 'Sleeve, outside', LIMITS.bore],
  ['chamberBoreM', 'Chamber, inside', LIMITS.chamberBore],
  ['transmittancePerCm', '1 cm of water lets through', LIMITS.factor],
  ['mixingFactor', 'Mixing', LIMITS.factor],
]
const LAMP: readonly Field<SterilizerSpec>[] = [
  ['ratedHoursS', 'Lamp rated for', LIMITS.lampHours],
  ['pullOutM', 'Room to draw the lamp', LIMITS.reach],
  ['portBoreM', 'Bore of its ports', LIMITS.bore],
]

const give = (change: Partial<DevicePart>) => (model.value = { ...model.value, ...change })
const skims = (change: Partial<SkimmerSpec>) =>
  give({ skimmer: { ...model.value.skimmer!, ...change } })
const lights = (change: Partial<SterilizerSpec>) =>
  give({ sterilizer: { ...model.value.sterilizer!, ...change } })
const window = (change: Partial<NonNullable<DevicePart['window']>>) =>
  give({ window: { ...model.value.window!, ...change } })
const FIRST_WINDOW = { leastM3PerS: litresAnHour(200), mostM3PerS: litresAnHour(1000) }
const FIRST_DEPTH = { leastM: 0.18, mostM: 0.22 }
</script>

<template>
  <div class="space-y-3">
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        v-for="[key, label, limit] in SIZES"
        :key="key"
        :label="label"
        :limit="limit"
        :model-value="model[key] as number"
        @update:model-value="give({ [key]: $event })"
      />
      <ChoiceField
        label="Its noise"
        :options="NOISES"
        :model-value="model.noise"
        @update:model-value="give({ noise: $event })"
      />
    </div>
    <TickField
      label="Its speed can be set"
      :model-value="model.control === 'controllable'"
      @update:model-value="give({ control: $event ? 'controllable' : 'fixed-speed' })"
    />
    <TickField
      label="It wants a flow between two bounds"
      :model-value="model.window !== null"
      @update:model-value="give({ window: $event ? FIRST_WINDOW : null })"
    />
    <div v-if="model.window" class="grid grid-cols-2 gap-x-3">
      <QuantityField
        label="Least flow"
        :limit="{ ...LIMITS.deviceFlow, max: model.window.mostM3PerS }"
        :model-value="model.window.leastM3PerS"
        @update:model-value="window({ leastM3PerS: $event })"
      />
      <QuantityField
        label="Most flow"
        :limit="{ ...LIMITS.deviceFlow, min: model.window.leastM3PerS }"
        :model-value="model.window.mostM3PerS"
        @update:model-value="window({ mostM3PerS: $event })"
      />
    </div>
    <div v-if="model.skimmer" class="grid grid-cols-2 gap-x-3 gap-y-2">
      <ChoiceField
        label="It stands"
        :options="SKIMMER_FORMS"
        :model-value="model.skimmer.form"
        @update:model-value="
          skims({ form: $event, wantsDepth: $event === 'internal' ? FIRST_DEPTH : null })
        "
      />
      <QuantityField
        v-for="[load, label] in RATINGS"
        :key="load"
        :label="label"
        :limit="LIMITS.ratedVolume"
        :model-value="model.skimmer.ratedM3[load]"
        @update:model-value="skims({ ratedM3: { ...model.skimmer.ratedM3, [load]: $event } })"
      />
      <QuantityField
        v-for="[key, label, limit] in SKIMMER"
        :key="key"
        :label="label"
        :limit="limit"
        :model-value="model.skimmer[key] as number"
        @update:model-value="skims({ [key]: $event })"
      />
      <template v-if="model.skimmer.wantsDepth">
        <QuantityField
          label="Least water it works in"
          :limit="{ ...LIMITS.sumpHeight, max: model.skimmer.wantsDepth.mostM }"
          :model-value="model.skimmer.wantsDepth.leastM"
          @update:model-value="
            skims({ wantsDepth: { ...model.skimmer.wantsDepth, leastM: $event } })
          "
        />
        <QuantityField
          label="Most water it works in"
          :limit="{ ...LIMITS.sumpHeight, min: model.skimmer.wantsDepth.leastM }"
          :model-value="model.skimmer.wantsDepth.mostM"
          @update:model-value="
            skims({ wantsDepth: { ...model.skimmer.wantsDepth, mostM: $event } })
          "
        />
      </template>
    </div>
    <div v-if="model.sterilizer" class="grid grid-cols-2 gap-x-3 gap-y-2">
      <ChoiceField
        class="col-span-2"
        label="Its dose is known"
        :options="[
          { value: 'maker', label: 'from its maker, at one flow' },
          { value: 'lamp', label: 'from lamp and chamber' },
        ]"
        :model-value="model.sterilizer.by"
        @update:model-value="lights({ by: $event })"
      />
      <QuantityField
        v-for="[key, label, limit] in [
          ...(model.sterilizer.by === 'maker' ? BY_MAKER : BY_LAMP),
          ...LAMP,
        ]"
        :key="key"
        :label="label"
        :limit="limit"
        :model-value="model.sterilizer[key] as number"
        @update:model-value="lights({ [key]: $event })"
      />
    </div>
  </div>
</template>
