<script setup lang="ts">
import type { BasinDesign, DrainRole, DrainState, SolvedDrain } from '@yew-basin/core'
import { useElementSize, useStorage } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useUnits } from '../shell/units.ts'
import type { StopName } from '../workspace/stops.ts'
import { useDesign } from '../workspace/design-store.ts'
import GroundDrawing from './GroundDrawing.vue'
import DimensionLine from './DimensionLine.vue'
import LevelMark from './LevelMark.vue'
import RunDrawing from './RunDrawing.vue'
import { drawRun, type Filling } from './run-drawing.ts'
import { isSmall, scaleFor, scaleWords, windowOf, type Scale, type Sheet } from './scale.ts'
import {
  drawnChambers,
  drawnSump,
  fallingWater,
  flowLabels,
  levelMarkX,
  type FlowLabel,
} from './section-layout.ts'
import OverflowDrawing from './OverflowDrawing.vue'
import { drawOverflows } from './overflow-drawing.ts'
import { drawSump } from './sump-drawing.ts'
import SumpDrawing from './SumpDrawing.vue'
import SumpLabels from './SumpLabels.vue'
import SectionText from './SectionText.vue'
import TankDrawing from './TankDrawing.vue'

const store = useDesign()
const units = useUnits()
const router = useRouter()
const route = useRoute()
const atDrains = computed(() => route.params.stop === 'drains')
const atSump = computed(() => route.params.stop === 'sump')
/** Dimension lines of the sump, on demand; the sheet's bar holds the switch. */
const dimensions = useStorage('yew.dimensions', false)
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet)

const SUMP_TEXT_PX = 90
const drawing = computed(() => {
  const { running: design, solved, solvedLine } = store
  if (!design || !solved || !solvedLine || width.value === 0) return null
  const room = windowOf(design, solved)
  const scale = scaleFor(room, width.value, height.value)
  const sheet: Sheet = { view: 'section', scale }
  const small = isSmall(width.value)
  const { lines } = solved.returnSide
  const tanks = design.tanks.map((tank, i) => ({
    tank,
    solved: solved.tanks[i]!,
    left: scale.x(tank.xM),
    right: scale.x(tank.xM + tank.lengthM),
    top: scale.y(tank.floorHeightM + tank.heightM),
    surface: scale.y(solved.tanks[i]!.surfaceM),
  }))
  const farRight = Math.max(
    ...tanks.map(({ right }) => right),
    ...lines.flatMap(({ pieces }) => pieces.map((piece) => scale.x(piece.to.xM))),
  )
  // Until the sump's sizes are told, its water is drawn as far as it is known: round pumps and ends.
  const sump = drawSump(design, solved, scale)
  const chambers = sump ? [] : drawnChambers(design, lines, scale)
  const sumps = (sump ? [] : design.returnSide.pumps)
    .map((_, i) => drawnSump(design, i, scale))
    .map((sump) => ({
      ...sump,
      // Another chamber stands where its level would be written.
      crowded: chambers.some(
        ({ left, right }) => right > sump.left - SUMP_TEXT_PX && left < sump.left + 14,
      ),
    }))
  const sourceM = design.sump.chambers.find(({ id }) => id === store.placedPump?.chamberId)!.levelM
  return {
    design,
    solved,
    scale,
    tanks,
    runs: lines.map((line, i) => drawRun(design.returnSide.lines[i]!, line, sheet)),
    small,
    floor: room.bottom > 0 ? null : scale.y(0),
    bottom: scale.y(room.bottom),
    pumpPx: Math.min(34, Math.max(12, 0.09 * scale.pxPerM)),
    sumps,
    chambers,
    sump,
    overflows: drawOverflows(design, solved, scale),
    drains: design.drains.map((drain, i) => ({
      tankId: drain.tankId,
      name: drain.name,
      run: drawRun(drain, solved.drains[i]!, sheet, fillingOf(drain.role, solved.drains[i]!.state)),
      fall: drainFall(solved.drains[i]!, design, scale),
    })),
    pumps: design.returnSide.pumps.map(({ id, outlet, stopped }) => ({
      id,
      stopped,
      x: scale.x(outlet.xM),
      y: scale.y(outlet.zM),
    })),
    lift: {
      x: Math.min(farRight + (small ? 14 : 26), width.value - (small ? 32 : 24)),
      from: scale.y(sourceM),
      to: scale.y(sourceM + solvedLine.liftM),
      shown: solvedLine.end !== 'tee' && solvedLine.end !== 'cap',
    },
    falls: lines.flatMap((line) => fallingWater(design, solved, line, scale)),
    words: scaleWords(scale),
    // Over the tanks, and over a line that rises above them where there is room.
    above: Math.max(
      30,
      Math.min(
        ...tanks.map(({ top }) => top - 22),
        ...lines.flatMap(({ pieces }) => pieces.map((piece) => scale.y(piece.to.zM) - 14)),
      ),
    ),
    labels: small ? [] : flowLabels(design, solved, scale),
  }
})

