<script setup lang="ts" generic="T extends object">
import QuantityField from './QuantityField.vue'
import type { QuantityOf, QuantityRow } from './quantity-row.ts'

/** A field for each figure of a thing that it has; they lie in the grid that is round them. */
defineProps<{ of: T; rows: readonly QuantityRow<T>[] }>()
defineEmits<{ change: [key: QuantityOf<T>, si: number] }>()
</script>

<template>
  <template v-for="[key, label, limit] in rows" :key="key">
    <QuantityField
      v-if="of[key] !== null"
      :label="label"
      :limit="limit"
      :model-value="of[key] as number"
      @update:model-value="$emit('change', key, $event)"
    />
  </template>
</template>
