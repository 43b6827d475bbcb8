<script setup lang="ts">
import { editing, setTo } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import { useGripPlaces, type Wanted } from './grip-places.ts'
import MoveGrip from './MoveGrip.vue'
import { onSheet, type Sheet } from './scale.ts'
import type { Snap } from './snap.ts'

/** Handles on the chosen line: its mouth, and the pump it begins at. */
const { sheet } = defineProps<{ sheet: Sheet }>()
const store = useDesign()
const { placeOf, wayTo, lengthsOf } = useGripPlaces(() => sheet.view)

/** Where a mouth is drawn to: the middle of its tank, and its water. */
const mouthSnaps = computed(() => {
  const end = store.line!.end
  const tank = store.shown!.tanks.find(({ id }) => id === end.id)
  const solved = store.solved!.tanks.find(({ tankId }) => tankId === end.id)
  if (!tank || !solved) return { across: [], up: [] }
  const middle = (atM: number): Snap => ({ atM, words: 'middle of the tank' })
  const across = [middle(tank.xM + tank.lengthM / 2)]
  const inPlan = [middle(tank.yM + tank.widthM / 2)]
  const inSection = [{ atM: solved.surfaceM, words: 'at the water' }]
  return { across, up: sheet.view === 'plan' ? inPlan : inSection }
})

function moveMouth(to: Wanted) {
  const by = wayTo(to, store.solvedLine!.mouth)
  const edits = editing.moveMouth(store.design!, store.lineIndex, by)
  if (edits.length > 0) store.edit(edits)
}

function movePump(to: Wanted) {
  const at = ['returnSide', 'pumps', store.pumpIndex, 'outlet'] as const
  store.edit(lengthsOf(to).map(([axis, si]) => setTo([...at, axis], si)))
}

const startsAtPump = computed(() => store.line?.start.at === 'pump' && store.placedPump)
const hasMouth = computed(() => ['tank', 'chamber'].includes(store.line?.end.at ?? ''))
</script>

<template>
  <g v-if="store.line && store.solvedLine && !store.preview">
    <MoveGrip
      v-if="hasMouth"
      :name="`Mouth of ${store.line.name}`"
      :at="onSheet(sheet, store.solvedLine.mouth)"
      :from-m="placeOf(store.solvedLine.mouth)"
      :px-per-m="sheet.scale.pxPerM"
      :snaps="mouthSnaps"
      @move="moveMouth"
    />
    <MoveGrip
      v-if="startsAtPump"
      :name="`Outlet of the pump of ${store.line.name}`"
      :at="onSheet(sheet, store.placedPump!.outlet)"
      :from-m="placeOf(store.placedPump!.outlet)"
      :px-per-m="sheet.scale.pxPerM"
      :snaps="{ across: [], up: [] }"
      @move="movePump"
    />
  </g>
</template>
