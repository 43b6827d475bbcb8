<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { PumpPart } from '@yew-basin/core'
import QuantityField from '../bench/QuantityField.vue'

/** The box around a pump, for whether it stands in its chamber; not set until the keeper has measured it. */
const model = defineModel<PumpPart['size']>({ required: true })
const SIDES = [
  ['lengthM', 'Its length'],
  ['widthM', 'Its width'],
  ['heightM', 'Its height'],
] as const
/** Sizes to begin from, of a pump of middle size, m. */
const START = { lengthM: 0.12, widthM: 0.08, heightM: 0.1 }
</script>

<template>
  <div>
    <label class="caption mt-1 flex items-center gap-2">
      <input
        type="checkbox"
        :checked="model !== null"
        @change="model = model === null ? START : null"
      />
      its size, so that it is held against its chamber
    </label>
    <template v-if="model">
      <QuantityField
        v-for="[side, label] in SIDES"
        :key="side"
        :label="label"
        :limit="LIMITS.deviceSize"
        :model-value="model[side]"
        @update:model-value="model = { ...model!, [side]: $event }"
      />
    </template>
  </div>
</template>
