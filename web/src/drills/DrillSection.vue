<script setup lang="ts">
import {
  asItStands,
  momentAt,
  type BasinDesign,
  type Playback,
  type SolvedBasin,
} from '@yew-basin/core'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import GroundDrawing from '../section/GroundDrawing.vue'
import LevelMark from '../section/LevelMark.vue'
import OverflowDrawing from '../section/OverflowDrawing.vue'
import { drawOverflows } from '../section/overflow-drawing.ts'
import RunDrawing from '../section/RunDrawing.vue'
import { drawRun } from '../section/run-drawing.ts'
import { scaleFor, scaleWords, windowOf, type Sheet } from '../section/scale.ts'
import { drawSump } from '../section/sump-drawing.ts'
import SumpDrawing from '../section/SumpDrawing.vue'
import SheetPaints from '../section/SheetPaints.vue'
import TankDrawing from '../section/TankDrawing.vue'
import { useUnits } from '../shell/units.ts'

/** The section with its water where it stands at one moment of a drill. */
const { design, solved, playback, timeS } = defineProps<{
  design: BasinDesign
  solved: SolvedBasin
  playback: Playback | null
  timeS: number
  /** While it plays, the levels are what moves: the dashes in the pipes stand. */
  playing: boolean
}>()
const units = useUnits()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet)

/** What no moment moves: worked out once for a design and a size of the sheet. */
const frame = computed(() => {
  if (width.value === 0) return null
  const room = windowOf(design, solved)
  const scale = scaleFor(room, width.value, height.value)
  const on: Sheet = { view: 'section', scale }
  const { lines } = solved.returnSide
  const still = (pieces: (typeof lines)[number]['pieces']) =>
    pieces.map((piece) => ({ ...piece, speedMPerS: 0, flowM3PerS: 0 }))
  return {
    scale,
    words: scaleWords(scale),
    floor: room.bottom > 0 ? null : scale.y(0),
    bottom: scale.y(room.bottom),
    moving: lines.map((line, i) => drawRun(design.returnSide.lines[i]!, line, on)),
    standing: lines.map((line, i) =>
      drawRun(design.returnSide.lines[i]!, { pieces: still(line.pieces) }, on),
    ),
    drains: design.drains.map((drain, i) => {
      const pieces = solved.drains[i]!.pieces.map((piece) => ({ ...piece, speedMPerS: 0.6 }))
      const dry = solved.drains[i]!.pieces.map((piece) => ({ ...piece, speedMPerS: 0 }))
      const filling = drain.role === 'siphon' ? 'water' : 'film'
      return {
        wet: drawRun(drain, { pieces }, on, filling),
        dry: drawRun(drain, { pieces: dry }, on, 'air'),
      }
    }),
    pumps: design.returnSide.pumps.map(({ id, outlet }) => ({
      id,
      x: scale.x(outlet.xM),
      y: scale.y(outlet.zM),
    })),
    pumpPx: Math.min(34, Math.max(12, 0.09 * scale.pxPerM)),
  }
})

const moment = computed(() => (playback ? momentAt(playback, timeS) : null))
const stands = computed(() =>
  playback && moment.value
    ? asItStands(design, solved, playback, moment.value)
    : { design, solved },
)
const drawn = computed(() => {
  const still = frame.value
  if (!still) return null
  const { design: now, solved: figures } = stands.value
  const { scale } = still
  const flows = moment.value?.returnFlowsM3PerS
  return {
    tanks: now.tanks.map((tank, i) => ({
      tank,
      solved: figures.tanks[i]!,
      left: scale.x(tank.xM),
      surface: scale.y(figures.tanks[i]!.surfaceM),
      spills: figures.tanks[i]!.surfaceM > tank.floorHeightM + tank.rimM,
      right: scale.x(tank.xM + tank.lengthM),
      rim: scale.y(tank.floorHeightM + tank.rimM),
    })),
    overflows: drawOverflows(now, figures, scale),
    sump: drawSump(now, figures, scale),
    runs: still.moving.map((run, i) => {
      const flow = flows?.[playback!.endLinks[i]!] ?? figures.returnSide.lines[i]!.flowM3PerS
      if (Math.abs(flow) < 1e-8) return still.standing[i]!
      return flow > 0
        ? run
        : { ...run, pipes: run.pipes.map((pipe) => ({ ...pipe, backwards: true })) }
    }),
    drains: still.drains.map(({ wet, dry }, i) =>
      (moment.value?.drainFlowsM3PerS[i] ?? figures.drains[i]!.flowM3PerS) > 1e-8 ? wet : dry,
    ),
    spilledM3: moment.value?.spilledM3 ?? 0,
  }
})
const inWords = computed(() => {
  if (!drawn.value) return ''
  const tanks = drawn.value.tanks.map(
    ({ tank, solved }) => `${tank.name} ${units.text('length', solved.surfaceM)}`,
  )
  const chambers = (drawn.value.sump?.chambers ?? []).map(
    ({ name, levelM }) => `${name} ${units.text('length', levelM)}`,
  )
  return [...tanks, ...chambers].join(', ')
})
</script>

