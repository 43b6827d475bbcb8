<script setup lang="ts">
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { type LineEnd, type EditPath, editing, type Point } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import { useNotices } from '../shell/notices.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import OwnFigure from './OwnFigure.vue'

/** What the chosen line is called, where it ends and what it should carry. */
const store = useDesign()
const units = useUnits()
const notices = useNotices()
const at = <const More extends EditPath>(...path: More) =>
  ['returnSide', 'lines', store.lineIndex, ...path] as const
const line = computed(() => store.line!)
const solved = computed(() => store.solvedLine!)

const choices = computed(() => {
  const { tanks, returnSide, sump } = store.shown!
  const own = new Set(line.value.run.pieces.map((piece) => piece.id))
  const tees = returnSide.lines.flatMap(({ name, run }) =>
    run.pieces.flatMap((piece, i) => {
      const met = returnSide.lines.some(
        ({ start, end, id }) =>
          id !== line.value.id &&
          ((start.at === 'tee' && start.id === piece.id) ||
            (end.at === 'tee' && end.id === piece.id)),
      )
      return piece.kind === 'tee' && !own.has(piece.id) && !met
        ? [{ key: `tee ${piece.id}`, label: `into ${name}, at its tee, piece ${i + 1}` }]
        : []
    }),
  )
  return [
    ...tanks.map(({ id, name }) => ({ key: `tank ${id}`, label: `over or in ${name}` })),
    ...sump.chambers.map(({ id, name }) => ({ key: `chamber ${id}`, label: `into ${name}` })),
    ...tees,
    { key: 'cap', label: 'in a cap' },
  ]
})
const key = computed(() =>
  line.value.end.at === 'cap' ? 'cap' : `${line.value.end.at} ${line.value.end.id}`,
)

function setEnd(chosen: string) {
  const [kind, ...rest] = chosen.split(' ')
  const end: LineEnd = {
    at: kind as LineEnd['at'],
    id: kind === 'cap' ? null : rest.join(' '),
    place: null,
    breakDepthM: null,
  }
  store.set(at('end'), end)
}

const placed = computed(() => line.value.end.place)
const AXES = [
  { axis: 'xM', label: 'From the left' },
  { axis: 'yM', label: 'From the front' },
  { axis: 'zM', label: 'Over the floor' },
] as const

function moveMouth(axis: keyof Point, toM: number) {
  const by = { xM: 0, yM: 0, zM: 0, [axis]: toM - solved.value.mouth[axis] }
  const edits = editing.moveMouth(store.design!, store.lineIndex, by)
  if (edits.length > 0) store.edit(edits)
  else notices.tell('No pipe of this line along that way can give so much: add one, or a hose.')
}

function remove() {
  store.edit(editing.withoutLine(store.shown!, line.value.id))
  store.lineId = null
}
/** Its own valve, that can give the flow it wants. */
const valve = computed(() => editing.ownValve(store.shown!, store.lineIndex))
function setValve() {
  const wanted = line.value.wantedFlowM3PerS!
  const set = editing.valveForFlow(store.design!, valve.value!, wanted)
  store.edit(set.edits)
  const opening = units.text('share', set.opening)
  const flow = units.text('flow', set.flowM3PerS)
  notices.tell(
    set.opening < 1
      ? `Its valve stands ${opening} open for that: ${flow}.`
      : `Wide open it gives ${flow}, and no more: the pump or the other lines must change.`,
  )
}
/** The last way from a pump to a tank stays: without it there is no return. */
const canGo = computed(() => {
  const edits = editing.withoutLine(store.shown!, line.value.id)
  const left = edits[0]!
  return left.op === 'set' && (left.to as unknown[]).length > 0
})
</script>

<template>
  <section aria-labelledby="line-heading" class="space-y-2">
    <h3 id="line-heading" class="heading">This line</h3>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <TextField
        label="Name of the line"
        :most="COUNTS.nameLength"
        :model-value="line.name"
        @update:model-value="store.set(at('name'), $event)"
      />
      <label class="block">
        <span class="caption">It ends</span>
        <select
          class="box"
          :value="key"
          @change="setEnd(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="choice in choices" :key="choice.key" :value="choice.key">
            {{ choice.label }}
          </option>
        </select>
      </label>
    </div>
    <OwnFigure
      v-if="line.end.at !== 'cap' && line.end.at !== 'tee'"
      label="wants a flow of its own"
      field="Wanted at its end"
      :limit="LIMITS.wantedFlow"
      :start="Math.max(1e-5, solved.flowM3PerS)"
      :model-value="line.wantedFlowM3PerS"
      @update:model-value="store.set(at('wantedFlowM3PerS'), $event)"
    />
    <button
      v-if="line.wantedFlowM3PerS !== null && valve"
      class="button"
      :disabled="!!store.preview"
      @click="setValve"
    >
      Set its valve for that
    </button>
    <OwnFigure
      v-if="line.end.at === 'tank'"
      label="a break hole is drilled under the surface"
      field="Depth of the break hole"
      :limit="LIMITS.breakDepth"
      :start="0.015"
      :model-value="line.end.breakDepthM"
      @update:model-value="store.set(at('end', 'breakDepthM'), $event)"
    />
    <template v-if="line.end.at === 'tank' || line.end.at === 'chamber'">
      <p class="caption">Its mouth: the last pipe along that way gives, as where it is dragged.</p>
      <div class="grid grid-cols-3 gap-x-2">
        <QuantityField
          v-for="{ axis, label } in AXES"
          :key="axis"
          :label="`Mouth, ${label.toLowerCase()}`"
          :limit="LIMITS.place"
          :model-value="solved.mouth[axis]"
          @update:model-value="moveMouth(axis, $event)"
        />
      </div>
      <label class="caption flex items-center gap-2">
        <input
          type="checkbox"
          :checked="placed !== null"
          @change="store.set(at('end', 'place'), placed === null ? { ...solved.mouth } : null)"
        />
        must reach a bulkhead or clip at a place
      </label>
      <div v-if="placed" class="grid grid-cols-3 gap-x-2">
        <QuantityField
          v-for="{ axis, label } in AXES"
          :key="axis"
          :label="label"
          :limit="LIMITS.place"
          :model-value="placed[axis]"
          @update:model-value="store.set(at('end', 'place', axis), $event)"
        />
      </div>
    </template>
    <button v-if="canGo" class="button text-aril" @click="remove">Take this line out</button>
  </section>
</template>
