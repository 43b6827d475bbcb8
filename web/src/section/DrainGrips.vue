<script setup lang="ts">
import { editing, setTo } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import { useGripPlaces, type Wanted } from './grip-places.ts'
import MoveGrip from './MoveGrip.vue'
import { onSheet, type Sheet } from './scale.ts'

/** Handles on the opened drain: the lip of its inlet, and its end in the sump. */
const { sheet } = defineProps<{ sheet: Sheet }>()
const store = useDesign()
const { placeOf, wayTo, lengthsOf } = useGripPlaces(() => sheet.view)
const index = computed(() => store.shown?.drains.findIndex(({ id }) => id === store.drainId) ?? -1)
const drain = computed(() => store.shown?.drains[index.value] ?? null)
const solved = computed(() => store.solved?.drains[index.value] ?? null)

/** An end is drawn to the water of its chamber. */
const endSnaps = computed(() => {
  const at = store.shown!.sump.chambers.findIndex(({ id }) => id === drain.value!.end.id)
  const levelM = store.solved!.sump.chambers[at]?.levelM
  const inSection = levelM === undefined ? [] : [{ atM: levelM, words: 'at the water' }]
  return { across: [], up: sheet.view === 'plan' ? [] : inSection }
})

function moveInlet(to: Wanted) {
  const at = ['drains', index.value, 'inlet', 'place'] as const
  store.edit(lengthsOf(to).map(([axis, si]) => setTo([...at, axis], si)))
}

function moveEnd(to: Wanted) {
  const by = wayTo(to, solved.value!.mouth)
  const edits = editing.moveDrainEnd(store.design!, index.value, by)
  if (edits.length > 0) store.edit(edits)
}
</script>

<template>
  <g v-if="drain && solved && !store.preview">
    <MoveGrip
      :name="`Inlet of ${drain.name}`"
      :at="onSheet(sheet, drain.inlet.place)"
      :from-m="placeOf(drain.inlet.place)"
      :px-per-m="sheet.scale.pxPerM"
      :snaps="{ across: [], up: [] }"
      @move="moveInlet"
    />
    <MoveGrip
      v-if="drain.end.at === 'chamber'"
      :name="`End of ${drain.name}`"
      :at="onSheet(sheet, solved.mouth)"
      :from-m="placeOf(solved.mouth)"
      :px-per-m="sheet.scale.pxPerM"
      :snaps="endSnaps"
      @move="moveEnd"
    />
  </g>
</template>
