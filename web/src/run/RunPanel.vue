<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Plus } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import {
  boreOf,
  hangingOn,
  isHose,
  NEW_ROUGHNESS_M,
  teeOff,
  withoutLine,
  type BranchKind,
  type Piece,
} from '@yew-basin/core'
import { computed, onMounted } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import QuantityField from '../bench/QuantityField.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import LineEndPanel from './LineEndPanel.vue'
import { isFull } from './piece-fault.ts'
import { useParts } from '../parts/parts-store.ts'
import { NEW_PIECES, pieceOfPart, type NewPiece } from './piece-words.ts'
import PieceRow from './PieceRow.vue'
import PipeSizePicker from './PipeSizePicker.vue'
import RunLine from './RunLine.vue'
import TeeOffMenu from './TeeOffMenu.vue'

const store = useDesign()
const parts = useParts()
onMounted(() => void (parts.ready || parts.load()))
const fromParts = computed(() => parts.parts.flatMap((part) => pieceOfPart(part) ?? []))
const units = useUnits()
const atRun = (...path: (string | number)[]) => [
  'returnSide',
  'lines',
  store.lineIndex,
  'run',
  ...path,
]
/** Roughness after months of biofilm: the middle of what is measured, 0.05–0.3 mm. */
const AGED_ROUGHNESS_M = 1.5e-4

const run = computed(() => store.line!.run)
const pieces = computed({
  get: () => [...run.value.pieces],
  set: (next: Piece[]) =>
    store.edit([{ op: 'set', path: atRun('pieces'), to: next }], `order ${Date.now()}`),
})
const solvedOf = (id: string) => store.solvedLine?.pieces.find((piece) => piece.pieceId === id)
const aged = computed(() => run.value.roughnessM > NEW_ROUGHNESS_M * 10)
const ribbed = computed(() =>
  [
    run.value.size,
    ...run.value.pieces.flatMap((piece) => (piece.kind === 'reducer' ? [piece.to] : [])),
  ].some((size) => size.series === 'ribbed-hose'),
)

function move(at: number, by: 1 | -1) {
  const next = [...run.value.pieces]
  const [piece] = next.splice(at, 1)
  if (piece) next.splice(at + by, 0, piece)
  pieces.value = next
}

/** A new piece goes last, but before a nozzle. */
function add(what: NewPiece) {
  const list = run.value.pieces
  const last = list.at(-1)
  const size = list.reduce(
    (now, piece) => (piece.kind === 'reducer' ? piece.to : now),
    run.value.size,
  )
  const made = what.make(crypto.randomUUID(), { size, boreM: boreOf(size).boreM })
  const at = last?.kind === 'nozzle' ? list.length - 1 : list.length
  store.edit([{ op: 'insert', path: atRun('pieces'), at, item: made }], `add ${made.id}`)
}

/** A tee goes with the line that meets it. */
function take(index: number) {
  const piece = run.value.pieces[index]!
  const other = piece.kind === 'tee' ? meeting(piece.id) : undefined
  if (other) store.edit(withoutLine(store.shown!, other.id), `without ${other.id}`)
  else pieces.value = run.value.pieces.filter((_, i) => i !== index)
}

/** The line that starts or ends at a tee. */
function meeting(teeId: string) {
  return store.shown!.returnSide.lines.find(
    ({ start, end }) =>
      (start.at === 'tee' && start.id === teeId) || (end.at === 'tee' && end.id === teeId),
  )
}

function meetsWords(piece: Piece): string {
  const other = piece.kind === 'tee' ? meeting(piece.id) : undefined
  if (!other) return ''
  return other.start.id === piece.id ? `${other.name} leaves here.` : `${other.name} joins here.`
}

function tee(index: number, kind: BranchKind) {
  const newId = () => crypto.randomUUID()
  const made = teeOff(store.shown!, store.solved!, store.lineIndex, index, kind, newId)
  store.edit(made.edits, `tee ${made.lineId}`)
  store.lineId = made.lineId
}
const canTee = computed(
  () => store.shown!.returnSide.lines.length < COUNTS.lines && !isFull(run.value.pieces),
)
const carried = computed(() => hangingOn(store.shown!, store.line!.id).size - 1)
</script>