<template>
  <figure ref="sheet" class="absolute inset-0" aria-labelledby="drill-section-title">
    <figcaption id="drill-section-title" class="caption absolute left-4 top-2">
      Section<template v-if="frame">, {{ frame.words }}</template>
    </figcaption>
    <svg
      v-if="frame && drawn"
      :width="width"
      :height="height"
      role="img"
      :aria-label="`Levels above the room’s floor: ${inWords}`"
      class="absolute inset-0 will-change-transform"
      :class="{ playing }"
      data-testid="drill-section"
    >
      <SheetPaints />
      <TankDrawing
        v-for="tank in drawn.tanks"
        :key="tank.tank.id"
        :tank="tank.tank"
        :solved="tank.solved"
        :scale="frame.scale"
        :bottom="frame.floor ?? frame.bottom"
      />
      <OverflowDrawing
        v-for="overflow in drawn.overflows"
        :key="overflow.tankId"
        :overflow="overflow"
      />
      <GroundDrawing
        :floor="frame.floor"
        :bottom="frame.bottom"
        :width="width"
        :below-text="`The tank’s floor is ${units.text('length', design.tanks[0]!.floorHeightM)} above the room’s.`"
      />
      <SumpDrawing v-if="drawn.sump" :sump="drawn.sump" :scale="frame.scale" :movable="false" />
      <RunDrawing v-for="run in drawn.drains" :key="`d${run.lineId}`" :run="run" :chosen="true" />
      <RunDrawing v-for="run in drawn.runs" :key="run.lineId" :run="run" :chosen="true" />
      <g
        v-for="pump in frame.pumps"
        :key="pump.id"
        :transform="`translate(${pump.x} ${pump.y}) scale(${frame.pumpPx / 34})`"
      >
        <rect x="-17" y="0" width="34" height="25" rx="4" fill="var(--needle)" />
        <rect x="-6" y="-4" width="12" height="6" fill="var(--needle)" />
      </g>
      <template v-for="tank in drawn.tanks" :key="`s${tank.tank.id}`">
        <path
          v-if="tank.spills"
          :d="`M${tank.left - 5} ${tank.rim} V${frame.floor ?? frame.bottom} M${tank.right + 5} ${tank.rim} V${frame.floor ?? frame.bottom}`"
          stroke="var(--aril-mark)"
          stroke-width="3"
          stroke-dasharray="5 3"
        />
      </template>
      <rect
        v-if="drawn.spilledM3 > 1e-6 && frame.floor !== null"
        x="0"
        :y="frame.floor - 4"
        :width="width"
        height="5"
        fill="var(--water-deep)"
        data-part="spilled"
      />
      <LevelMark
        v-for="tank in drawn.tanks"
        :key="`m${tank.tank.id}`"
        :x="tank.left + (tank.right - tank.left) * 0.12"
        :y="tank.surface"
        :text="units.text('length', tank.solved.surfaceM)"
      />
    </svg>
    <p
      v-if="drawn && drawn.spilledM3 > 1e-6"
      class="absolute bottom-2 left-4 font-semibold text-aril"
      data-testid="spilled-now"
    >
      {{ units.text('volume', drawn.spilledM3) }} on the floor
    </p>
  </figure>
</template>

<style scoped>
.playing :deep(*) {
  animation: none;
}
</style>
