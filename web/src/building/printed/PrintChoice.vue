<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useTrial } from '../../calc/trial.ts'
import { useToday } from '../../shell/clock.ts'
import { useNotices } from '../../shell/notices.ts'
import { saveFile } from '../../shell/save-file.ts'
import { useUnits } from '../../shell/units.ts'
import { useDesign } from '../../workspace/design-store.ts'
import { useList } from '../use-list.ts'
import { useSheet } from '../use-sheet.ts'
import { useTicks } from '../use-ticks.ts'
import { PARTS, type PartId } from './parts.ts'
import { useDrawings } from './use-drawings.ts'

const { basinId } = defineProps<{ basinId: string }>()
const emit = defineEmits<{ done: [] }>()
const store = useDesign()
const units = useUnits()
const notices = useNotices()
const today = useToday()
useTicks(() => basinId)
const { sheet } = useSheet()
const lines = useList(() => sheet.value)
const isometrics = useTrial(
  () => (store.shown ? { design: store.shown } : null),
  (calls) => calls.isometrics(),
).answer
const drawings = useDrawings()

const chosen = useStorage<PartId[]>(
  'yew.printed',
  PARTS.map(({ id }) => id),
)
/** Nothing of a design without holes or panels is printed for them. */
const offered = computed(() =>
  PARTS.filter(({ id }) => {
    if (id === 'holes') return sheet.value?.holes.some(({ glass }) => glass !== 'tempered')
    if (id === 'panels')
      return sheet.value && sheet.value.walls.length + sheet.value.boxes.length > 0
    return true
  }),
)
const wanted = computed(() =>
  offered.value.map(({ id }) => id).filter((id) => chosen.value.includes(id)),
)
const isReady = computed(() => sheet.value !== null && isometrics.value !== null)
function toggle(id: PartId) {
  chosen.value = chosen.value.includes(id)
    ? chosen.value.filter((other) => other !== id)
    : [...chosen.value, id]
}

const isBusy = ref(false)
const fault = ref('')
async function print() {
  fault.value = wanted.value.length === 0 ? 'Choose at least one part.' : ''
  if (fault.value || !isReady.value) return
  isBusy.value = true
  try {
    const [{ sheetPdf }, { pdfOf }] = await Promise.all([
      import('./sheet-pdf.ts'),
      import('../../summary/summary-pdf.ts'),
    ])
    const content = { sheet: sheet.value!, isometrics: isometrics.value!, lines: lines.value }
    const page = await sheetPdf(wanted.value, content, {
      store,
      units,
      today: today.value,
      drawings,
    })
    const name = store.basin!.name
    saveFile(`${name}, build sheet.pdf`, await pdfOf(page), 'application/pdf')
    notices.tell(`${name}: the build sheet is saved.`)
    emit('done')
  } catch (error) {
    fault.value = `The pages could not be made: ${(error as Error).message}`
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <p class="caption mt-1">
    One PDF on {{ units.family === 'us' ? 'letter' : 'A4' }}, black on white. Print templates at 100
    % and hold the bar against a rule.
  </p>
  <fieldset class="mt-3 space-y-1">
    <legend class="sr-only">Parts to print</legend>
    <label v-for="part in offered" :key="part.id" class="flex min-h-8 items-center gap-2">
      <input
        type="checkbox"
        class="size-5"
        :checked="chosen.includes(part.id)"
        @change="toggle(part.id)"
      />
      {{ part.label }}
    </label>
  </fieldset>
  <p v-if="fault" role="alert" class="mt-2 text-aril">{{ fault }}</p>
  <div class="mt-4 flex flex-wrap items-center gap-3">
    <button class="button button-main" :aria-busy="isBusy" @click="isBusy || print()">
      {{ isBusy ? 'The pages are being made…' : 'Save as PDF' }}
    </button>
    <button class="button" @click="emit('done')">Cancel</button>
    <span v-if="!isReady" class="caption" role="status">The sheet is being worked out…</span>
  </div>
</template>
