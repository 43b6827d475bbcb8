<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { allowing, setTo } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** What the drills allow for; a usual figure says that it is one. */
const store = useDesign()
const given = computed(() => store.shown!.allowances)

type Figure = keyof typeof allowing.USUAL_ALLOWANCES
const ROWS: readonly (readonly [Figure, string, (typeof LIMITS)[keyof typeof LIMITS]])[] = [
  ['outOfLevelM', 'Tank out of level over its length', LIMITS.outOfLevel],
  ['wavesM', 'Waves over the still level', LIMITS.waves],
  ['leakM3PerS', 'A slow leak', LIMITS.leak],
]
const labelOf = (figure: Figure, label: string) =>
  given.value[figure] === null ? `${label} (usual)` : label
/** A collector of two litres is what many hang beside the sump. */
const COLLECTOR_M3 = 0.002
</script>

<template>
  <section aria-labelledby="allowances-heading" class="border-t border-rule p-3">
    <h2 id="allowances-heading" class="heading">What they allow for</h2>
    <p class="caption">
      Margins to a tank’s rim are what is left after its waves and its being out of level.
    </p>
    <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityField
        v-for="[figure, label, limit] in ROWS"
        :key="figure"
        :label="labelOf(figure, label)"
        :limit="limit"
        :model-value="given[figure] ?? allowing.USUAL_ALLOWANCES[figure]"
        @update:model-value="store.set(['allowances', figure], $event)"
      />
      <QuantityField
        v-if="given.cupCollectorM3 !== null"
        label="The collector holds"
        :limit="LIMITS.collector"
        :model-value="given.cupCollectorM3"
        @update:model-value="store.set(['allowances', 'cupCollectorM3'], $event)"
      />
    </div>
    <TickField
      class="mt-1"
      label="The skimmer’s cup drains into a collector, not back into the sump"
      :model-value="given.cupCollectorM3 !== null"
      @update:model-value="
        store.set(['allowances', 'cupCollectorM3'], $event ? COLLECTOR_M3 : null)
      "
    />
    <button
      v-if="ROWS.some(([figure]) => given[figure] !== null)"
      class="button mt-1"
      @click="store.edit(ROWS.map(([figure]) => setTo(['allowances', figure], null)))"
    >
      Back to the usual figures
    </button>
  </section>
</template>
