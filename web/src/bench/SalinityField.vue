<script setup lang="ts">
import type { Solved } from '@yew-basin/core'
import { computed, ref, useId, watch } from 'vue'
import { useUnits } from '../shell/units.ts'
import { readSalinity, writeSalinity } from './salinity.ts'

const { temperatureC, water } = defineProps<{ temperatureC: number; water: Solved<'water'> }>()
const model = defineModel<number>({ required: true })

const units = useUnits()
const id = useId()
const fault = ref('')
const typed = ref(writeSalinity(model.value, temperatureC, units.family))
let given = NaN

watch(
  () => [model.value, units.family, temperatureC] as const,
  ([ppt], [, familyBefore, temperatureBefore]) => {
    if (ppt === given && familyBefore === units.family && temperatureBefore === temperatureC) return
    typed.value = writeSalinity(model.value, temperatureC, units.family)
    fault.value = ''
  },
)

const readings = computed(() =>
  [
    `${model.value.toFixed(1)} ppt`,
    `SG ${water.specificGravity.toFixed(4)}`,
    water.conductivityMSPerCm === null ? '' : `${water.conductivityMSPerCm.toFixed(1)} mS/cm`,
  ]
    .filter((reading) => reading !== '')
    .join(' · '),
)

function read() {
  const result = readSalinity(typed.value, temperatureC, units.family)
  fault.value = result.ok ? '' : result.fault
  if (!result.ok || result.ppt === model.value) return
  given = result.ppt
  model.value = result.ppt
}
</script>

<template>
  <div>
    <label :for="id" class="caption">Salinity</label>
    <div class="relative">
      <input
        :id="id"
        v-model="typed"
        class="box pr-12"
        :class="{ 'border-aril!': fault }"
        autocomplete="off"
        :aria-invalid="!!fault"
        :aria-describedby="`${id}-note`"
        @input="read"
      />
      <span class="caption pointer-events-none absolute inset-y-0 right-2.5 flex items-center">{{
        units.family === 'us' ? 'SG' : 'ppt'
      }}</span>
    </div>
    <p :id="`${id}-note`" class="text-[0.82rem]" :class="fault ? 'text-aril' : 'text-ink-soft'">
      {{ fault || readings }}
    </p>
  </div>
</template>