/** A siphon is full, a vented pipe has air in its core, a dry one has nothing else. */
function fillingOf(role: DrainRole, state: DrainState): Filling {
  if (state === 'dry') return 'air'
  return role === 'siphon' ? 'water' : 'film'
}

/** Water that falls from a drain's mouth in air. */
function drainFall(drain: SolvedDrain, { sump }: BasinDesign, scale: Scale): string | null {
  if (drain.flowM3PerS <= 0 || drain.end !== 'above-water' || drain.joinsId !== null) return null
  const { levelM } = sump.chambers.find(({ id }) => id === drain.chamberId)!
  return `M${scale.x(drain.mouth.xM)} ${scale.y(drain.mouth.zM)} V${scale.y(levelM)}`
}

/** What crosses the tanks' water: a level mark keeps clear of it. */
const crossing = computed(() => {
  const { scale, solved, overflows, design } = drawing.value!
  const floorM = Math.min(...design.tanks.map((tank) => tank.floorHeightM))
  const inTank = [...solved.returnSide.lines, ...solved.drains].flatMap(({ pieces }) =>
    pieces.filter(({ to }) => to.zM > floorM).map(({ to }) => scale.x(to.xM)),
  )
  return [...inTank, ...overflows.flatMap(({ left, right }) => [left, (left + right) / 2, right])]
})

const labelMore = (label: FlowLabel) =>
  [label.name, label.speedMPerS === null ? '' : units.text('speed', label.speedMPerS)]
    .filter(Boolean)
    .join(', ')

function chooseOverflow(tankId: string, to: StopName) {
  store.tankId = tankId
  go(to)
}

function chooseTank(tankId: string) {
  store.tankId = tankId
  go('tank')
}

/** Opens the return stop on a line. */
function choose(lineId: string) {
  store.lineId = lineId
  go('return')
}

function go(to: StopName) {
  void router.push(`/basins/${store.basin?.id}/${to}`)
}
</script>

