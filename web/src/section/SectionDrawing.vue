<script setup lang="ts">
import { useElementSize, useStorage } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useUnits } from '../shell/units.ts'
import type { Station } from '@yew-basin/core'
import { useDesign } from '../workspace/design-store.ts'
import DimensionLine from './DimensionLine.vue'
import DrawnPart from './DrawnPart.vue'
import FlowLabels from './FlowLabels.vue'
import GroundDrawing from './GroundDrawing.vue'
import DrainGrips from './DrainGrips.vue'
import LineGrips from './LineGrips.vue'
import LevelMark from './LevelMark.vue'
import OverflowDrawing from './OverflowDrawing.vue'
import RunDrawing from './RunDrawing.vue'
import LensBar from './LensBar.vue'
import StateMark from '../shell/StateMark.vue'
import { findingMarks } from './finding-marks.ts'
import { ZOOM_STEP } from './lens.ts'
import { scaleFor, windowOf } from './scale.ts'
import { drawSection } from './section-drawing.ts'
import { levelMarkX } from './section-layout.ts'
import SaveSummary from '../summary/SaveSummary.vue'
import SectionText from './SectionText.vue'
import SheetPaints from './SheetPaints.vue'
import SumpDrawing from './SumpDrawing.vue'
import SumpLabels from './SumpLabels.vue'
import TankDrawing from './TankDrawing.vue'
import { useLens } from './use-lens.ts'

const store = useDesign()
const units = useUnits()
const router = useRouter()
const route = useRoute()
const atDrains = computed(() => route.params.station === 'drains')
const atSump = computed(() => route.params.station === 'sump')
/** Dimension lines of the sump, on demand; the sheet's bar holds the switch. */
const dimensions = useStorage('yew.dimensions', false)
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet)

const room = computed(() =>
  store.running && store.solved ? windowOf(store.running, store.solved) : null,
)
const layer = useTemplateRef<SVGGElement>('layer')
const { zoom, zoomBy, fitAll, fitChosen, key } = useLens({
  view: 'section',
  frame: sheet,
  layer,
  size: () => ({ width: width.value, height: height.value }),
  scaleAt: (at) => scaleFor(room.value!, width.value * at, height.value * at),
})
/** Nearer, it is drawn on a larger sheet, of which the window shows a part. */
const drawing = computed(() => {
  const { running: design, solved, solvedLine: line, placedPump } = store
  if (!design || !solved || !line || width.value === 0) return null
  const of = { design, solved, line, fromChamberId: placedPump?.chamberId }
  return drawSection(of, width.value * zoom.value, height.value * zoom.value)
})
/** What is found of single pieces, beside them. */
const MARK_PX = 13
const marks = computed(() => {
  if (!drawing.value) return []
  const { runs, drains } = drawing.value
  return findingMarks(store.solved!.findings, [...runs, ...drains.map(({ run }) => run)])
})
/** What the bench is about is what is chosen on the drawing. */
/** The stop that is open; in other views none is. */
const station = computed(() =>
  route.name === 'workspace' ? String(route.params.station || 'return') : '',
)

function chooseOverflow(tankId: string, to: Station) {
  store.tankId = tankId
  go(to)
}

function chooseTank(tankId: string) {
  store.tankId = tankId
  go('tank')
}

/** Opens the return station on a line. */
function choose(lineId: string) {
  store.lineId = lineId
  go('return')
}

function go(to: Station) {
  void router.push(`/basins/${store.basin?.id}/${to}`)
}
</script>

