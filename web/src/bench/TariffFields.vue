<script setup lang="ts">
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { computed } from 'vue'
import QuantityField from './QuantityField.vue'
import TextField from './TextField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** What the keeper pays for electricity. */
const store = useDesign()
const tariff = computed(() => store.shown!.tariff)
</script>

<template>
  <button
    v-if="!tariff"
    class="button mt-1"
    @click="store.set(['tariff'], { pricePerKWh: 0.3, currency: '€' })"
  >
    Say what a kWh costs
  </button>
  <div v-else class="grid grid-cols-2 gap-x-3">
    <QuantityField
      label="Price of a kWh"
      :limit="LIMITS.price"
      :model-value="tariff.pricePerKWh"
      @update:model-value="store.set(['tariff', 'pricePerKWh'], $event)"
    />
    <TextField
      label="Currency"
      :most="COUNTS.currencyLength"
      :model-value="tariff.currency"
      @update:model-value="store.set(['tariff', 'currency'], $event)"
    />
  </div>
</template>
