<script setup lang="ts">
import {
  readNotation,
  writeNotation,
  type NotationFault,
  type Piece,
  type Run,
} from '@yew-basin/core'
import { ref, useId, watch } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { pieceFault } from './piece-fault.ts'
import type { RunPath } from './run-path.ts'

const { run, path, isMet } = defineProps<{
  run: Run
  /** Where the run stands in the design. */
  path: RunPath
  /** Does another line meet a tee of this run? */
  isMet: (teeId: string) => boolean
}>()
const store = useDesign()
const units = useUnits()
const id = useId()
const faults = ref<readonly NotationFault[]>([])
const written = () => writeNotation(run.pieces, units.family)
const typed = ref(written())
let own = false

watch(
  () => [run.pieces, units.family],
  () => {
    if (!own) {
      typed.value = written()
      faults.value = []
    }
    own = false
  },
)

function read() {
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
  store.set([...path, 'pieces'], result.pieces)
}

/** A tee that another line meets can't be typed away: that line would hang in the air. */
function lostTee(pieces: readonly Piece[]): NotationFault | null {
  const kept = new Set(pieces.map((piece) => piece.id))
  const position = run.pieces.findIndex(
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

function leave() {
  if (faults.value.length === 0) typed.value = written()
}
</script>

<template>
  <div>
    <label :for="id" class="caption">The run as one line, from its start to its end</label>
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
