<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { type Guard, type Overflow, type Teeth, type EditPath, editing } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** The rim: its height and length, its teeth, its guard, and who must stay. */
const store = useDesign()
const overflow = computed(() => store.tank!.overflow!)
const at = <const More extends EditPath>(...more: More) =>
  ['tanks', store.tankIndex, 'overflow', ...more] as const

/** A slot as wide as its pitch has no tooth: the pitch goes along. */
function setSlot(widthM: number) {
  const teeth = overflow.value.teeth!
  const pitchM = Math.max(teeth.pitchM, widthM * 1.25)
  store.set(at('teeth'), { ...teeth, slotWidthM: widthM, pitchM })
}
const teeth = computed(() => {
  const pitch = { ...LIMITS.pitch, min: (overflow.value.teeth?.slotWidthM ?? 0) + 0.0005 }
  return rowsOf<Teeth>(
    ['pitchM', 'From slot to slot', pitch],
    ['heightM', 'Height of the teeth', LIMITS.toothHeight],
    ['blockedShare', 'Slots shut by weed or snails', LIMITS.blockedShare],
  )
})
const rim = computed(() =>
  rowsOf<Overflow>(
    [
      'crestM',
      'Overflow’s edge over the tank’s bottom',
      { ...LIMITS.waterLevel, max: store.tank!.rimM - 0.005 },
    ],
    ['rimLengthM', 'Length of the rim', LIMITS.rimLength],
  ),
)
const MESH = rowsOf<Guard>(
  ['openShare', 'Open share of the mesh', LIMITS.openShare],
  ['leastOpeningM', 'Its smallest opening', LIMITS.slotWidth],
)
</script>

<template>
  <section aria-labelledby="rim-heading" class="space-y-2">
    <h3 id="rim-heading" class="heading">Rim</h3>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityRows
        :of="overflow"
        :rows="rim"
        :at="at()"
        @change="(name, si) => store.set(at(name), si)"
      />
    </div>
    <TickField
      label="Cut into teeth"
      :model-value="overflow.teeth !== null"
      @update:model-value="store.set(at('teeth'), $event ? editing.NEW_TEETH : null)"
    />
    <div v-if="overflow.teeth" class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        label="Slot width"
        :at="at('teeth', 'slotWidthM')"
        :limit="LIMITS.slotWidth"
        :model-value="overflow.teeth.slotWidthM"
        @update:model-value="setSlot($event)"
      />
      <QuantityRows
        :of="overflow.teeth"
        :rows="teeth"
        :at="at('teeth')"
        @change="(name, si) => store.set(at('teeth', name), si)"
      />
      <TickField
        class="col-span-2"
        label="Open above the teeth, no cover"
        :model-value="overflow.openAbove"
        @update:model-value="store.set(at('openAbove'), $event)"
      />
    </div>
    <TickField
      label="A mesh guard over it"
      :model-value="overflow.guard !== null"
      @update:model-value="store.set(at('guard'), $event ? editing.NEW_GUARD : null)"
    />
    <div v-if="overflow.guard" class="grid grid-cols-2 gap-x-3">
      <QuantityRows
        :of="overflow.guard"
        :rows="MESH"
        @change="(name, si) => store.set(at('guard', name), si)"
      />
    </div>
    <TickField
      label="Small animals live here"
      :model-value="overflow.keepsInM !== null"
      @update:model-value="store.set(at('keepsInM'), $event ? 0.01 : null)"
    />
    <QuantityField
      v-if="overflow.keepsInM !== null"
      class="w-1/2"
      label="The smallest, across"
      :limit="LIMITS.slotWidth"
      :model-value="overflow.keepsInM"
      @update:model-value="store.set(at('keepsInM'), $event)"
    />
  </section>
</template>
