<script setup lang="ts">
import { Download } from '@lucide/vue'
import { LIMITS } from '@yew-basin/contract/limits'
import { building } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { cutListDxf, cutListSvg, PANEL_PARTS, wallToCut } from './cut-drawing.ts'
import PanelsDrawing from './PanelsDrawing.vue'
import { saveFile } from '../shell/save-file.ts'

/** The walls of a self-built sump as panels to cut, drawn and listed. */
const store = useDesign()
const units = useUnits()
const panels = computed(() => building.cutList(store.shown!.sump))
const toCut = computed(() => panels.value.map(wallToCut))
const inOrder = computed(() => [...panels.value].sort((a, b) => a.order - b.order))
const saveDxf = () => saveFile('sump-walls.dxf', cutListDxf(toCut.value), 'image/vnd.dxf')
const saveSvg = () => saveFile('sump-walls.svg', cutListSvg(toCut.value), 'image/svg+xml')
</script>

<template>
  <section v-if="panels.length > 0" aria-labelledby="cut-heading">
    <h3 id="cut-heading" class="heading">Walls to cut</h3>
    <PanelsDrawing :panels="toCut" label="The walls" />
    <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Table of the walls">
      <table class="mt-2 w-full text-[0.85rem]">
        <caption class="sr-only">
          Each wall’s panel and place
        </caption>
        <thead class="caption border-b border-rule text-right">
          <tr>
            <th scope="col" class="text-left font-normal">Wall</th>
            <th scope="col" class="font-normal">Width × height</th>
            <th scope="col" class="font-normal">From left</th>
            <th scope="col" class="font-normal">Foot – top</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="panel in panels" :key="panel.wallId" class="border-b border-rule text-right">
            <th scope="row" class="py-0.5 text-left font-normal">{{ panel.number }}</th>
            <td>
              {{ units.cut(panel.widthM, PANEL_PARTS) }} ×
              {{ units.cut(panel.heightM, PANEL_PARTS) }}
            </td>
            <td>{{ units.cut(panel.fromLeftM, PANEL_PARTS) }}</td>
            <td>
              {{ units.cut(panel.footM, PANEL_PARTS) }} – {{ units.cut(panel.topM, PANEL_PARTS) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-1 text-[0.92rem]">
      Seal them in this order, so that a hand gets to each:
      <template v-for="(panel, i) in inOrder" :key="panel.wallId"
        ><template v-if="i > 0">, </template>wall {{ panel.number }}
        <span class="caption">({{ units.text('length', panel.gapM) }} of room)</span></template
      >.
    </p>
    <div class="mt-2 flex flex-wrap items-end gap-2">
      <QuantityField
        class="w-36"
        label="Silicone gap, a side"
        :limit="LIMITS.gap"
        :model-value="store.shown!.sump.gapM"
        @update:model-value="store.set(['sump', 'gapM'], $event)"
      />
      <button class="button" @click="saveSvg"><Download :size="15" /> SVG</button>
      <button class="button" @click="saveDxf"><Download :size="15" /> DXF</button>
    </div>
  </section>
</template>
