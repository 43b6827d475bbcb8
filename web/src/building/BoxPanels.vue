<script setup lang="ts">
import { Download } from '@lucide/vue'
import type { building } from '@yew-basin/core'
import { computed } from 'vue'
import { saveFile } from '../shell/save-file.ts'
import { useUnits } from '../shell/units.ts'
import { cutListDxf, cutListSvg, PANEL_PARTS, type PanelToCut } from '../sump/cut-drawing.ts'
import PanelsDrawing from '../sump/PanelsDrawing.vue'

/** One overflow box as its panels, if the keeper builds it himself. */
const { box } = defineProps<{ box: building.BoxToBuild }>()
const units = useUnits()
const toCut = computed((): PanelToCut[] =>
  box.panels.map(({ side, ...panel }) => ({ ...panel, label: side })),
)
const file = computed(() => `overflow-box-${box.tankName.toLowerCase().replaceAll(' ', '-')}`)
const saveDxf = () => saveFile(`${file.value}.dxf`, cutListDxf(toCut.value), 'image/vnd.dxf')
const saveSvg = () => saveFile(`${file.value}.svg`, cutListSvg(toCut.value), 'image/svg+xml')
</script>

<template>
  <section :aria-label="`Overflow box of ${box.tankName}`">
    <h3 class="heading">Overflow box of {{ box.tankName }}</h3>
    <PanelsDrawing :panels="toCut" :label="`Panels of the box of ${box.tankName}`" />
    <ul class="mt-1 text-[0.92rem]">
      <li v-for="panel in box.panels" :key="panel.side">
        <span class="inline-block w-16 font-semibold">{{ panel.side }}</span>
        {{ units.cut(panel.widthM, PANEL_PARTS) }} × {{ units.cut(panel.heightM, PANEL_PARTS) }},
        {{ units.text('length', panel.thicknessM) }} thick{{
          box.isThicknessAssumed ? ' (assumed)' : ''
        }}<template v-if="panel.teeth">, toothed along its top</template
        ><template v-if="panel.holes.length > 0">, {{ panel.holes.length }} drilled</template>
      </li>
    </ul>
    <p class="text-[0.92rem]">
      Of glass, silicone: about {{ units.text('glue', box.siliconeM3) }}. Acrylic is cemented.
    </p>
    <div class="mt-2 flex gap-2">
      <button class="button" @click="saveSvg"><Download :size="15" /> SVG</button>
      <button class="button" @click="saveDxf"><Download :size="15" /> DXF</button>
    </div>
  </section>
</template>
