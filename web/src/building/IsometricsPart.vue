<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { RotateCw } from '@lucide/vue'
import { computed, ref, useTemplateRef } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import IsometricDrawing from '../isometric/IsometricDrawing.vue'
import JointKey from '../isometric/JointKey.vue'
import { lengthLabels } from '../isometric/length-labels.ts'
import { useIsometric } from '../isometric/use-isometric.ts'
import SavePicture from '../shell/SavePicture.vue'
import { useUnits } from '../shell/units.ts'

/** Runs and sub-assemblies as a pipe fitter draws them: in true order, to no scale, with what is sawn. */
const { sheet } = defineProps<{ sheet: building.BuildSheet }>()
const units = useUnits()
const paper = useTemplateRef<HTMLElement>('paper')

const offers = computed(() => [
  ...sheet.routes.map(({ id, name }) => ({ value: `run ${id}`, label: name })),
  ...sheet.subAssemblies.map(({ id, name }) => ({ value: id, label: `Sub-assembly ${name}` })),
])
const wished = ref('')
/** What was chosen may be gone from the design. */
const chosen = computed(
  () => offers.value.find(({ value }) => value === wished.value) ?? offers.value[0] ?? null,
)
const of = computed((): building.IsometricOf | null => {
  if (!chosen.value) return null
  const { value } = chosen.value
  const run = sheet.routes.find(({ id }) => `run ${id}` === value)
  return run ? { kind: 'run', routeId: run.id } : { kind: 'sub-assembly', id: value }
})
const turn = ref<building.Turn>(0)
const drawing = useIsometric(
  () => of.value,
  () => turn.value,
)
const labels = computed(() => (drawing.value ? lengthLabels(drawing.value, units) : []))
const svg = () => paper.value?.querySelector<SVGSVGElement>('svg[data-isometric]') ?? null
</script>

<template>
  <section v-if="chosen" aria-label="Isometrics">
    <h3 class="heading">Isometrics</h3>
    <p class="caption max-w-3xl">
      In true order and to no scale: at each piece its mark and what is sawn, below it the length
      from centre to centre (c–c). Arrows lead with the water; a break passes behind.
    </p>
    <div class="my-2 flex flex-wrap items-end gap-3">
      <ChoiceField
        class="w-72 max-w-full"
        label="Drawn is"
        :options="offers"
        :model-value="chosen.value"
        @update:model-value="wished = $event"
      />
      <button class="button" @click="turn = ((turn + 1) % 4) as building.Turn">
        <RotateCw :size="15" /> Turn
      </button>
      <SavePicture :drawing="svg" :name="`isometric of ${chosen.label}`" />
    </div>
    <div
      ref="paper"
      class="overflow-x-auto rounded-lg border border-rule bg-sheet"
      tabindex="0"
      role="region"
      :aria-label="`Isometric of ${chosen.label}`"
    >
      <IsometricDrawing
        v-if="drawing"
        :drawing="drawing"
        :labels="labels"
        :name="`${chosen.label}, as a pipe fitter draws it`"
      />
    </div>
    <JointKey v-if="drawing" class="mt-2" :drawing="drawing" />
  </section>
</template>
