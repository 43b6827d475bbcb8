<script setup lang="ts">
import { LIMITS, withinLimit } from '@yew-basin/contract/limits'
import { type PumpPart, starting } from '@yew-basin/core'
import { computed, ref } from 'vue'
import BoxNumbers from '../parts/BoxNumbers.vue'
import type { BoxNumbers as Numbers } from '../parts/box-numbers.ts'
import { useUnits } from '../shell/units.ts'

/** The pump: the numbers on its box, one that is known, or the best there is for the flow. */
const { answers, shelf } = defineProps<{
  answers: starting.StartAnswers
  shelf: readonly PumpPart[]
}>()
const units = useUnits()
const emit = defineEmits<{ answer: [change: Partial<starting.StartAnswers>] }>()
const WAYS = [
  { value: 'box', label: 'The numbers on its box' },
  { value: 'part', label: 'One I have in the list' },
  { value: 'best', label: 'Choose for me' },
] as const
const known = (id: string | undefined) => shelf.some((part) => part.id === id)
const way = ref<(typeof WAYS)[number]['value']>(known(answers.pump?.id) ? 'part' : 'box')
const numbers = ref<Numbers>({
  maxFlowM3PerS: known(answers.pump?.id) ? null : (answers.pump?.maxFlowM3PerS ?? null),
  shutOffHeadM: known(answers.pump?.id) ? null : (answers.pump?.shutOffHeadM ?? null),
  ratedPowerW:
    answers.powerGuessed || !answers.pump || known(answers.pump.id)
      ? NaN
      : answers.pump.ratedPowerW,
})
const id = answers.pump && !known(answers.pump.id) ? answers.pump.id : crypto.randomUUID()
const guessed = computed(() => (answers.powerGuessed ? answers.pump?.ratedPowerW : undefined))

function fill(change: Partial<Numbers>) {
  numbers.value = { ...numbers.value, ...change }
  const { maxFlowM3PerS, shutOffHeadM, ratedPowerW } = numbers.value
  if (maxFlowM3PerS === null || shutOffHeadM === null) return
  const power = withinLimit(LIMITS.pumpPower, ratedPowerW) ? ratedPowerW : null
  const pump = starting.pumpFromBox(
    { id, name: 'My pump' },
    { maxFlowM3PerS, shutOffHeadM, ratedPowerW: power },
  )
  emit('answer', { pump, powerGuessed: power === null })
}
function take(event: Event) {
  const pump = shelf[(event.target as HTMLSelectElement).selectedIndex - 1]
  if (pump) emit('answer', { pump, powerGuessed: false })
}
function turn(to: (typeof WAYS)[number]['value']) {
  way.value = to
  if (to === 'best') emit('answer', { pump: null, powerGuessed: false })
}
</script>

<template>
  <div class="space-y-4">
    <fieldset class="flex flex-wrap gap-x-5">
      <legend class="sr-only">How you know it</legend>
      <label v-for="{ value, label } in WAYS" :key="value" class="flex items-center gap-2">
        <input
          type="radio"
          name="pump-way"
          :value="value"
          :checked="way === value"
          @change="turn(value)"
        />
        {{ label }}
      </label>
    </fieldset>
    <template v-if="way === 'box'">
      <BoxNumbers :numbers="numbers" @given="fill" />
      <p class="caption">
        <template v-if="guessed"
          >Its power is guessed: {{ units.text('power', guessed) }}.
        </template>
        Between the two numbers its curve is a guess, so what it gives here has a wide band.
      </p>
    </template>
    <label v-else-if="way === 'part'" class="block">
      <span class="caption">Pump</span>
      <select class="box" @change="take">
        <option>choose one</option>
        <option v-for="part in shelf" :key="part.id" :selected="part.id === answers.pump?.id">
          {{ part.name }}
        </option>
      </select>
    </label>
    <p v-else>
      Of the {{ shelf.length }} pumps in the list, the one that brings the wanted flow here for the
      least power.
    </p>
  </div>
</template>
