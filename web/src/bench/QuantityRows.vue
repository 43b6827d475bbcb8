<script setup lang="ts" generic="T extends object">
import type { EditPath } from '@yew-basin/core'
import QuantityField from './QuantityField.vue'
import type { QuantityOf, QuantityRow } from './quantity-row.ts'

/** A field for each figure of a thing that it has; they lie in the grid that is round them. */
defineProps<{
  of: T
  rows: readonly QuantityRow<T>[]
  /** Where the opened design holds the thing, if its figures can be assumed. */
  at?: EditPath
}>()
defineEmits<{ change: [key: QuantityOf<T>, si: number] }>()
</script>

<template>
  <template v-for="[key, label, limit] in rows" :key="key">
    <QuantityField
      v-if="of[key] !== null"
      :label="label"
      :limit="limit"
      :at="at ? [...at, key] : null"
      :model-value="of[key] as number"
      @update:model-value="$emit('change', key, $event)"
    />
  </template>
</template>
