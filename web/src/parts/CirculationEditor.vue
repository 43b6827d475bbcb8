<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { CirculationPart } from '@yew-basin/core'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import TickField from '../bench/TickField.vue'

/** A circulation pump, as its box prints it. */
const model = defineModel<CirculationPart>({ required: true })
const give = (change: Partial<CirculationPart>) => (model.value = { ...model.value, ...change })

const ROUND = { boreM: 0.05, slotLengthM: null, slotWidthM: null }
const SLOT = { boreM: null, slotLengthM: 0.2, slotWidthM: 0.016 }
const LEAST = 0.3
</script>

<template>
  <div class="space-y-3">
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <ChoiceField
        label="Its stream comes"
        :options="[
          { value: 'jet', label: 'out of a round opening' },
          { value: 'cross-flow', label: 'out of a long slot' },
        ]"
        :model-value="model.form"
        @update:model-value="give({ form: $event, ...($event === 'jet' ? ROUND : SLOT) })"
      />
      <QuantityField
        label="Flow at full speed"
        :limit="LIMITS.circulationFlow"
        :model-value="model.flowM3PerS"
        @update:model-value="give({ flowM3PerS: $event })"
      />
      <QuantityField
        v-if="model.boreM !== null"
        label="Bore of its opening"
        :limit="LIMITS.circulationBore"
        :model-value="model.boreM"
        @update:model-value="give({ boreM: $event })"
      />
      <template v-else>
        <QuantityField
          label="Slot, long side"
          :limit="LIMITS.slotLength"
          :model-value="model.slotLengthM!"
          @update:model-value="give({ slotLengthM: $event })"
        />
        <QuantityField
          label="Slot, short side"
          :limit="LIMITS.slotShort"
          :model-value="model.slotWidthM!"
          @update:model-value="give({ slotWidthM: $event })"
        />
      </template>
      <QuantityField
        label="Power from the wall"
        :limit="LIMITS.pumpPower"
        :model-value="model.powerW"
        @update:model-value="give({ powerW: $event })"
      />
      <QuantityField
        label="Panel to opening"
        :limit="LIMITS.panelDepth"
        :model-value="model.depthM"
        @update:model-value="give({ depthM: $event })"
      />
      <QuantityField
        label="Across the panel"
        :limit="LIMITS.panelBody"
        :model-value="model.bodyM"
        @update:model-value="give({ bodyM: $event })"
      />
    </div>
    <TickField
      label="Its speed can be set"
      :model-value="model.control === 'controllable'"
      @update:model-value="
        give(
          $event
            ? { control: 'controllable', leastSpeed: LEAST }
            : { control: 'fixed-speed', leastSpeed: 1 },
        )
      "
    />
    <QuantityField
      v-if="model.control === 'controllable'"
      label="Runs from"
      :limit="LIMITS.speed"
      :model-value="model.leastSpeed"
      @update:model-value="give({ leastSpeed: $event })"
    />
  </div>
</template>