<template>
  <figure
    ref="sheet"
    class="absolute inset-0 overflow-hidden"
    :class="{ 'touch-none cursor-move': zoom > 1, 'touch-pan-y': zoom === 1 }"
    aria-labelledby="section-title"
    @keydown="key"
  >
    <figcaption
      id="section-title"
      class="caption pointer-events-none absolute left-3 top-2 z-4 rounded bg-sheet/85 px-1"
    >
      Section<template v-if="drawing">, {{ drawing.words }}</template>
    </figcaption>
    <svg
      v-if="drawing"
      :width="width"
      :height="height"
      aria-hidden="false"
      role="group"
      aria-label="Section of the basin, to scale"
      class="absolute inset-0"
    >
      <SheetPaints />
      <g ref="layer">
        <template v-for="(sump, i) in drawing.sumps" :key="`s${i}`">
          <rect
            v-if="!sump.behind"
            :x="sump.left"
            :y="sump.level"
            :width="sump.right - sump.left"
            :height="Math.max(0, sump.bottom - sump.level)"
            fill="url(#away)"
          />
        </template>
        <rect
          v-for="chamber in drawing.chambers"
          :key="`c${chamber.id}`"
          :x="chamber.left"
          :y="chamber.level"
          :width="chamber.right - chamber.left"
          :height="Math.max(0, chamber.bottom - chamber.level)"
          fill="url(#away)"
        />
        <DrawnPart
          v-for="tank in drawing.tanks"
          :key="tank.tank.id"
          :name="drawing.tanks.length > 1 ? `Tank: ${tank.tank.name}` : 'Tank and target'"
          :data-fit="station === 'tank' && tank.tank.id === store.tank?.id ? '' : null"
          @open="chooseTank(tank.tank.id)"
        >
          <TankDrawing
            :tank="tank.tank"
            :solved="tank.solved"
            :scale="drawing.scale"
            :bottom="drawing.floor ?? drawing.bottom"
          />
        </DrawnPart>
        <DrawnPart
          v-for="overflow in drawing.overflows"
          :key="`o${overflow.tankId}`"
          :name="drawing.tanks.length > 1 ? `Overflow: ${overflow.name}` : 'Overflow'"
          :data-fit="station === 'overflow' && overflow.tankId === store.tank?.id ? '' : null"
          @open="chooseOverflow(overflow.tankId, 'overflow')"
        >
          <OverflowDrawing :overflow="overflow" />
        </DrawnPart>
        <GroundDrawing
          :floor="drawing.floor"
          :bottom="drawing.bottom"
          :width="width"
          :below-text="`The tank’s floor is ${units.text('length', drawing.design.tanks[0]!.floorHeightM)} above the room’s.`"
        />

        <path
          v-for="(sump, i) in [...drawing.sumps, ...drawing.chambers]"
          :key="`l${i}`"
          :d="`M${sump.left} ${sump.level} H${sump.right}`"
          stroke="var(--water-ink)"
          stroke-width="1.4"
          stroke-dasharray="2 3"
        />
        <g
          v-if="drawing.sump"
          class="part"
          role="group"
          aria-label="Sump"
          :data-fit="['sump', 'skimmer', 'sterilizer'].includes(station) ? '' : null"
          @click="go('sump')"
        >
          <SumpDrawing :sump="drawing.sump" :scale="drawing.scale" :movable="atSump" />
        </g>
        <DrawnPart
          v-for="drain in drawing.drains"
          :key="`d${drain.run.lineId}`"
          :name="`Drain: ${drain.name}`"
          :data-fit="atDrains && drain.tankId === store.tank?.id ? '' : null"
          @open="chooseOverflow(drain.tankId, 'drains')"
        >
          <path
            v-if="drain.fall"
            :d="drain.fall"
            stroke="var(--water-deep)"
            stroke-width="2.5"
            stroke-dasharray="5 3"
            class="falls"
          />
          <RunDrawing :run="drain.run" :marked="store.marked" :chosen="atDrains" />
        </DrawnPart>
        <DrawnPart
          v-for="(run, i) in drawing.runs"
          :key="run.lineId"
          :name="
            drawing.runs.length > 1 ? `Line: ${drawing.design.returnSide.lines[i]!.name}` : 'Return'
          "
          :data-fit="station === 'return' && i === store.lineIndex ? '' : null"
          @open="choose(run.lineId)"
        >
          <RunDrawing
            :run="run"
            :marked="store.marked"
            :chosen="!atDrains && i === store.lineIndex"
          />
        </DrawnPart>
        <g
          v-for="pump in drawing.pumps"
          :key="pump.id"
          :transform="`translate(${pump.x} ${pump.y}) scale(${drawing.pumpPx / 34})`"
          :opacity="pump.stopped ? 0.45 : 1"
        >
          <rect x="-17" y="0" width="34" height="25" rx="4" fill="var(--needle)" />
          <rect x="-6" y="-4" width="12" height="6" fill="var(--needle)" />
        </g>
        <path
          v-for="fall in drawing.falls"
          :key="fall.id"
          :d="fall.d"
          stroke="var(--water-deep)"
          stroke-width="3"
          stroke-dasharray="5 3"
          class="falls"
        />

        <LevelMark
          v-for="tank in drawing.tanks"
          :key="`m${tank.tank.id}`"
          :x="levelMarkX(tank.left, tank.right, drawing.crossing)"
          :y="tank.surface"
          :text="`${drawing.small || drawing.tanks.length > 1 ? '' : 'running '}${units.text('length', tank.solved.surfaceM)}`"
        />
        <LevelMark
          v-for="(sump, i) in drawing.sumps"
          :key="`n${i}`"
          :x="sump.behind ? sump.left + 26 : sump.crowded ? sump.right - 20 : sump.left + 14"
          :y="sump.level"
          :anchor="sump.behind || sump.crowded ? 'start' : 'end'"
          :text="`${drawing.small ? '' : sump.behind ? 'chamber ' : 'sump '}${units.text('length', sump.levelM)}`"
        />
        <template v-if="!drawing.small">
          <text
            v-for="chamber in drawing.chambers"
            :key="`t${chamber.id}`"
            :x="(chamber.left + chamber.right) / 2"
            :y="chamber.bottom + 13"
            text-anchor="middle"
            font-size="12.5"
            fill="var(--ink-soft)"
            class="halo"
          >
            <tspan font-weight="650" fill="var(--ink)">
              {{ units.text('flow', chamber.flowM3PerS) }}
            </tspan>
            <tspan :x="(chamber.left + chamber.right) / 2" dy="15">{{ chamber.name }}</tspan>
          </text>
        </template>
        <SumpLabels
          v-if="drawing.sump && !drawing.small"
          :sump="drawing.sump"
          :dimensions="dimensions"
          :named="atSump"
        />
        <template v-if="!drawing.small">
          <text
            v-for="overflow in drawing.overflows.filter((each) => each.water !== null)"
            :key="`ob${overflow.tankId}`"
            :x="overflow.right + 6"
            :y="overflow.water! + 4"
            font-size="12.5"
            fill="var(--ink)"
            class="halo"
          >
            {{ units.text('length', overflow.boxM ?? NaN, overflow.boxBandM) }}
          </text>
        </template>
        <DimensionLine
          v-for="tank in drawing.tanks"
          :key="`d${tank.tank.id}`"
          :x1="tank.left"
          :y1="drawing.above"
          :x2="tank.right"
          :y2="drawing.above"
          :text="units.text('length', tank.tank.lengthM)"
        />
        <DimensionLine
          v-if="drawing.lift.shown"
          :x1="drawing.lift.x"
          :y1="drawing.lift.from"
          :x2="drawing.lift.x"
          :y2="drawing.lift.to"
          :text="`lift ${units.text('head', store.solvedLine!.liftM)}`"
        />
        <FlowLabels :labels="drawing.labels" />
        <StateMark
          v-for="mark in marks"
          :key="mark.key"
          :state="mark.severity"
          :size="MARK_PX"
          :x="mark.x - MARK_PX / 2"
          :y="mark.y - MARK_PX / 2"
        />
        <LineGrips v-if="station === 'return'" :sheet="{ view: 'section', scale: drawing.scale }" />
        <DrainGrips
          v-if="station === 'drains'"
          :sheet="{ view: 'section', scale: drawing.scale }"
        />
      </g>
    </svg>
    <LensBar
      v-if="drawing"
      :zoom="zoom"
      :drawing="() => layer?.ownerSVGElement ?? null"
      name="section"
      @nearer="zoomBy(ZOOM_STEP)"
      @farther="zoomBy(1 / ZOOM_STEP)"
      @all="fitAll"
      @chosen="fitChosen"
    >
      <SaveSummary :drawing="() => layer?.ownerSVGElement ?? null" />
    </LensBar>
    <SectionText v-if="drawing" :design="drawing.design" :solved="drawing.solved" />
  </figure>
</template>

<style scoped>
.part {
  cursor: pointer;
}
.falls {
  animation: fall 0.6s linear infinite;
}
@keyframes fall {
  from {
    stroke-dashoffset: 8px;
  }
  to {
    stroke-dashoffset: 0;
  }
}
</style>
