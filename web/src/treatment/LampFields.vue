<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { type Device, type Lamp, setTo } from '@yew-basin/core'
import QuantityField from '../bench/QuantityField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** How lamp, sleeve and water are, and when they were put in. */
const { index } = defineProps<{ device: Device; lamp: Lamp; index: number }>()
const store = useDesign()
const set = <Name extends keyof Lamp>(name: Name, to: Lamp[Name]) => {
  const key: keyof Lamp = name
  store.set(['sump', 'devices', index, 'lamp', key], to)
}
/** A new one has burned nothing. */
const renew = () => store.edit([setTo(['sump', 'devices', index, 'lamp', 'burnedS'], 0)])
</script>

<template>
  <section aria-labelledby="lamp-head">
    <h3 id="lamp-head" class="heading mb-1">Lamp, sleeve and water</h3>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        label="The lamp has burned"
        :limit="LIMITS.lampTime"
        hint="Hours: write 900 h."
        :model-value="lamp.burnedS"
        @update:model-value="set('burnedS', $event)"
      />
      <div class="self-center">
        <button class="button" :disabled="lamp.burnedS === 0" @click="renew">New lamp in</button>
      </div>
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
          @change="set('lampSince', ($event.target as HTMLInputElement).value || null)"
        />
      </label>
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
