<script setup lang="ts">
import type { Limit } from '@yew-basin/contract/limits'
import QuantityField from '../bench/QuantityField.vue'

/** A figure that stands in place of the usual one only when the keeper has it. */
defineProps<{ label: string; field: string; limit: Limit; start: number }>()
const model = defineModel<number | null>({ required: true })
</script>

<template>
  <label class="caption mt-1 flex items-center gap-2">
    <input
      type="checkbox"
      :checked="model !== null"
      @change="model = model === null ? start : null"
    />
    {{ label }}
  </label>
  <QuantityField
    v-if="model !== null"
    :label="field"
    hide-label
    :limit="limit"
    :model-value="model"
    @update:model-value="model = $event"
  />
</template>
