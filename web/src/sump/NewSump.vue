<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { type SumpBox, editing, starting } from '@yew-basin/core'
import { ref } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'
import { LAYOUTS } from './sump-words.ts'

/** Gives a sump its sizes: a common tank or your own, and a layout to begin with. */
const store = useDesign()
const emit = defineEmits<{ made: [] }>()

const COMMON = [
  { value: '', label: 'my own sizes' },
  ...editing.COMMON_SIZES.map(({ words }) => ({ value: words, label: words })),
]
const common = ref('')
const layout = ref('four')
const make = ref<SumpBox['make']>('bought')
const outside = ref(false)
const start = store.shown!.sump.box
const sizes = ref({
  lengthM: start?.lengthM ?? 0.884,
  widthM: start?.widthM ?? 0.384,
  heightM: start?.heightM ?? 0.392,
  panelM: start?.panelM ?? 0.008,
})

function take(words: string) {
  common.value = words
  const size = editing.COMMON_SIZES.find((known) => known.words === words)
  if (!size) return
  const { lengthM, widthM, heightM, panelM } = size
  sizes.value = { lengthM, widthM, heightM, panelM }
  outside.value = false
}

/** Typed sizes are of the inside, or of the outside less a panel on either side (one below). */
function insideSizes() {
  const { lengthM, widthM, heightM, panelM } = sizes.value
  return outside.value
    ? { ...starting.insideOf({ lengthM, widthM, heightM }, panelM), panelM }
    : { lengthM, widthM, heightM, panelM }
}

const GIVEN = ['lengthM', 'widthM', 'heightM'].map((size) => `sump.box.${size}`)

function build() {
  const design = store.design!
  const { uses } = LAYOUTS.find(({ id }) => id === layout.value)!
  const box = editing.newSumpBox(design, { make: make.value, ...insideSizes() })
  // Its sizes stood in this form: they are the keeper's.
  store.lay(editing.sumpEdits(design, editing.newSump(design.sump, box, uses)), GIVEN)
  emit('made')
}
</script>

<template>
  <section aria-labelledby="new-sump" class="space-y-2">
    <h3 id="new-sump" class="heading">
      {{ store.shown!.sump.box ? 'Lay it out anew' : 'Give it its sizes' }}
    </h3>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <ChoiceField
        label="A common tank, outside sizes"
        :options="COMMON"
        :model-value="common"
        @update:model-value="take"
      />
      <ChoiceField
        v-model="make"
        label="It is"
        :options="[
          { value: 'bought', label: 'bought' },
          { value: 'self-built', label: 'built by yourself' },
        ]"
      />
      <QuantityField
        v-model="sizes.lengthM"
        :label="outside ? 'Outside length' : 'Inside length'"
        :limit="LIMITS.sumpLength"
      />
      <QuantityField
        v-model="sizes.widthM"
        :label="outside ? 'Outside width' : 'Inside width'"
        :limit="LIMITS.sumpLength"
      />
      <QuantityField
        v-model="sizes.heightM"
        :label="outside ? 'Outside height' : 'Inside height'"
        :limit="LIMITS.sumpHeight"
      />
      <QuantityField v-model="sizes.panelM" label="Panels" :limit="LIMITS.panel" />
    </div>
    <TickField v-model="outside" label="These are outside sizes" />
    <ChoiceField
      v-model="layout"
      label="Chambers to begin with"
      :options="LAYOUTS.map(({ id, label }) => ({ value: id, label }))"
    />
    <button class="button button-main" :disabled="!!store.preview" @click="build">
      Lay it out
    </button>
  </section>
</template>
