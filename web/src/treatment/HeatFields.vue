<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { HeatPlan } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'
import { PANEL_CHOICES, USUAL_HUMIDITY, USUAL_ROOM } from './heat-words.ts'

/** The room round the water, the lights over it, and what the keeper wants to be warned of. */
const store = useDesign()
const plan = computed(() => store.shown!.heat)
const set = <Name extends keyof HeatPlan>(name: Name, to: HeatPlan[Name]) => {
  const key: keyof HeatPlan = name
  store.set(['heat', key], to)
}
const hasChiller = computed(
  () =>
    plan.value?.chillerW != null ||
    store.shown!.sump.devices.some(({ part }) => part.kind === 'chiller'),
)
const ROOM = rowsOf<HeatPlan>(
  ['coldestRoomC', 'Room at its coldest', LIMITS.roomTemperature],
  ['warmestRoomC', 'Room at its warmest', LIMITS.roomTemperature],
)
const LIGHTS = rowsOf<HeatPlan>(
  ['lightsW', 'Lights over the tanks', LIMITS.lights],
  ['lightHoursPerDay', 'lit, hours a day', LIMITS.hoursPerDay],
)
const LIMIT = rowsOf<HeatPlan>(['warningS', 'Time wanted if one sticks on', LIMITS.warning])
/** What a chiller of the usual small size takes out, W. */
const USUAL_CHILLER_W = 300
</script>

<template>
  <button v-if="!plan" class="button" @click="store.set(['heat'], USUAL_ROOM)">
    Say how cold and how warm the room gets
  </button>
  <div v-else class="space-y-2">
    <div class="grid grid-cols-2 gap-x-3 gap-y-1">
      <QuantityRows :of="plan" :rows="ROOM" @change="set" />
      <ChoiceField
        label="Tanks are of"
        :options="PANEL_CHOICES"
        :model-value="plan.tankPanels"
        @update:model-value="set('tankPanels', $event)"
      />
      <ChoiceField
        label="The sump is of"
        :options="PANEL_CHOICES"
        :model-value="plan.sumpPanels"
        @update:model-value="set('sumpPanels', $event)"
      />
      <p class="caption col-span-2">Acrylic under 10 mm counts as glass.</p>
      <QuantityRows :of="plan" :rows="LIGHTS" @change="set" />
      <QuantityRows :of="plan" :rows="LIMIT" @change="set" />
      <QuantityField
        v-if="plan.chillerW !== null"
        label="The chiller takes out"
        :limit="LIMITS.chiller"
        hint="Heat, from its plate."
        :model-value="plan.chillerW"
        @update:model-value="set('chillerW', $event)"
      />
    </div>
    <TickField
      v-if="hasChiller || (store.solved!.heat?.coolingW ?? 0) > 0"
      label="There is a chiller"
      :model-value="plan.chillerW !== null"
      @update:model-value="set('chillerW', $event ? USUAL_CHILLER_W : null)"
    />
    <TickField
      label="Evaporation from the room’s air"
      :model-value="plan.humidity !== null"
      @update:model-value="set('humidity', $event ? USUAL_HUMIDITY : null)"
    />
    <div v-if="plan.humidity !== null" class="grid grid-cols-2 gap-x-3">
      <QuantityField
        label="Its relative humidity"
        :limit="LIMITS.humidity"
        :model-value="plan.humidity"
        @update:model-value="set('humidity', $event)"
      />
      <QuantityField
        label="How rippled the surface is"
        :limit="LIMITS.stirred"
        hint="0.5 still, 1 rippled."
        :model-value="plan.stirred"
        @update:model-value="set('stirred', $event)"
      />
    </div>
  </div>
</template>
