<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { type OverflowBox, type EditPath } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** The box the drains stand in, what leads to it, and a sensor in it. */
const store = useDesign()
const overflow = computed(() => store.tank!.overflow!)
const at = <const More extends EditPath>(...more: More) =>
  ['tanks', store.tankIndex, 'overflow', ...more] as const
const sizes = computed(() => {
  const { floorM, rimM } = overflow.value.box!
  const rim = rowsOf<OverflowBox>([
    'rimM',
    'Its rim over the tank’s floor',
    { ...LIMITS.boxHeight, min: floorM + 0.01 },
  ])
  return rowsOf<OverflowBox>(
    ['lengthM', 'Length of the box', LIMITS.boxSize],
    ['widthM', 'Its width, front to back', LIMITS.boxSize],
    ['floorM', 'Its floor over the tank’s', { ...LIMITS.boxHeight, max: rimM - 0.01 }],
    ...(overflow.value.form === 'inner-box' ? [] : rim),
    ['xM', 'Left side, from the first tank’s left', LIMITS.place],
    ['yM', 'Front, from the first tank’s front', LIMITS.place],
  )
})
</script>

<template>
  <section v-if="overflow.box" aria-labelledby="box-heading" class="space-y-2">
    <h3 id="box-heading" class="heading">Box</h3>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityRows
        :of="overflow.box"
        :rows="sizes"
        :at="at('box')"
        @change="(name, si) => store.set(at('box', name), si)"
      />
    </div>
    <div v-if="overflow.passage" class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        :label="overflow.passage.kind === 'holes' ? 'Holes between the boxes' : 'Siphon tubes'"
        :limit="LIMITS.count"
        :at="at('passage', 'count')"
        :model-value="overflow.passage.count"
        @update:model-value="store.set(at('passage', 'count'), Math.round($event))"
      />
      <QuantityField
        label="Bore of each"
        :limit="LIMITS.bore"
        :at="at('passage', 'boreM')"
        :model-value="overflow.passage.boreM"
        @update:model-value="store.set(at('passage', 'boreM'), $event)"
      />
      <QuantityField
        v-if="overflow.passage.kind === 'siphon'"
        label="Length of a tube"
        :limit="LIMITS.tubeLength"
        :at="at('passage', 'lengthM')"
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
