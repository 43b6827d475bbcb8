<script setup lang="ts">
import { LIMITS, type Limit } from '@yew-basin/contract/limits'
import { starting } from '@yew-basin/core'
import { reactive, ref, watch } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TickField from '../bench/TickField.vue'

/** The three sizes of a box of panels, inside or outside; given once all three are. */
const {
  of,
  limits,
  outside = false,
} = defineProps<{
  of: starting.InsideSizes | null
  limits: { readonly lengthM: Limit; readonly widthM: Limit; readonly heightM: Limit }
  /** Outside ones are asked first. */
  outside?: boolean
}>()
const emit = defineEmits<{ given: [sizes: starting.InsideSizes] }>()

const typed = reactive({
  lengthM: of?.lengthM ?? NaN,
  widthM: of?.widthM ?? NaN,
  heightM: of?.heightM ?? NaN,
})
const isOutside = ref(outside)
const panelM = ref(0.01)

watch([typed, isOutside, panelM], () => {
  const { lengthM, widthM, heightM } = typed
  if ([lengthM, widthM, heightM].some(Number.isNaN)) return
  const sizes = { lengthM, widthM, heightM }
  emit('given', isOutside.value ? starting.insideOf(sizes, panelM.value) : sizes)
})
</script>

<template>
  <div class="space-y-2">
    <div class="grid grid-cols-3 gap-x-3">
      <QuantityField v-model="typed.lengthM" label="Length" :limit="limits.lengthM" />
      <QuantityField v-model="typed.widthM" label="Front to back" :limit="limits.widthM" />
      <QuantityField v-model="typed.heightM" label="Height" :limit="limits.heightM" />
    </div>
    <TickField v-model="isOutside" label="These are outside sizes" />
    <QuantityField
      v-if="isOutside"
      v-model="panelM"
      class="w-1/2"
      label="Thickness of the panels"
      :limit="LIMITS.panel"
    />
  </div>
</template>
