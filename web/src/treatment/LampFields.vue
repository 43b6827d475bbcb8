<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { type Lamp, setTo } from '@yew-basin/core'
import QuantityField from '../bench/QuantityField.vue'
import { useToday } from '../shell/clock.ts'
import { useDesign } from '../workspace/design-store.ts'

/** How lamp, sleeve and water are, and when they were put in. */
const { index } = defineProps<{ lamp: Lamp; index: number }>()
const store = useDesign()
const set = <Name extends keyof Lamp>(name: Name, to: Lamp[Name]) => {
  const key: keyof Lamp = name
  store.set(['sump', 'devices', index, 'lamp', key], to)
}
const today = useToday()
/** On the lamp as the store has it: two fields may be left before what is drawn follows. */
const setLamp = (to: Partial<Lamp>) =>
  store.edit([
    setTo(['sump', 'devices', index, 'lamp'], {
      ...store.shown!.sump.devices[index]!.lamp!,
      ...to,
    }),
  ])
/** Its hours as they are today run on from here; the day it was put in stays what it is. */
const setHours = (burnedS: number) => setLamp({ burnedS, burnedOn: today.value })
/** From the day it was put in its hours follow. */
const setSince = (lampSince: string | null) =>
  setLamp(
    lampSince === null
      ? { lampSince, burnedOn: today.value }
      : { lampSince, burnedS: 0, burnedOn: null },
  )
/** From today on it is lit so long; what it has burned stays. */
const setHoursPerDay = (hoursPerDay: number) => setLamp({ hoursPerDay, burnedOn: today.value })
/** A new one has burned nothing, and was put in today. */
const renew = () => setLamp({ burnedS: 0, burnedOn: today.value, lampSince: today.value })
</script>

<template>
  <section aria-labelledby="lamp-head">
    <h3 id="lamp-head" class="heading mb-1">Lamp, sleeve and water</h3>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        label="The lamp has burned"
        :limit="LIMITS.lampTime"
        hint="By today; it runs on."
        :model-value="lamp.burnedS"
        @update:model-value="setHours"
      />
      <QuantityField
        label="Lit, hours a day"
        :limit="LIMITS.hoursPerDay"
        :model-value="lamp.hoursPerDay"
        @update:model-value="setHoursPerDay"
      />
      <QuantityField
        label="This water lets through"
        :limit="LIMITS.factor"
        hint="Of the maker’s test water."
        :model-value="lamp.waterFactor"
        @update:model-value="set('waterFactor', $event)"
      />
      <QuantityField
        label="The sleeve lets through"
        :limit="LIMITS.factor"
        hint="100% when wiped clean."
        :model-value="lamp.sleeveFactor"
        @update:model-value="set('sleeveFactor', $event)"
      />
      <label class="block">
        <span class="caption">Lamp put in on</span>
        <input
          type="date"
          class="box"
          :value="lamp.lampSince ?? ''"
          :max="today"
          @change="setSince(($event.target as HTMLInputElement).value || null)"
        />
      </label>
      <div class="self-end">
        <button v-if="lamp.burnedS > 0" class="button" @click="renew">New lamp in today</button>
      </div>
      <label class="block">
        <span class="caption">Sleeve put in on</span>
        <input
          type="date"
          class="box"
          :value="lamp.sleeveSince ?? ''"
          @change="set('sleeveSince', ($event.target as HTMLInputElement).value || null)"
        />
      </label>
    </div>
  </section>
</template>
