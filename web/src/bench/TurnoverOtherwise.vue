<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { starting } from '@yew-basin/core'
import { computed, ref, watch } from 'vue'
import ChoiceField from './ChoiceField.vue'
import QuantityField from './QuantityField.vue'

/** A wanted turnover by what lives in the tank, or as a range. */
const { turnoverPerH } = defineProps<{ turnoverPerH: number }>()
const emit = defineEmits<{ wanted: [turnoverPerH: number] }>()

const OWN = 'own'
const RANGE = 'range'
const OPTIONS = [
  { value: OWN, label: 'my own number' },
  ...starting.LIVES.map(({ value, label, perH: [least, most] }) => ({
    value,
    label: `${label}: ${least} to ${most} an hour`,
  })),
  { value: RANGE, label: 'a range' },
]
const isRange = ref(false)
const lives = computed(() =>
  isRange.value
    ? RANGE
    : (starting.LIVES.find((each) => each.turnoverPerH === turnoverPerH)?.value ?? OWN),
)
function take(value: string) {
  isRange.value = value === RANGE
  const chosen = starting.LIVES.find((each) => each.value === value)
  if (chosen) emit('wanted', chosen.turnoverPerH)
}
const from = ref(NaN)
const to = ref(NaN)
watch([from, to], () => {
  const middle = starting.turnoverOfRange(from.value, to.value)
  if (!Number.isNaN(middle)) emit('wanted', middle)
})
</script>

<template>
  <div class="grid grid-cols-2 gap-x-3 gap-y-2">
    <ChoiceField
      class="col-span-2"
      label="Or by what lives there"
      :options="OPTIONS"
      :model-value="lives"
      @update:model-value="take"
    />
    <QuantityField v-if="isRange" v-model="from" label="From" :limit="LIMITS.turnover" />
    <QuantityField
      v-if="isRange"
      v-model="to"
      label="To"
      hint="The middle is aimed at"
      :limit="{ ...LIMITS.turnover, min: from || LIMITS.turnover.min }"
    />
  </div>
</template>
