<script setup lang="ts">
import { computed } from 'vue'
import FigureRow from '../bench/FigureRow.vue'
import TariffFields from '../bench/TariffFields.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { PLUGGED_IN } from './heat-words.ts'

/** Everything that is plugged in, and what it comes to in a year. */
const store = useDesign()
const units = useUnits()
const power = computed(() => store.solved!.power)
</script>

<template>
  <section aria-labelledby="plugged-head">
    <h3 id="plugged-head" class="heading mb-1">What it takes from the wall</h3>
    <FigureRow
      figure="allPower"
      label="Plugged in"
      :value="{ quantity: 'power', si: power.meanW }"
      :band="power.bandW"
    />
    <dl class="facts">
      <template v-for="share in power.shares" :key="share.of">
        <dt>{{ PLUGGED_IN[share.of] }}</dt>
        <dd>{{ units.text('power', share.meanW, share.bandW) }}</dd>
      </template>
      <dt>In a year</dt>
      <dd>{{ units.text('energy', power.energyPerYearJ, power.energyPerYearBandJ) }}</dd>
      <template v-if="power.costPerYear !== null">
        <dt>by your tariff</dt>
        <dd>
          {{ units.text('money', power.costPerYear, power.costPerYearBand) }} {{ power.currency }}
        </dd>
      </template>
    </dl>
    <p v-if="power.withoutWarmth" class="caption">
      Heaters and chiller are not in it: say how cold and how warm the room gets.
    </p>
    <TariffFields />
  </section>
</template>
