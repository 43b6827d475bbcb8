<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** The rim: its height and length, its teeth, its guard, and who must stay. */
const store = useDesign()
const overflow = computed(() => store.tank!.overflow!)
const at = (...more: (string | number)[]) => ['tanks', store.tankIndex, 'overflow', ...more]
const TEETH = { slotWidthM: 0.006, pitchM: 0.012, heightM: 0.02, blockedShare: 0 }
const GUARD = { openShare: 0.7, leastOpeningM: 0.004 }

/** A slot as wide as its pitch has no tooth: the pitch goes along. */
function setSlot(widthM: number) {
  const teeth = overflow.value.teeth!
  const pitchM = Math.max(teeth.pitchM, widthM * 1.25)
  store.set(at('teeth'), { ...teeth, slotWidthM: widthM, pitchM })
}
const pitchLimit = computed(() => ({
  ...LIMITS.pitch,
  min: (overflow.value.teeth?.slotWidthM ?? 0) + 0.0005,
}))
const crestLimit = computed(() => ({ ...LIMITS.waterLevel, max: store.tank!.rimM - 0.005 }))
</script>

<template>
  <section aria-labelledby="rim-heading" class="space-y-2">
    <h3 id="rim-heading" class="heading">Rim</h3>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        label="Crest over the tank’s floor"
        :limit="crestLimit"
        :model-value="overflow.crestM"
        @update:model-value="store.set(at('crestM'), $event)"
      />
      <QuantityField
        label="Length of the rim"
        :limit="LIMITS.rimLength"
        :model-value="overflow.rimLengthM"
        @update:model-value="store.set(at('rimLengthM'), $event)"
      />
    </div>
    <TickField
      label="Cut into teeth"
      :model-value="overflow.teeth !== null"
      @update:model-value="store.set(at('teeth'), $event ? TEETH : null)"
    />
    <div v-if="overflow.teeth" class="grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        label="Slot width"
        :limit="LIMITS.slotWidth"
        :model-value="overflow.teeth.slotWidthM"
        @update:model-value="setSlot($event)"
      />
      <QuantityField
        label="From slot to slot"
        :limit="pitchLimit"
        :model-value="overflow.teeth.pitchM"
        @update:model-value="store.set(at('teeth', 'pitchM'), $event)"
      />
      <QuantityField
        label="Height of the teeth"
        :limit="LIMITS.toothHeight"
        :model-value="overflow.teeth.heightM"
        @update:model-value="store.set(at('teeth', 'heightM'), $event)"
      />
      <QuantityField
        label="Slots shut by weed or snails"
        :limit="LIMITS.blockedShare"
        :model-value="overflow.teeth.blockedShare"
        @update:model-value="store.set(at('teeth', 'blockedShare'), $event)"
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
      @update:model-value="store.set(at('guard'), $event ? GUARD : null)"
    />
    <div v-if="overflow.guard" class="grid grid-cols-2 gap-x-3">
      <QuantityField
        label="Open share of the mesh"
        :limit="LIMITS.openShare"
        :model-value="overflow.guard.openShare"
        @update:model-value="store.set(at('guard', 'openShare'), $event)"
      />
      <QuantityField
        label="Its smallest opening"
        :limit="LIMITS.slotWidth"
        :model-value="overflow.guard.leastOpeningM"
        @update:model-value="store.set(at('guard', 'leastOpeningM'), $event)"
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
