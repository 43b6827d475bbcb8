<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { starting } from '@yew-basin/core'
import { computed, ref, useId } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useUnits } from '../shell/units.ts'
import SizeFields from './SizeFields.vue'

/** A tank's inside sizes, by themselves or from outside ones, as a common size, or worked out from its volume. */
const { of } = defineProps<{
  of: starting.InsideSizes | null
  given: boolean
  outside?: boolean
}>()
const emit = defineEmits<{ sizes: [sizes: starting.InsideSizes, given: boolean] }>()
const units = useUnits()
const id = useId()

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
function take(event: Event) {
  const chosen = common.value[(event.target as HTMLSelectElement).selectedIndex - 1]
  if (chosen) emit('sizes', chosen.sizes, true)
}
function fill(si: number) {
  volumeM3.value = si
  emit('sizes', starting.sizesOfVolume(si), false)
}
</script>

<template>
  <div class="space-y-4">
    <fieldset class="flex flex-wrap gap-x-5">
      <legend class="sr-only">How you know it</legend>
      <label v-for="{ value, label } in WAYS" :key="value" class="flex items-center gap-2">
        <input v-model="way" type="radio" :name="`way-${id}`" :value="value" /> {{ label }}
      </label>
    </fieldset>
    <SizeFields
      v-if="way === 'sizes'"
      :of="given ? of : null"
      :limits="LIMITS_OF"
      :outside="outside"
      @given="$emit('sizes', $event, true)"
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
      <p v-if="of && !given" class="caption mt-1">
        Assumed as such tanks are mostly built: {{ wordsOf(of) }}.
      </p>
    </div>
  </div>
</template>
