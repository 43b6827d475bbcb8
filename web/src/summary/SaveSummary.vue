<script setup lang="ts">
import { FileText } from '@lucide/vue'
import { ref } from 'vue'
import { useToday } from '../shell/clock.ts'
import { useNotices } from '../shell/notices.ts'
import { printPicture } from '../shell/picture.ts'
import { saveFile } from '../shell/save-file.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { summaryOf } from './summary-content.ts'
import { summaryPage } from './summary-page.ts'

/** The basin on one page: its section as lines, key figures, what stops and what to watch. */
const { drawing } = defineProps<{ drawing: () => SVGSVGElement | null }>()
const store = useDesign()
const units = useUnits()
const notices = useNotices()
const today = useToday()
const isBusy = ref(false)

async function save() {
  const shown = drawing()
  isBusy.value = true
  try {
    const content = summaryOf(store, units, today.value)
    const how = { drawing: shown && printPicture(shown), family: units.family }
    const { pdfOf } = await import('./summary-pdf.ts')
    saveFile(
      `${content.heading}, summary.pdf`,
      await pdfOf(summaryPage(content, how)),
      'application/pdf',
    )
  } catch (error) {
    notices.tell(`The page could not be made: ${(error as Error).message}`, { tone: 'bad' })
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <button
    class="icon-button"
    :aria-label="isBusy ? 'The summary is being made' : 'One-page summary (PDF)'"
    title="One-page summary (PDF)"
    :aria-busy="isBusy"
    @click="isBusy || save()"
  >
    <FileText :size="16" />
  </button>
</template>
