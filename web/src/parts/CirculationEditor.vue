<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { CirculationPart } from '@yew-basin/core'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TickField from '../bench/TickField.vue'

/** A circulation pump, as its box prints it. */
const model = defineModel<CirculationPart>({ required: true })
const give = (change: Partial<CirculationPart>) => (model.value = { ...model.value, ...change })

const ROUND = { boreM: 0.05, slotLengthM: null, slotWidthM: null }
const SLOT = { boreM: null, slotLengthM: 0.2, slotWidthM: 0.016 }
const LEAST = 0.3
/** Those of the other form it does not have. */
const FIGURES = rowsOf<CirculationPart>(
  ['flowM3PerS', 'Flow at full speed', LIMITS.circulationFlow],
  ['boreM', 'Bore of its opening', LIMITS.circulationBore],
  ['slotLengthM', 'Slot, long side', LIMITS.slotLength],
  ['slotWidthM', 'Slot, short side', LIMITS.slotShort],
  ['powerW', 'Power from the wall', LIMITS.pumpPower],
  ['depthM', 'Panel to opening', LIMITS.panelDepth],
  ['bodyM', 'Across the panel', LIMITS.panelBody],
)
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
      <QuantityRows :of="model" :rows="FIGURES" @change="(name, si) => give({ [name]: si })" />
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
