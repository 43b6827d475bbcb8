<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import QuantityField from '../bench/QuantityField.vue'
import type { BoxNumbers } from './box-numbers.ts'

/** The numbers that are on every pump's box, as fields. */
defineProps<{ numbers: BoxNumbers }>()
defineEmits<{ given: [change: Partial<BoxNumbers>] }>()
</script>

<template>
  <div class="grid grid-cols-3 gap-x-3">
    <QuantityField
      label="Most flow"
      :limit="LIMITS.pumpFlow"
      :model-value="numbers.maxFlowM3PerS ?? NaN"
      @update:model-value="$emit('given', { maxFlowM3PerS: $event })"
    />
    <QuantityField
      label="Most head"
      :limit="LIMITS.pumpHead"
      :model-value="numbers.shutOffHeadM ?? NaN"
      @update:model-value="$emit('given', { shutOffHeadM: $event })"
    />
    <QuantityField
      label="Power"
      :limit="LIMITS.pumpPower"
      :model-value="numbers.ratedPowerW ?? NaN"
      @update:model-value="$emit('given', { ratedPowerW: $event })"
    />
  </div>
</template>