<template>
  <figure ref="sheet" class="absolute inset-0" aria-labelledby="section-title">
    <figcaption id="section-title" class="caption absolute left-4 top-2">
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
      <defs>
        <linearGradient id="depth" x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stop-color="var(--water-light)" />
          <stop offset="1" stop-color="var(--water-deep)" stop-opacity="0.75" />
        </linearGradient>
        <linearGradient id="away" x1="0" x2="1">
          <stop offset="0" stop-color="var(--water-deep)" stop-opacity="0" />
          <stop offset="0.25" stop-color="var(--water-deep)" stop-opacity="0.5" />
          <stop offset="0.75" stop-color="var(--water-deep)" stop-opacity="0.5" />
          <stop offset="1" stop-color="var(--water-deep)" stop-opacity="0" />
        </linearGradient>
        <pattern
          id="ground"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V8" stroke="var(--rule)" stroke-width="1.6" />
        </pattern>
      </defs>

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
      <g
        v-for="one in drawing.tanks"
        :key="one.tank.id"
        class="part"
        role="link"
        tabindex="0"
        :aria-label="drawing.tanks.length > 1 ? `Tank: ${one.tank.name}` : 'Tank and target'"
        @click="chooseTank(one.tank.id)"
        @keydown.enter="chooseTank(one.tank.id)"
      >
        <TankDrawing
          :tank="one.tank"
          :solved="one.solved"
          :scale="drawing.scale"
          :bottom="drawing.floor ?? drawing.bottom"
        />
      </g>
      <g
        v-for="one in drawing.overflows"
        :key="`o${one.tankId}`"
        class="part"
        role="link"
        tabindex="0"
        :aria-label="drawing.tanks.length > 1 ? `Overflow: ${one.name}` : 'Overflow'"
        @click="chooseOverflow(one.tankId, 'overflow')"
        @keydown.enter="chooseOverflow(one.tankId, 'overflow')"
      >
        <OverflowDrawing :one="one" />
      </g>
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
      <g v-if="drawing.sump" class="part" role="group" aria-label="Sump" @click="go('sump')">
        <SumpDrawing :sump="drawing.sump" :scale="drawing.scale" :movable="atSump" />
      </g>
      <g
        v-for="drain in drawing.drains"
        :key="`d${drain.run.lineId}`"
        class="part"
        role="link"
        tabindex="0"
        :aria-label="`Drain: ${drain.name}`"
        @click="chooseOverflow(drain.tankId, 'drains')"
        @keydown.enter="chooseOverflow(drain.tankId, 'drains')"
      >
        <path
          v-if="drain.fall"
          :d="drain.fall"
          stroke="var(--water-deep)"
          stroke-width="2.5"
          stroke-dasharray="5 3"
          class="falls"
        />
        <RunDrawing :run="drain.run" :selected="store.selectedPieceId" :chosen="atDrains" />
      </g>
      <g
        v-for="(run, i) in drawing.runs"
        :key="run.lineId"
        class="part"
        role="link"
        tabindex="0"
        :aria-label="
          drawing.runs.length > 1 ? `Line: ${drawing.design.returnSide.lines[i]!.name}` : 'Return'
        "
        @click="choose(run.lineId)"
        @keydown.enter="choose(run.lineId)"
      >
        <RunDrawing
          :run="run"
          :selected="store.selectedPieceId"
          :chosen="!atDrains && i === store.lineIndex"
        />
      </g>
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
        v-for="one in drawing.tanks"
        :key="`m${one.tank.id}`"
        :x="levelMarkX(one.left, one.right, crossing)"
        :y="one.surface"
        :text="`${drawing.small || drawing.tanks.length > 1 ? '' : 'running '}${units.text('length', one.solved.surfaceM)}`"
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
          v-for="one in drawing.overflows.filter((each) => each.water !== null)"
          :key="`ob${one.tankId}`"
          :x="one.right + 6"
          :y="one.water! + 4"
          font-size="12.5"
          fill="var(--ink)"
          class="halo"
        >
          {{ units.text('length', one.boxM ?? NaN) }}
        </text>
      </template>
      <DimensionLine
        v-for="one in drawing.tanks"
        :key="`d${one.tank.id}`"
        :x1="one.left"
        :y1="drawing.above"
        :x2="one.right"
        :y2="drawing.above"
        :text="units.text('length', one.tank.lengthM)"
      />
      <DimensionLine
        v-if="drawing.lift.shown"
        :x1="drawing.lift.x"
        :y1="drawing.lift.from"
        :x2="drawing.lift.x"
        :y2="drawing.lift.to"
        :text="`lift ${units.text('head', store.solvedLine!.liftM)}`"
      />
      <g v-for="(label, i) in drawing.labels" :key="`f${i}`" font-size="14">
        <text
          :x="label.x"
          :y="label.y"
          text-anchor="end"
          fill="var(--ink)"
          font-weight="650"
          class="halo"
        >
          {{ units.text('flow', label.flowM3PerS) }}
        </text>
        <text
          v-if="labelMore(label)"
          :x="label.x"
          :y="label.y + 17"
          text-anchor="end"
          fill="var(--ink-soft)"
          class="halo"
        >
          {{ labelMore(label) }}
        </text>
      </g>
    </svg>
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
