<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { TopOff } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TickField from '../bench/TickField.vue'
import { litresAnHour } from '../parts/part-words.ts'
import { useDesign } from '../workspace/design-store.ts'

/** What makes up for evaporation, and how much of it there is: what a stuck one can do is a drill. */
const store = useDesign()
const topOff = computed(() => store.shown!.sump.topOff)
const hasReservoir = computed(() =>
  store.shown!.sump.chambers.some(({ use }) => use === 'reservoir'),
)
/** A small pump on a 20 L can: what most keepers begin with. */
const USUAL = { flowM3PerS: litresAnHour(60), canM3: 0.02, runLimitS: null }
/** Ten minutes: what many controllers are set to. */
const USUAL_LIMIT_S = 600
const give = (name: keyof TopOff, to: number | null) => store.set(['sump', 'topOff', name], to)
const ROWS = rowsOf<TopOff>(
  ['flowM3PerS', 'It lets in', LIMITS.topOffFlow],
  ['canM3', 'Its can holds', LIMITS.can],
  ['runLimitS', 'Its controller gives up after', LIMITS.runLimit],
)
</script>

<template>
  <div>
    <TickField
      label="A top-off makes up for evaporation"
      :model-value="topOff !== null"
      @update:model-value="store.set(['sump', 'topOff'], $event ? USUAL : null)"
    />
    <div v-if="topOff" class="mt-1 grid grid-cols-2 gap-x-3 gap-y-2">
      <QuantityRows :of="topOff" :rows="ROWS" @change="give" />
    </div>
    <TickField
      v-if="topOff"
      class="mt-1"
      label="Its controller gives up after a while"
      :model-value="topOff.runLimitS !== null"
      @update:model-value="give('runLimitS', $event ? USUAL_LIMIT_S : null)"
    />
    <TickField
      v-if="topOff"
      class="mt-1"
      label="Its can stands higher than its tube’s end, and that end is under water"
      :model-value="store.shown!.allowances.topOffTubeSiphons"
      @update:model-value="store.set(['allowances', 'topOffTubeSiphons'], $event)"
    />
    <TickField
      v-if="topOff && hasReservoir"
      class="mt-1"
      label="It draws on the sump’s reservoir"
      :model-value="topOff.canM3 === null"
      @update:model-value="give('canM3', $event ? null : USUAL.canM3)"
    />
  </div>
</template>
