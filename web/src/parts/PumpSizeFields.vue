<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { PumpPart } from '@yew-basin/core'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TickField from '../bench/TickField.vue'

/** The box around a pump, for whether it stands in its chamber; not set until the keeper has measured it. */
const model = defineModel<PumpPart['size']>({ required: true })
type Size = NonNullable<PumpPart['size']>
const ROWS = rowsOf<Size>(
  ['lengthM', 'Its length', LIMITS.deviceSize],
  ['widthM', 'Its width', LIMITS.deviceSize],
  ['heightM', 'Its height', LIMITS.deviceSize],
)
/** Sizes to begin from, of a pump of middle size, m. */
const START: Size = { lengthM: 0.12, widthM: 0.08, heightM: 0.1 }
</script>

<template>
  <TickField
    class="caption mt-1"
    label="its size, so that it is held against its chamber"
    :model-value="model !== null"
    @update:model-value="model = $event ? START : null"
  />
  <QuantityRows
    v-if="model"
    :of="model"
    :rows="ROWS"
    @change="(side, si) => (model = { ...model!, [side]: si })"
  />
</template>