<template>
  <fieldset v-if="store.shown" :disabled="!!store.preview" class="min-w-0 space-y-4">
    <LineEndPanel />
    <section aria-labelledby="run-size">
      <h3 id="run-size" class="heading mb-1">
        {{ store.line!.start.at === 'pump' ? 'Pipe from the pump on' : 'Pipe from its tee on' }}
      </h3>
      <PipeSizePicker
        name="Pipe or hose"
        :model-value="run.size"
        @update:model-value="store.set(atRun('size'), $event)"
      />
      <label class="mt-1 flex items-center gap-2">
        <input
          type="checkbox"
          :checked="aged"
          @change="store.set(atRun('roughnessM'), aged ? NEW_ROUGHNESS_M : AGED_ROUGHNESS_M)"
        />
        Aged pipe, with months of biofilm
      </label>
      <div v-if="aged || ribbed" class="mt-1 grid grid-cols-2 gap-3">
        <QuantityField
          v-if="aged"
          label="Roughness"
          :limit="LIMITS.roughness"
          :model-value="run.roughnessM"
          @update:model-value="store.set(atRun('roughnessM'), $event)"
        />
        <QuantityField
          v-if="ribbed"
          label="Factor of ribbed hose"
          :limit="LIMITS.ribbedFactor"
          :model-value="run.ribbedFactor"
          @update:model-value="store.set(atRun('ribbedFactor'), $event)"
        />
      </div>
      <p v-if="isHose(run.size.series)" class="caption mt-1">
        Hose curves freely: put a bend in for each turn that costs something.
      </p>
    </section>

    <section aria-labelledby="run-pieces">
      <div class="flex items-center">
        <h3 id="run-pieces" class="heading grow">Pieces, in the order the water passes</h3>
        <TeeOffMenu
          v-if="canTee"
          class="mr-1"
          label="Tee off before the first piece"
          @tee="tee(-1, $event)"
        />
        <Menu as="div" class="relative">
          <MenuButton class="button" :disabled="isFull(run.pieces)"
            ><Plus :size="15" /> Add</MenuButton
          >
          <MenuItems
            class="absolute right-0 z-20 mt-1 max-h-96 w-60 overflow-y-auto rounded-lg border border-rule bg-sheet p-1 shadow-lg"
          >
            <MenuItem
              v-for="what in NEW_PIECES"
              :key="what.label"
              v-slot="{ active }"
              as="template"
            >
              <button
                class="block w-full rounded px-3 py-1.5 text-left"
                :class="{ 'bg-sunk': active }"
                @click="add(what)"
              >
                {{ what.label }}
              </button>
            </MenuItem>
            <p class="caption border-t border-rule px-3 pt-1.5">From your parts</p>
            <MenuItem v-for="what in fromParts" :key="what.label" v-slot="{ active }" as="template">
              <button
                class="block w-full rounded px-3 py-1.5 text-left leading-tight"
                :class="{ 'bg-sunk': active }"
                @click="add(what)"
              >
                {{ what.label }}
              </button>
            </MenuItem>
          </MenuItems>
        </Menu>
      </div>
      <p class="caption">
        {{ run.pieces.length }} pieces, {{ units.text('head', store.solvedLine!.pipeLengthM) }} of
        pipe<template v-if="carried > 0">, {{ carried }} more lines hang on it</template>. Lengths
        run centre to centre.
      </p>
      <VueDraggable
        v-model="pieces"
        tag="ol"
        handle=".handle"
        :disabled="!!store.preview"
        :animation="120"
        class="mt-1 border-t border-rule"
        aria-label="Pieces of the run"
      >
        <PieceRow
          v-for="(piece, i) in pieces"
          :key="piece.id"
          :piece="piece"
          :solved="solvedOf(piece.id)"
          :position="i + 1"
          :first="i === 0"
          :last="i === pieces.length - 1"
          :meets="meetsWords(piece)"
          :can-tee="canTee"
          @mouseenter="store.selectedPieceId = piece.id"
          @mouseleave="store.selectedPieceId = null"
          @focusin="store.selectedPieceId = piece.id"
          @focusout="store.selectedPieceId = null"
          @change="store.set(atRun('pieces', i), $event)"
          @remove="take(i)"
          @tee="tee(i, $event)"
          @move="move(i, $event)"
        />
      </VueDraggable>
    </section>
    <RunLine />
  </fieldset>
</template>
