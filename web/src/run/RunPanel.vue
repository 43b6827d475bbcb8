<script setup lang="ts">
import { COUNTS } from '@yew-basin/contract/limits'
import { lineAtTee, type Piece, editing } from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import LineEndPanel from './LineEndPanel.vue'
import { isFull } from './piece-fault.ts'
import RunEditor from './RunEditor.vue'
import type { RunPath } from './run-path.ts'

const store = useDesign()
const units = useUnits()
const path = computed((): RunPath => ['returnSide', 'lines', store.lineIndex, 'run'])
const run = computed(() => store.line!.run)
const lossOf = (id: string) => store.solvedLine?.pieces.find((piece) => piece.pieceId === id)?.lossM

/** A tee goes with the line that meets it. */
function mayTake(piece: Piece): boolean {
  const other = piece.kind === 'tee' ? meeting(piece.id) : undefined
  if (other) store.edit(editing.withoutLine(store.shown!, other.id))
  return !other
}

const meeting = (teeId: string) => lineAtTee(store.shown!, teeId)

function meetsWords(piece: Piece): string {
  const other = piece.kind === 'tee' ? meeting(piece.id) : undefined
  if (!other) return ''
  return other.start.id === piece.id ? `${other.name} leaves here.` : `${other.name} joins here.`
}

function tee(index: number, kind: editing.BranchKind) {
  const newId = () => crypto.randomUUID()
  const made = editing.teeOff(store.shown!, store.solved!, {
    lineIndex: store.lineIndex,
    afterPiece: index,
    kind,
    newId,
  })
  store.lay(made.edits)
  store.lineId = made.lineId
}
const canTee = computed(
  () => store.shown!.returnSide.lines.length < COUNTS.lines && !isFull(run.value.pieces),
)
const carried = computed(() => editing.hangingOn(store.shown!, store.line!.id).size - 1)
</script>

<template>
  <fieldset v-if="store.shown" :disabled="!!store.preview" class="min-w-0 space-y-4">
    <RunEditor
      :run="run"
      :path="path"
      :heading="store.line!.start.at === 'pump' ? 'Pipe from the pump on' : 'Pipe from its tee on'"
      :loss-of="lossOf"
      :meets="meetsWords"
      :can-tee="canTee"
      :may-take="mayTake"
      @tee="tee"
    >
      <template #summary
        >, {{ units.text('head', store.solvedLine!.pipeLengthM) }} of pipe<template
          v-if="carried > 0"
          >, {{ carried }} more lines hang on it</template
        ></template
      >
    </RunEditor>
    <LineEndPanel />
  </fieldset>
</template>
