<script setup lang="ts">
import { LIMITS, type Limit } from '@yew-basin/contract/limits'
import { editing, starting } from '@yew-basin/core'
import { computed, ref, watch } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import ChoiceList from './ChoiceList.vue'

/** What is wanted through the sump: by what lives there, or as a number an hour, a range, or a flow. */
const { answers, netVolumeM3 } = defineProps<{
  answers: starting.StartAnswers
  /** Of all tanks as they are laid now: what a flow is held against what is possible by. */
  netVolumeM3: number
}>()
const emit = defineEmits<{ answer: [change: Partial<starting.StartAnswers>]; next: [] }>()

type Way = 'number' | 'range' | 'flow'
const WAYS: readonly { readonly value: Way; readonly label: string }[] = [
  { value: 'number', label: 'a number an hour' },
  { value: 'range', label: 'a range' },
  { value: 'flow', label: 'a flow' },
]
const way = ref<Way>(answers.wantedFlowM3PerS === null ? 'number' : 'flow')
const from = ref(NaN)
const to = ref(NaN)
const options = starting.LIVES.map(({ value, label, perH: [least, most] }) => ({
  value,
  label,
  about: `Usually ${least} to ${most} times an hour.`,
}))
/** A flow that comes to a possible turnover. */
const flowLimit = computed<Limit>(() => ({
  quantity: 'flow',
  min: editing.flowOfTurnover(LIMITS.turnover.min, netVolumeM3),
  max: editing.flowOfTurnover(LIMITS.turnover.max, netVolumeM3),
}))
const chosen = computed(
  () =>
    starting.LIVES.find(({ turnoverPerH }) => turnoverPerH === answers.turnoverPerH)?.value ?? null,
)
const give = (turnoverPerH: number) => emit('answer', { turnoverPerH, wantedFlowM3PerS: null })

function take(value: string) {
  give(starting.LIVES.find((lives) => lives.value === value)!.turnoverPerH)
  emit('next')
}
watch([from, to], () => {
  const middle = starting.turnoverOfRange(from.value, to.value)
  if (!Number.isNaN(middle)) give(middle)
})
const byFlow = (wantedFlowM3PerS: number) =>
  emit('answer', { turnoverPerH: null, wantedFlowM3PerS })
</script>

<template>
  <div class="space-y-4">
    <ChoiceList label="What lives there" :options="options" :chosen="chosen" @take="take" />
    <div class="grid grid-cols-2 items-start gap-x-3 gap-y-2 sm:grid-cols-3">
      <ChoiceField v-model="way" label="Or say it as" :options="WAYS" />
      <QuantityField
        v-if="way === 'number'"
        label="Wanted turnover"
        :limit="LIMITS.turnover"
        :model-value="answers.turnoverPerH ?? NaN"
        @update:model-value="give"
      />
      <template v-else-if="way === 'range'">
        <QuantityField v-model="from" label="From" :limit="LIMITS.turnover" />
        <QuantityField
          v-model="to"
          label="To"
          :limit="{ ...LIMITS.turnover, min: from || LIMITS.turnover.min }"
        />
      </template>
      <QuantityField
        v-else
        label="Wanted flow"
        :limit="flowLimit"
        :model-value="answers.wantedFlowM3PerS ?? NaN"
        @update:model-value="byFlow"
      />
    </div>
    <p v-if="way === 'range'" class="caption">The middle of the range is what is aimed at.</p>
  </div>
</template>
