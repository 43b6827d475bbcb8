<script setup lang="ts">
import { NOTATION_WORDS, readNotation, writeNotation, type Piece, type Run } from '@yew-basin/core'
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
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
/** What could not be read, and where it stands in the line; nowhere: the whole of it. */
interface Fault {
  readonly position: number
  readonly message: string
  readonly fromIndex?: number
  readonly toIndex?: number
}
const faults = ref<readonly Fault[]>([])
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
    return message ? [{ position: i + 1, message }] : []
  })
  const lost = lostTee(result.pieces)
  faults.value = lost ? [...impossible, lost] : impossible
  if (faults.value.length > 0) return
  own = true
  store.set([...path, 'pieces'], result.pieces)
}

/** A tee that another line meets can't be typed away: that line would hang in the air. */
function lostTee(pieces: readonly Piece[]): Fault | null {
  const kept = new Set(pieces.map((piece) => piece.id))
  const position = run.pieces.findIndex(
    (piece) => piece.kind === 'tee' && !kept.has(piece.id) && isMet(piece.id),
  )
  return position < 0
    ? null
    : {
        position: position + 1,
        message: 'another line meets this tee. Take that line out first, or leave the tee in.',
      }
}

function leave() {
  if (faults.value.length === 0) typed.value = written()
}

const area = useTemplateRef<HTMLTextAreaElement>('area')
/** Where the next letter comes to stand. */
const caret = ref(0)
const MOST_OFFERED = 8
/** What is being typed of the word group that the caret stands in. */
const begun = computed(() => /[^,;\n]*$/.exec(typed.value.slice(0, caret.value))![0].trimStart())
const offered = computed(() => {
  const start = begun.value.toLowerCase()
  return NOTATION_WORDS.filter((word) => word.startsWith(start) && word !== start).slice(
    0,
    MOST_OFFERED,
  )
})

/** Points at what could not be read. */
function point({ fromIndex = 0, toIndex = typed.value.length }: Fault) {
  area.value?.focus()
  area.value?.setSelectionRange(fromIndex, toIndex)
}
/** Takes an offered word in the place of what was begun. */
async function take(word: string) {
  const at = caret.value - begun.value.length
  const before = typed.value.slice(0, at)
  typed.value = `${before}${word} ${typed.value.slice(caret.value)}`
  caret.value = at + word.length + 1
  read()
  await nextTick()
  area.value?.focus()
  area.value?.setSelectionRange(caret.value, caret.value)
}
const follow = () => (caret.value = area.value?.selectionStart ?? typed.value.length)
</script>

<template>
  <div>
    <label :for="id" class="caption">The run as one line, from its start to its end</label>
    <textarea
      :id="id"
      ref="area"
      v-model="typed"
      rows="5"
      class="box font-mono text-[0.85rem]"
      :class="{ 'border-aril!': faults.length > 0 }"
      spellcheck="false"
      :aria-invalid="faults.length > 0"
      :aria-describedby="`${id}-note`"
      @input="(follow(), read())"
      @keyup="follow"
      @click="follow"
      @focus="follow"
      @blur="leave"
    />
    <div :id="`${id}-note`" class="text-[0.85rem]">
      <ul v-if="faults.length > 0" class="text-aril" role="alert">
        <li v-for="fault in faults" :key="fault.position">
          <button
            v-if="fault.fromIndex !== undefined"
            type="button"
            class="text-left underline decoration-dotted"
            @click="point(fault)"
          >
            Piece {{ fault.position }}: {{ fault.message }}
          </button>
          <template v-else>Piece {{ fault.position }}: {{ fault.message }}</template>
        </li>
      </ul>
      <p v-else class="caption">
        Such as: up 400 mm, elbow, left 25 cm, union, gate 60%, up 3 ft, 2 elbows, nozzle 20 mm
      </p>
    </div>
    <div v-if="offered.length > 0" role="group" aria-label="Words for the run" class="words">
      <button
        v-for="word in offered"
        :key="word"
        type="button"
        class="rounded border border-rule px-1.5 font-mono text-[0.8rem]"
        @mousedown.prevent
        @click="take(word)"
      >
        {{ word }}
      </button>
    </div>
  </div>
</template>

<style scoped>
/* Words are listed while the line is being typed. */
.words {
  display: none;
  flex-wrap: wrap;
  gap: 0.25rem;
  margin-top: 0.25rem;
}
.words > button {
  min-height: 1.6rem;
}
textarea:focus ~ .words,
.words:focus-within {
  display: flex;
}
</style>
