<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Plus } from '@lucide/vue'
import { LIMITS } from '@yew-basin/contract/limits'
import {
  boreOf,
  isHose,
  AGED_ROUGHNESS_M,
  isTeeMet,
  NEW_ROUGHNESS_M,
  type Piece,
  type Run,
  setTo,
  insertAt,
  type EditPath,
  editing,
} from '@yew-basin/core'
import { computed, onMounted } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import QuantityField from '../bench/QuantityField.vue'
import { useDesign } from '../workspace/design-store.ts'
import { isFull } from './piece-fault.ts'
import { useParts } from '../parts/parts-store.ts'
import { NEW_PIECES, pieceOfPart, type NewPiece } from './piece-words.ts'
import PieceRow from './PieceRow.vue'
import PipeSizePicker from './PipeSizePicker.vue'
import RunLine from './RunLine.vue'
import type { RunPath } from './run-path.ts'
import TeeOffMenu from './TeeOffMenu.vue'

/** A run of pipe: its size, its pieces as a list, and the same as one typed line. */
const {
  run,
  path,
  mayTake = undefined,
  lossOf = undefined,
  meets = undefined,
} = defineProps<{
  run: Run
  /** Where the run stands in the design. */
  path: RunPath
  heading: string
  /** What a piece loses, m. */
  lossOf?: (pieceId: string) => number | undefined
  /** The line that meets a tee, in words; empty: none. */
  meets?: (piece: Piece) => string
  canTee: boolean
  /** False when whoever holds the run took the piece out itself. */
  mayTake?: (piece: Piece) => boolean
}>()
defineEmits<{ tee: [index: number, kind: editing.BranchKind] }>()

const store = useDesign()
const parts = useParts()
onMounted(() => void parts.want())
const fromParts = computed(() => parts.parts.flatMap((part) => pieceOfPart(part) ?? []))
const at = <const More extends EditPath>(...more: More) => [...path, ...more] as const

const pieces = computed({
  get: () => [...run.pieces],
  set: (next: Piece[]) => store.edit([setTo(at('pieces'), next)]),
})
const aged = computed(() => run.roughnessM > NEW_ROUGHNESS_M * 10)
const ribbed = computed(() =>
  [run.size, ...run.pieces.flatMap((piece) => (piece.kind === 'reducer' ? [piece.to] : []))].some(
    (size) => size.series === 'ribbed-hose',
  ),
)

/** The bore each piece sits in. */
const bores = computed(() => {
  let size = run.size
  return run.pieces.map((piece) => {
    const { boreM } = boreOf(size)
    if (piece.kind === 'reducer') size = piece.to
    return boreM
  })
})

function move(from: number, by: 1 | -1) {
  const next = [...run.pieces]
  const [piece] = next.splice(from, 1)
  if (piece) next.splice(from + by, 0, piece)
  pieces.value = next
}

function add(what: NewPiece) {
  const { place, ...around } = editing.endOfRun(run)
  store.edit([insertAt(at('pieces'), place, what.make(crypto.randomUUID(), around))])
}

/** A tee that something meets can't be typed away. */
const isMet = (teeId: string) => isTeeMet(store.shown!, teeId)

function take(index: number) {
  if (mayTake && !mayTake(run.pieces[index]!)) return
  pieces.value = run.pieces.filter((_, i) => i !== index)
}
</script>

<template>
  <div class="min-w-0 space-y-4">
    <RunLine :run="run" :path="path" :is-met="(id) => isMet(id)" />
    <section aria-labelledby="run-size">
      <h3 id="run-size" class="heading mb-1">
        {{ heading }}
      </h3>
      <PipeSizePicker
        name="Pipe or hose"
        :at="at('size')"
        :model-value="run.size"
        @update:model-value="store.set(at('size'), $event)"
      />
      <label class="mt-1 flex items-center gap-2">
        <input
          type="checkbox"
          :checked="aged"
          @change="store.set(at('roughnessM'), aged ? NEW_ROUGHNESS_M : AGED_ROUGHNESS_M)"
        />
        Aged pipe, with months of biofilm
      </label>
      <div v-if="aged || ribbed" class="mt-1 grid grid-cols-2 gap-3">
        <QuantityField
          v-if="aged"
          label="Roughness"
          :limit="LIMITS.roughness"
          :model-value="run.roughnessM"
          @update:model-value="store.set(at('roughnessM'), $event)"
        />
        <QuantityField
          v-if="ribbed"
          label="Factor of ribbed hose"
          :limit="LIMITS.ribbedFactor"
          :model-value="run.ribbedFactor"
          @update:model-value="store.set(at('ribbedFactor'), $event)"
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
          @tee="$emit('tee', -1, $event)"
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
        {{ run.pieces.length }} pieces<slot name="summary" />. Lengths run centre to centre.
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
          :at="at('pieces', i)"
          :loss-m="lossOf?.(piece.id)"
          :bore-m="bores[i]!"
          :size="run.size"
          :position="i + 1"
          :first="i === 0"
          :last="i === pieces.length - 1"
          :meets="meets?.(piece) ?? ''"
          :can-tee="canTee"
          @mouseenter="store.selectedPieceId = piece.id"
          @mouseleave="store.selectedPieceId = null"
          @focusin="store.selectedPieceId = piece.id"
          @focusout="store.selectedPieceId = null"
          @change="store.set(at('pieces', i), $event)"
          @remove="take(i)"
          @tee="$emit('tee', i, $event)"
          @move="move(i, $event)"
        />
      </VueDraggable>
    </section>
  </div>
</template>
