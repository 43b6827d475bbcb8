<script setup lang="ts">
import { building } from '@yew-basin/core'
import { Download, FileText } from '@lucide/vue'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { saveFile } from '../shell/save-file.ts'
import { useUnits } from '../shell/units.ts'
import { PANEL_PARTS } from '../sump/cut-drawing.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import DrilledPanel from './DrilledPanel.vue'
import { templateDxf, templateOf, templatePdfPage, templateSvg } from './template.ts'
import PrintSheet from './printed/PrintSheet.vue'
import { useSheet } from './use-sheet.ts'

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Holes')
const units = useUnits()
const { sheet } = useSheet()

const sheets = computed(() =>
  (sheet.value?.holes ?? []).map((panel) => ({
    panel,
    title: `${panel.tankName}, ${building.PANEL_NAME[panel.panel]}`,
    isTempered: panel.glass === 'tempered',
  })),
)
const drillable = computed(() => sheets.value.filter(({ isTempered }) => !isTempered))
type Shown = (typeof sheets.value)[number]
const template = ({ panel, title }: Shown) => templateOf(panel, title)

async function savePdf() {
  const { pdfOf } = await import('../summary/summary-pdf.ts')
  const page = templatePdfPage(drillable.value.map(template), units.family)
  saveFile(`${store.basin!.name}, holes.pdf`, await pdfOf(page), 'application/pdf')
}
const saveSvg = (shown: Shown) =>
  saveFile(`${shown.title}.svg`, templateSvg(template(shown)), 'image/svg+xml')
const saveDxf = (shown: Shown) =>
  saveFile(`${shown.title}.dxf`, templateDxf(template(shown)), 'image/vnd.dxf')
</script>

<template>
  <BasinPage
    :id="id"
    heading="Holes"
    about="Each panel with its holes, from two of its edges, and templates one to one. Measure your own bulkhead before you drill."
  >
    <template #beside-heading><PrintSheet :basin-id="id" /></template>
    <p v-if="!sheet" role="status">The panels are being looked through…</p>
    <p v-else-if="sheets.length === 0">
      Nothing of this design is drilled. Holes are drawn
      <RouterLink class="underline" :to="`/basins/${id}/overflow`">at the overflow</RouterLink>.
    </p>
    <div v-else class="space-y-6">
      <p class="max-w-3xl">
        Never drill tempered glass: it shatters. Plain glass wants a diamond saw, water on it, a
        template taped on, and no pressure.
      </p>
      <button v-if="drillable.length > 0" class="button" @click="savePdf">
        <FileText :size="15" /> PDF, one to one
      </button>
      <section v-for="shown in sheets" :key="shown.panel.id" :aria-label="shown.title">
        <h3 class="heading">{{ shown.title }}</h3>
        <p class="caption">
          {{ units.cut(shown.panel.widthM, PANEL_PARTS) }} ×
          {{ units.cut(shown.panel.heightM, PANEL_PARTS) }}, seen from
          {{
            shown.panel.panel === 'floor' || shown.panel.panel === 'box-floor'
              ? 'above'
              : 'the front'
          }}
        </p>
        <p v-if="shown.isTempered" role="alert" class="text-aril">
          This panel is tempered: it shatters when it is drilled, so there is no template of it.
        </p>
        <template v-else>
          <DrilledPanel class="my-2 max-h-72 w-full max-w-3xl" :sheet="template(shown)" />
          <div
            class="overflow-x-auto"
            tabindex="0"
            role="region"
            :aria-label="`Holes of ${shown.title}`"
          >
            <table class="w-full max-w-3xl text-[0.92rem]">
              <thead class="caption border-b border-rule text-left">
                <tr>
                  <th scope="col" class="font-normal">Hole</th>
                  <th scope="col" class="text-right font-normal">From the left</th>
                  <th scope="col" class="text-right font-normal">
                    {{
                      shown.panel.panel === 'floor' || shown.panel.panel === 'box-floor'
                        ? 'From the front'
                        : 'From below'
                    }}
                  </th>
                  <th scope="col" class="text-right font-normal">Saw</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="hole in shown.panel.holes" :key="hole.id" class="border-b border-rule">
                  <th scope="row" class="py-1 text-left font-normal">
                    {{ hole.name }}
                    <span v-if="hole.isAssumed" class="caption">assumed</span>
                  </th>
                  <td class="text-right">{{ units.cut(hole.alongM, PANEL_PARTS) }}</td>
                  <td class="text-right">{{ units.cut(hole.upM, PANEL_PARTS) }}</td>
                  <td class="text-right">{{ units.cut(hole.diameterM, PANEL_PARTS) }}</td>
                </tr>
              </tbody>
            </table>
          </div>
          <div class="mt-2 flex gap-2">
            <button class="button" @click="saveSvg(shown)"><Download :size="15" /> SVG</button>
            <button class="button" @click="saveDxf(shown)"><Download :size="15" /> DXF</button>
          </div>
        </template>
      </section>
    </div>
  </BasinPage>
</template>
