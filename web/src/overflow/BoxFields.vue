<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** The box the drains stand in, what leads to it, and a sensor in it. */
const store = useDesign()
const overflow = computed(() => store.tank!.overflow!)
const at = (...more: (string | number)[]) => ['tanks', store.tankIndex, 'overflow', ...more]
const box = (name: string) => (si: number) => store.set(at('box', name), si)
</script>

<template>
  <section v-if="overflow.box" aria-labelledby="box-heading" class="space-y-2">
    <h3 id="box-heading" class="heading">Box</h3>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        label="Length of the box"
        :limit="LIMITS.boxSize"
        :model-value="overflow.box.lengthM"
        @update:model-value="box('lengthM')($event)"
      />
      <QuantityField
        label="Its width, front to back"
        :limit="LIMITS.boxSize"
        :model-value="overflow.box.widthM"
        @update:model-value="box('widthM')($event)"
      />
      <QuantityField
        label="Its floor over the tank’s"
        :limit="{ ...LIMITS.boxHeight, max: overflow.box.rimM - 0.01 }"
        :model-value="overflow.box.floorM"
        @update:model-value="box('floorM')($event)"
      />
      <QuantityField
        v-if="overflow.form !== 'inner-box'"
        label="Its rim over the tank’s floor"
        :limit="{ ...LIMITS.boxHeight, min: overflow.box.floorM + 0.01 }"
        :model-value="overflow.box.rimM"
        @update:model-value="box('rimM')($event)"
      />
      <QuantityField
        label="Left face, to the right of zero"
        :limit="LIMITS.place"
        :model-value="overflow.box.xM"
        @update:model-value="box('xM')($event)"
      />
      <QuantityField
        label="Front face, behind zero"
        :limit="LIMITS.place"
        :model-value="overflow.box.yM"
        @update:model-value="box('yM')($event)"
      />
    </div>
    <div v-if="overflow.passage" class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        :label="overflow.passage.kind === 'holes' ? 'Holes between the boxes' : 'Siphon tubes'"
        :limit="LIMITS.count"
        :model-value="overflow.passage.count"
        @update:model-value="store.set(at('passage', 'count'), Math.round($event))"
      />
      <QuantityField
        label="Bore of each"
        :limit="LIMITS.bore"
        :model-value="overflow.passage.boreM"
        @update:model-value="store.set(at('passage', 'boreM'), $event)"
      />
      <QuantityField
        v-if="overflow.passage.kind === 'siphon'"
        label="Length of a tube"
        :limit="LIMITS.tubeLength"
        :model-value="overflow.passage.lengthM"
        @update:model-value="store.set(at('passage', 'lengthM'), $event)"
      />
    </div>
    <TickField
      label="A level sensor stops the pump"
      :model-value="overflow.sensorM !== null"
      @update:model-value="store.set(at('sensorM'), $event ? overflow.crestM : null)"
    />
    <template v-if="overflow.sensorM !== null">
      <QuantityField
        class="w-1/2"
        label="Sensor over the tank’s floor"
        :limit="LIMITS.boxHeight"
        :model-value="overflow.sensorM"
        @update:model-value="store.set(at('sensorM'), $event)"
      />
      <p class="caption">
        A sensor is a device that can fail: count on pipes first, and test it with every power-cut
        drill.
      </p>
    </template>
  </section>
</template>
