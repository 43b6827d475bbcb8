<script setup lang="ts">
import { Download } from '@lucide/vue'
import { LIMITS } from '@yew-basin/contract/limits'
import { building } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { cutListDxf, cutListSvg, layPanels, outlineOf } from './cut-drawing.ts'
import { saveFile } from '../shell/save-file.ts'

/** The walls of a self-built sump as panels to cut, drawn and listed. */
const PANEL = 64
const store = useDesign()
const units = useUnits()
const panels = computed(() => building.cutList(store.shown!.sump))
const laid = computed(() => layPanels(panels.value))
const inOrder = computed(() => [...panels.value].sort((a, b) => a.order - b.order))
const sheet = computed(() => {
  const last = laid.value.at(-1)!
  const high = Math.max(...laid.value.map(({ height }) => height))
  return { width: last.x + last.width, height: high }
})
const points = (index: number) =>
  outlineOf(laid.value[index]!)
    .map(([x, y]) => `${x},${sheet.value.height - y}`)
    .join(' ')

const saveDxf = () => saveFile('sump-walls.dxf', cutListDxf(panels.value), 'image/vnd.dxf')
const saveSvg = () => saveFile('sump-walls.svg', cutListSvg(panels.value), 'image/svg+xml')
</script>

<template>
  <section v-if="panels.length > 0" aria-labelledby="cut-heading">
    <h3 id="cut-heading" class="heading">Walls to cut</h3>
    <div
      class="mt-1 overflow-x-auto rounded-lg border border-rule bg-sheet p-2"
      tabindex="0"
      role="region"
      aria-label="Drawing of the walls"
    >
      <svg
        xmlns="http://www.w3.org/2000/svg"
        role="img"
        aria-label="The walls, side by side, with their sizes"
        :viewBox="`-20 -20 ${sheet.width + 40} ${sheet.height + 70}`"
        class="h-44 max-w-none"
        font-family="sans-serif"
      >
        <g v-for="(piece, i) in laid" :key="piece.panel.wallId">
          <polygon :points="points(i)" fill="none" stroke="currentColor" stroke-width="1.5" />
          <circle
            v-if="piece.hole"
            :cx="piece.hole.x"
            :cy="sheet.height - piece.hole.y"
            :r="piece.hole.r"
            fill="none"
            stroke="currentColor"
            stroke-width="1.5"
          />
          <text
            :x="piece.x + piece.width / 2"
            :y="sheet.height - piece.height / 2"
            text-anchor="middle"
            font-size="22"
            fill="currentColor"
          >
            {{ piece.panel.number }}
          </text>
          <text
            :x="piece.x + piece.width / 2"
            :y="sheet.height + 30"
            text-anchor="middle"
            font-size="20"
            fill="currentColor"
          >
            {{ units.cut(piece.panel.widthM, PANEL) }} ×
            {{ units.cut(piece.panel.heightM, PANEL) }}
          </text>
        </g>
      </svg>
    </div>
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
            <td>{{ units.cut(panel.widthM, PANEL) }} × {{ units.cut(panel.heightM, PANEL) }}</td>
            <td>{{ units.cut(panel.fromLeftM, PANEL) }}</td>
            <td>{{ units.cut(panel.footM, PANEL) }} – {{ units.cut(panel.topM, PANEL) }}</td>
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
