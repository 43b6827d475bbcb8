<script setup lang="ts">
import { FRAME_FULL } from '@yew-basin/core'
import { computed } from 'vue'
import TickField from '../bench/TickField.vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import { cssColour, SCALE_M_PER_S, speedColour } from './speed-colour.ts'

/** What is drawn, where it is cut, and what the colours mean. */
const currents = useCurrents()
const units = useUnits()
const cuts = computed(() => {
  const { lengthM, widthM, depthM } = currents.domain!
  return [
    { name: 'plan', label: 'Plan at a height of', most: depthM },
    { name: 'front', label: 'Long section at', most: widthM },
    { name: 'end', label: 'Cross section at', most: lengthM },
  ] as const
})
const STEPS = 24
const scale = Array.from({ length: STEPS }, (_, i) => {
  const speed = (SCALE_M_PER_S * i) / (STEPS - 1)
  return cssColour(speedColour(speed, currents.deadMPerS))
})
</script>

<template>
  <div class="flex flex-wrap items-end gap-x-5 gap-y-1.5 border-t border-rule bg-paper px-3 py-1.5">
    <label v-for="cut in cuts" :key="cut.name" class="block w-40">
      <span class="caption"
        >{{ cut.label }} {{ units.text('length', currents.cuts[cut.name]) }}</span
      >
      <input
        v-model.number="currents.cuts[cut.name]"
        type="range"
        class="block w-full"
        min="0"
        :max="cut.most"
        step="0.005"
      />
    </label>
    <div class="flex flex-wrap items-center gap-x-4">
      <TickField v-model="currents.show.jets" label="Streams" />
      <template v-if="currents.field">
        <TickField v-model="currents.show.map" label="Speeds" />
        <TickField v-model="currents.show.lines" label="Ways of the water" />
        <label class="flex items-center gap-1.5">
          <span class="caption">of the</span>
          <select v-model="currents.figure" class="box w-auto! py-0.5!">
            <option value="speed">mean</option>
            <option value="peak">peak</option>
          </select>
        </label>
      </template>
    </div>
    <p v-if="currents.frame" class="caption">
      Pale: none of the dye yet. Deep: {{ FRAME_FULL }} times its even share and more.
    </p>
    <div v-else-if="currents.field" class="caption" aria-label="Colours of the speeds">
      <div class="flex h-3 w-40" aria-hidden="true">
        <span v-for="(colour, i) in scale" :key="i" class="grow" :style="{ background: colour }" />
      </div>
      <div class="flex justify-between">
        <span>still</span><span>{{ units.text('slow-speed', SCALE_M_PER_S) }} and more</span>
      </div>
    </div>
  </div>
</template>
