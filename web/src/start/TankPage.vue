<script setup lang="ts">
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import type { starting } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import TankSizes from './TankSizes.vue'

/** A tank by its sizes, by a common size, or by its volume; what it is called, and how high it stands. */
const { answers, index } = defineProps<{ answers: starting.StartAnswers; index: number }>()
const emit = defineEmits<{ answer: [change: Partial<starting.StartAnswers>] }>()

const tank = computed(() => answers.tanks[index]!)
function give(change: Partial<starting.TankAnswer>) {
  const tanks = answers.tanks.map((each, i) => (i === index ? { ...each, ...change } : each))
  emit('answer', { tanks })
}
</script>

<template>
  <div class="space-y-4">
    <TextField
      v-if="answers.tanks.length > 1"
      label="What you call it"
      :most="COUNTS.nameLength"
      :model-value="tank.name"
      @update:model-value="give({ name: $event })"
    />
    <TankSizes
      :key="index"
      :of="tank.sizes"
      :given="tank.sizesGiven"
      @sizes="(sizes, sizesGiven) => give({ sizes, sizesGiven })"
    />
    <QuantityField
      v-if="index === 0"
      class="w-1/2"
      label="Height of its stand"
      hint="From the room’s floor to the tank’s"
      :limit="LIMITS.floorHeight"
      :model-value="answers.standM ?? NaN"
      @update:model-value="$emit('answer', { standM: $event })"
    />
  </div>
</template>
