<script setup lang="ts">
import { Download, FileText, Upload } from '@lucide/vue'
import { ref } from 'vue'
import { useNotices } from '../shell/notices.ts'
import { saveFile } from '../shell/save-file.ts'
import { useUnits } from '../shell/units.ts'
import { type CsvLine, listCsv, readListCsv } from './list-csv.ts'
import { useShopping } from './shopping-store.ts'

/** The list as files: CSV out and in, and a page to print. */
const { lines, name } = defineProps<{ lines: readonly CsvLine[]; name: string }>()
const shopping = useShopping()
const notices = useNotices()
const units = useUnits()
const fault = ref('')

const saveCsv = () => saveFile(`${name}, to buy.csv`, listCsv(lines), 'text/csv')
async function savePdf() {
  const [{ listPage }, { pdfOf }] = await Promise.all([
    import('./list-page.ts'),
    import('../summary/summary-pdf.ts'),
  ])
  saveFile(`${name}, to buy.pdf`, await pdfOf(listPage(name, lines, units)), 'application/pdf')
}
async function load(event: Event) {
  const input = event.target as HTMLInputElement
  const text = await input.files?.[0]?.text()
  input.value = ''
  if (text === undefined) return
  const list = lines.map(({ line }) => line)
  const read = readListCsv(text, list)
  fault.value = 'fault' in read ? read.fault : ''
  if ('fault' in read) return
  shopping.change(new Map(read.lines.map(({ key, have, price }) => [key, { have, price }])))
  notices.tell(`${read.lines.length} lines read: what you have, and prices.`)
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <button class="button" @click="savePdf"><FileText :size="15" /> PDF to print</button>
    <button class="button" @click="saveCsv"><Download :size="15" /> CSV</button>
    <label class="button cursor-pointer focus-within:outline-2">
      <Upload :size="15" /> Read CSV
      <input type="file" accept=".csv,text/csv" class="sr-only" @change="load" />
    </label>
    <p v-if="fault" role="alert" class="w-full text-aril">{{ fault }}</p>
  </div>
</template>
