<script setup lang="ts">
import type { Fineness } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import { secondsWords } from './currents-words.ts'

/** The field: how fine, how long it will take, started and stopped. */
const currents = useCurrents()
const units = useUnits()
const FINE: readonly { value: Fineness; label: string }[] = [
  { value: 'coarse', label: 'Coarse, a look' },
  { value: 'standard', label: 'Standard' },
  { value: 'fine', label: 'Fine, slow' },
]
const working = computed(() => currents.at?.what === 'field')
const percent = computed(() => Math.round(100 * (currents.at?.share ?? 0)))
</script>

<template>
  <section aria-labelledby="field-head" class="space-y-2">
    <h3 id="field-head" class="heading">Field</h3>
    <ChoiceField v-model="currents.fineness" label="How fine" :options="FINE" />
    <p v-if="currents.estimate" class="text-[0.92rem]" data-testid="estimate">
      {{ currents.estimate.cells.toLocaleString('en') }} cells of
      {{ units.text('length', currents.estimate.cellM) }},
      {{ secondsWords(currents.estimate.tankSeconds) }} of the tank’s time: about
      <strong>{{ secondsWords(currents.estimate.seconds) }}</strong> on this machine.
    </p>
    <p v-else-if="currents.domain!.streams.length === 0">
      Nothing moves this water yet: add a circulation pump.
    </p>
    <div v-if="working" class="flex items-center gap-2">
      <progress
        class="grow"
        :value="currents.at!.share"
        max="1"
        aria-label="The field is simulated"
      />
      <span class="caption w-9 text-right">{{ percent }} %</span>
      <button class="button" @click="currents.stop()">Stop</button>
    </div>
    <button
      v-else
      class="button button-main"
      :disabled="!!currents.at || !currents.estimate"
      @click="currents.simulateField()"
    >
      Simulate the field
    </button>
    <p v-if="currents.stale" class="rounded-md bg-resin-wash px-2 py-1" role="status">
      <strong class="font-semibold text-resin">Before your last change.</strong> The field shown was
      simulated for another layout; simulate it again.
    </p>
    <p v-if="currents.fault" class="text-aril" role="alert">{{ currents.fault }}</p>
  </section>
</template>
