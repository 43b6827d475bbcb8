<script setup lang="ts">
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { starting } from '@yew-basin/core'
import { computed, ref } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import { useUnits } from '../shell/units.ts'
import SizeFields from './SizeFields.vue'

/** A tank by its sizes, by a common size, or by its volume; what it is called, and how high it stands. */
const { answers, index } = defineProps<{ answers: starting.StartAnswers; index: number }>()
const emit = defineEmits<{ answer: [change: Partial<starting.StartAnswers>] }>()
const units = useUnits()

const tank = computed(() => answers.tanks[index]!)
const WAYS = [
  { value: 'sizes', label: 'By its sizes' },
  { value: 'common', label: 'A common size' },
  { value: 'volume', label: 'By its volume' },
] as const
const way = ref<(typeof WAYS)[number]['value']>('sizes')
const volumeM3 = ref(NaN)
const common = computed(() =>
  starting.COMMON_TANKS[units.family].map((sizes) => ({ sizes, words: wordsOf(sizes) })),
)
const LIMITS_OF = {
  lengthM: LIMITS.tankLength,
  widthM: LIMITS.tankWidth,
  heightM: LIMITS.tankHeight,
} as const

function wordsOf({ lengthM, widthM, heightM }: starting.InsideSizes): string {
  const sizes = [lengthM, widthM, heightM].map((si) => units.text('length', si)).join(' × ')
  return `${sizes}, ${units.text('volume', lengthM * widthM * heightM)}`
}
function give(change: Partial<starting.TankAnswer>) {
  const tanks = answers.tanks.map((each, i) => (i === index ? { ...each, ...change } : each))
  emit('answer', { tanks })
}
const take = (event: Event) => {
  const chosen = common.value[(event.target as HTMLSelectElement).selectedIndex - 1]
  if (chosen) give({ sizes: chosen.sizes, sizesGiven: true })
}
function fill(si: number) {
  volumeM3.value = si
  give({ sizes: starting.sizesOfVolume(si), sizesGiven: false })
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
    <fieldset class="flex flex-wrap gap-x-5">
      <legend class="sr-only">How you know it</legend>
      <label v-for="{ value, label } in WAYS" :key="value" class="flex items-center gap-2">
        <input v-model="way" type="radio" :name="`way-${index}`" :value="value" /> {{ label }}
      </label>
    </fieldset>
    <SizeFields
      v-if="way === 'sizes'"
      :key="index"
      :of="tank.sizesGiven ? tank.sizes : null"
      :limits="LIMITS_OF"
      @given="give({ sizes: $event, sizesGiven: true })"
    />
    <label v-else-if="way === 'common'" class="block">
      <span class="caption">Inside sizes</span>
      <select class="box" @change="take">
        <option>choose one</option>
        <option v-for="{ words } in common" :key="words">{{ words }}</option>
      </select>
    </label>
    <div v-else>
      <QuantityField
        class="w-1/2"
        label="What it holds"
        :limit="LIMITS.tankVolume"
        :model-value="volumeM3"
        @update:model-value="fill"
      />
      <p v-if="tank.sizes && !tank.sizesGiven" class="caption mt-1">
        Assumed as such tanks are mostly built: {{ wordsOf(tank.sizes) }}.
      </p>
    </div>
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
