<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { DevicePart, LoadClass, SkimmerSpec, SterilizerSpec } from '@yew-basin/core'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TickField from '../bench/TickField.vue'
import { NOISES, SKIMMER_FORM_CHOICES } from '../treatment/treatment-words.ts'
import { litresAnHour } from './part-words.ts'

/** A skimmer, a sterilizer or another device, as its box prints it. */
const model = defineModel<DevicePart>({ required: true })

const SIZES = rowsOf<DevicePart>(
  ['lengthM', 'Length of its box', LIMITS.deviceSize],
  ['widthM', 'Width of its box', LIMITS.deviceSize],
  ['heightM', 'Height, foot to top', LIMITS.deviceSize],
  ['sectionM2', 'Takes of the surface', LIMITS.footprint],
  ['handM', 'Room for a hand', LIMITS.reach],
  ['powerW', 'Power from the wall', LIMITS.devicePower],
  ['priceClass', 'Price, 1 to 5', LIMITS.priceClass],
)
const SKIMMER = rowsOf<SkimmerSpec>(
  ['flowM3PerS', 'Water through it', LIMITS.deviceFlow],
  ['airM3PerS', 'Air it draws', LIMITS.deviceFlow],
  ['bodyM3', 'Water in its body', LIMITS.body],
  ['neckBoreM', 'Bore of its neck', LIMITS.neck],
  ['givesBackM3', 'Falls back when it stops', LIMITS.submerged],
  ['cupLiftM', 'Its cup rises by', LIMITS.reach],
)
const RATINGS: readonly (readonly [LoadClass, string])[] = [
  ['light', 'Rated at a light load'],
  ['medium', 'Rated at a medium load'],
  ['heavy', 'Rated at a heavy load'],
]
const BY_MAKER = rowsOf<SterilizerSpec>(
  ['ratedDoseJPerM2', 'Printed dose', LIMITS.dose],
  ['ratedFlowM3PerS', 'at a flow of', LIMITS.ratedFlow],
)
const BY_LAMP = rowsOf<SterilizerSpec>(
  ['uvcPowerW', 'Ultraviolet C of the lamp', LIMITS.pumpPower],
  ['arcLengthM', 'Lit length', LIMITS.arc],
  ['sleeveDiameterM', 'Sleeve, outside', LIMITS.bore],
  ['chamberBoreM', 'Chamber, inside', LIMITS.chamberBore],
  ['transmittancePerCm', '1 cm of water lets through', LIMITS.factor],
  ['mixingFactor', 'Mixing', LIMITS.factor],
)
const LAMP = rowsOf<SterilizerSpec>(
  ['ratedHoursS', 'Lamp rated for', LIMITS.lampHours],
  ['pullOutM', 'Room to draw the lamp', LIMITS.reach],
  ['portBoreM', 'Bore of its ports', LIMITS.bore],
)

type FlowWindow = NonNullable<DevicePart['window']>
type WantedDepth = NonNullable<SkimmerSpec['wantsDepth']>

const give = (change: Partial<DevicePart>) => (model.value = { ...model.value, ...change })
const skims = (change: Partial<SkimmerSpec>) =>
  give({ skimmer: { ...model.value.skimmer!, ...change } })
const lights = (change: Partial<SterilizerSpec>) =>
  give({ sterilizer: { ...model.value.sterilizer!, ...change } })
/** Neither bound passes the other. */
const windowRows = ({ leastM3PerS, mostM3PerS }: FlowWindow) =>
  rowsOf<FlowWindow>(
    ['leastM3PerS', 'Least flow', { ...LIMITS.deviceFlow, max: mostM3PerS }],
    ['mostM3PerS', 'Most flow', { ...LIMITS.deviceFlow, min: leastM3PerS }],
  )
const depthRows = ({ leastM, mostM }: WantedDepth) =>
  rowsOf<WantedDepth>(
    ['leastM', 'Least water it works in', { ...LIMITS.sumpHeight, max: mostM }],
    ['mostM', 'Most water it works in', { ...LIMITS.sumpHeight, min: leastM }],
  )
const FIRST_WINDOW = { leastM3PerS: litresAnHour(200), mostM3PerS: litresAnHour(1000) }
const FIRST_DEPTH = { leastM: 0.18, mostM: 0.22 }
</script>

<template>
  <div class="space-y-3">
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityRows :of="model" :rows="SIZES" @change="(name, si) => give({ [name]: si })" />
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
      <QuantityRows
        :of="model.window"
        :rows="windowRows(model.window)"
        @change="(name, si) => give({ window: { ...model.window!, [name]: si } })"
      />
    </div>
    <div v-if="model.skimmer" class="grid grid-cols-2 gap-x-3 gap-y-2">
      <ChoiceField
        label="It stands"
        :options="SKIMMER_FORM_CHOICES"
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
      <QuantityRows
        :of="model.skimmer"
        :rows="SKIMMER"
        @change="(name, si) => skims({ [name]: si })"
      />
      <QuantityRows
        v-if="model.skimmer.wantsDepth"
        :of="model.skimmer.wantsDepth"
        :rows="depthRows(model.skimmer.wantsDepth)"
        @change="(name, si) => skims({ wantsDepth: { ...model.skimmer!.wantsDepth!, [name]: si } })"
      />
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
      <QuantityRows
        :of="model.sterilizer"
        :rows="[...(model.sterilizer.by === 'maker' ? BY_MAKER : BY_LAMP), ...LAMP]"
        @change="(name, si) => lights({ [name]: si })"
      />
      <TickField
        class="col-span-2"
        label="It has a wiper for its sleeve"
        :model-value="model.sterilizer.hasWiper ?? false"
        @update:model-value="lights({ hasWiper: $event })"
      />
    </div>
  </div>
</template>
