<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import DimensionLine from './DimensionLine.vue'
import DrainGrips from './DrainGrips.vue'
import LineGrips from './LineGrips.vue'
import LensBar from './LensBar.vue'
import { ZOOM_STEP } from './lens.ts'
import RunDrawing from './RunDrawing.vue'
import { drawRun } from './run-drawing.ts'
import { onSheet, scaleFor, scaleWords, windowOf, type Sheet } from './scale.ts'
import { useLens } from './use-lens.ts'

/** The lines, the tanks and the pumps from above, to scale; the front is at the bottom. */
const store = useDesign()
const route = useRoute()
const units = useUnits()
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)

const layer = useTemplateRef<SVGGElement>('layer')
const { zoom, zoomBy, fitAll, fitChosen, key } = useLens({
  view: 'plan',
  frame,
  layer,
  size: () => ({ width: width.value, height: height.value }),
  scaleAt: (at) => scaleOf(at),
})
const scaleOf = (at: number) =>
  scaleFor(windowOf(store.running!, store.solved!, 'plan'), width.value * at, height.value * at)
const drawing = computed(() => {
  const { running: design, solved } = store
  if (!design || !solved || width.value === 0) return null
  const scale = scaleOf(zoom.value)
  const sheet: Sheet = { view: 'plan', scale }
  return {
    sheet,
    words: scaleWords(scale),
    tanks: design.tanks.map((tank) => ({
      id: tank.id,
      name: tank.name,
      x: scale.x(tank.xM),
      y: scale.y(tank.yM + tank.widthM),
      width: tank.lengthM * scale.pxPerM,
      height: tank.widthM * scale.pxPerM,
      lengthM: tank.lengthM,
      widthM: tank.widthM,
    })),
    runs: solved.returnSide.lines.map((line, i) =>
      drawRun(design.returnSide.lines[i]!, line, sheet),
    ),
    drains: design.drains.map((drain, i) => drawRun(drain, solved.drains[i]!, sheet)),
    boxes: [
      ...design.tanks.flatMap(({ overflow }) => overflow?.box ?? []),
      ...(design.sump.box ? [design.sump.box] : []),
    ].map((box) => ({
      x: scale.x(box.xM),
      y: scale.y(box.yM + box.widthM),
      width: box.lengthM * scale.pxPerM,
      height: box.widthM * scale.pxPerM,
    })),
    ends: solved.returnSide.lines.map((line, i) => ({
      id: line.lineId,
      name: design.returnSide.lines[i]!.name,
      ...onSheet(sheet, line.mouth),
    })),
    pumps: design.returnSide.pumps.map(({ id, outlet }) => ({ id, ...onSheet(sheet, outlet) })),
    pumpPx: Math.min(30, Math.max(12, 0.09 * scale.pxPerM)),
  }
})
</script>

<template>
  <figure
    ref="frame"
    class="absolute inset-0 overflow-hidden"
    :class="{ 'touch-none cursor-move': zoom > 1, 'touch-pan-y': zoom === 1 }"
    aria-labelledby="plan-title"
    @keydown="key"
  >
    <figcaption
      id="plan-title"
      class="caption pointer-events-none absolute left-3 top-2 z-4 rounded bg-sheet/85 px-1"
    >
      Plan<template v-if="drawing">, {{ drawing.words }}, the front at the bottom</template>
    </figcaption>
    <svg
      v-if="drawing"
      :width="width"
      :height="height"
      role="group"
      aria-label="Plan of the basin, to scale"
      class="absolute inset-0"
    >
      <g ref="layer">
        <template v-for="tank in drawing.tanks" :key="tank.id">
          <rect
            :x="tank.x"
            :y="tank.y"
            :width="tank.width"
            :height="tank.height"
            fill="var(--water-light)"
            fill-opacity="0.45"
            stroke="var(--glass)"
            stroke-width="4"
            data-part="plan-tank"
          />
          <text
            :x="tank.x + 10"
            :y="tank.y + tank.height - 10"
            font-size="13"
            fill="var(--ink-soft)"
          >
            {{ tank.name }}
          </text>
          <DimensionLine
            :x1="tank.x"
            :y1="tank.y + tank.height + 16"
            :x2="tank.x + tank.width"
            :y2="tank.y + tank.height + 16"
            :text="units.text('length', tank.lengthM)"
          />
        </template>
        <rect
          v-for="(box, i) in drawing.boxes"
          :key="`b${i}`"
          :x="box.x"
          :y="box.y"
          :width="box.width"
          :height="box.height"
          fill="var(--water-light)"
          fill-opacity="0.35"
          stroke="var(--glass)"
          stroke-width="2"
        />
        <RunDrawing
          v-for="drain in drawing.drains"
          :key="`d${drain.lineId}`"
          :run="drain"
          :marked="store.marked"
          :chosen="false"
        />
        <rect
          v-for="pump in drawing.pumps"
          :key="pump.id"
          :x="pump.x - drawing.pumpPx / 2"
          :y="pump.y - drawing.pumpPx / 2"
          :width="drawing.pumpPx"
          :height="drawing.pumpPx"
          rx="5"
          fill="var(--needle)"
        />
        <g
          v-for="(run, i) in drawing.runs"
          :key="run.lineId"
          class="cursor-pointer"
          role="button"
          tabindex="0"
          :aria-label="`Line: ${drawing.ends[i]!.name}`"
          :data-fit="i === store.lineIndex ? '' : null"
          @click="store.lineId = run.lineId"
          @keydown.enter="store.lineId = run.lineId"
        >
          <RunDrawing :run="run" :marked="store.marked" :chosen="i === store.lineIndex" />
        </g>
        <text
          v-for="end in drawing.ends"
          :key="end.id"
          :x="end.x"
          :y="end.y - 16"
          text-anchor="middle"
          font-size="13"
          fill="var(--ink)"
          class="halo"
        >
          {{ end.name }}
        </text>
        <DrainGrips v-if="route.params.station === 'drains'" :sheet="drawing.sheet" />
        <LineGrips v-else-if="route.name === 'workspace'" :sheet="drawing.sheet" />
      </g>
    </svg>
    <LensBar
      v-if="drawing"
      :zoom="zoom"
      :drawing="() => layer?.ownerSVGElement ?? null"
      name="plan"
      @nearer="zoomBy(ZOOM_STEP)"
      @farther="zoomBy(1 / ZOOM_STEP)"
      @all="fitAll"
      @chosen="fitChosen"
    />
  </figure>
</template>
