<script setup lang="ts">
import { readNotation, writeNotation, type NotationFault, type Piece } from '@yew-basin/core'
import { ref, useId, watch } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { pieceFault } from './piece-fault.ts'

const store = useDesign()
const units = useUnits()
const id = useId()
const faults = ref<readonly NotationFault[]>([])
const written = () => writeNotation(store.line!.run.pieces, units.family)
const typed = ref(written())
let own = false

watch(
  () => [store.line?.run.pieces, units.family],
  () => {
    if (!own) {
      typed.value = written()
      faults.value = []
    }
    own = false
  },
)

function read() {
  const run = store.line!.run
  const result = readNotation(typed.value, units.family, run, () => crypto.randomUUID())
  if (!result.ok) {
    faults.value = result.faults
    return
  }
  const impossible = result.pieces.flatMap((piece, i) => {
    const message = pieceFault(piece, units.family)
    return message ? [{ position: i + 1, text: piece.kind, message }] : []
  })
  const lost = lostTee(result.pieces)
  faults.value = lost ? [...impossible, lost] : impossible
  if (faults.value.length > 0) return
  own = true
  store.set(['returnSide', 'lines', store.lineIndex, 'run', 'pieces'], result.pieces)
}

/** A tee that another line meets can't be typed away: that line would hang in the air. */
function lostTee(pieces: readonly Piece[]): NotationFault | null {
  const kept = new Set(pieces.map((piece) => piece.id))
  const position = store.line!.run.pieces.findIndex(
    (piece) => piece.kind === 'tee' && !kept.has(piece.id) && isMet(piece.id),
  )
  return position < 0
    ? null
    : {
        position: position + 1,
        text: 'tee',
        message: 'another line meets this tee. Take that line out first, or leave the tee in.',
      }
}

const isMet = (teeId: string) =>
  store.shown!.returnSide.lines.some(
    ({ start, end }) =>
      (start.at === 'tee' && start.id === teeId) || (end.at === 'tee' && end.id === teeId),
  )

function leave() {
  if (faults.value.length === 0) typed.value = written()
}
</script>

<template>
  <div>
    <label :for="id" class="caption">The run as one line, from the pump to its end</label>
    <textarea
      :id="id"
      v-model="typed"
      rows="5"
      class="box font-mono text-[0.85rem]"
      :class="{ 'border-aril!': faults.length > 0 }"
      spellcheck="false"
      :aria-invalid="faults.length > 0"
      :aria-describedby="`${id}-note`"
      @input="read"
      @blur="leave"
    />
    <div :id="`${id}-note`" class="text-[0.85rem]">
      <ul v-if="faults.length > 0" class="text-aril" role="alert">
        <li v-for="fault in faults" :key="fault.position">
          Piece {{ fault.position }}: {{ fault.message }}
        </li>
      </ul>
      <p v-else class="caption">
        Such as: up 400 mm, elbow, left 25 cm, union, gate 60%, up 3 ft, nozzle 20 mm
      </p>
    </div>
  </div>
</template>
