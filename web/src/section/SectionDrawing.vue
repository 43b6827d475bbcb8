<script setup lang="ts">
import type { BasinDesign, SolvedBasin, SolvedPiece } from '@yew-basin/core'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import GroundDrawing from './GroundDrawing.vue'
import DimensionLine from './DimensionLine.vue'
import LevelMark from './LevelMark.vue'
import RunDrawing from './RunDrawing.vue'
import { drawRun } from './run-drawing.ts'
import { isSmall, scaleFor, scaleWords, type Scale, SUMP_REACH_M, windowOf } from './scale.ts'
import SectionText from './SectionText.vue'
import TankDrawing from './TankDrawing.vue'

const store = useDesign()
const units = useUnits()
const router = useRouter()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet)

const drawing = computed(() => {
  const { shown: design, solved } = store
  if (!design || !solved || width.value === 0) return null
  const room = windowOf(design, solved)
  const scale = scaleFor(room, width.value, height.value)
  const small = isSmall(width.value)
  const { tank, returnSide: side } = solved
  const { outlet, sourceLevelM } = design.returnSide
  const left = scale.x(0)
  const right = scale.x(design.tank.lengthM)
  const farRight = Math.max(right, ...side.pieces.map((piece) => scale.x(piece.to.xM)))
  return {
    design,
    solved,
    scale,
    run: drawRun(design, solved, scale),
    left,
    right,
    top: scale.y(design.tank.floorHeightM + design.tank.heightM),
    surface: scale.y(tank.surfaceM),
    small,
    floor: room.bottom > 0 ? null : scale.y(0),
    bottom: scale.y(room.bottom),
    pumpPx: Math.min(34, Math.max(12, 0.09 * scale.pxPerM)),
    sump: drawnSump(design, scale),
    pump: { x: scale.x(outlet.xM), y: scale.y(outlet.zM) },
    lift: {
      x: Math.min(farRight + (small ? 14 : 26), width.value - (small ? 32 : 24)),
      from: scale.y(sourceLevelM),
      to: scale.y(side.end === 'under-water' ? tank.surfaceM : side.mouth.zM),
    },
    falls: fallingWater(solved, scale),
    words: scaleWords(scale),
    tallest: riser(side.pieces, scale, scale.y(design.tank.floorHeightM), right - 14),
  }
})

/** The longest upright pipe, beside which the flow is written; under the tank where that is possible. */
function riser(pieces: readonly SolvedPiece[], scale: Scale, underTank: number, clearOf: number) {
  const height = (piece: SolvedPiece) => Math.abs(piece.to.zM - piece.from.zM)
  const longest = pieces
    .filter((piece) => piece.kind === 'pipe')
    .reduce<SolvedPiece | null>(
      (best, piece) => (best && height(best) >= height(piece) ? best : piece),
      null,
    )
  if (!longest) return null
  const [high, low] = [
    scale.y(Math.max(longest.from.zM, longest.to.zM)),
    scale.y(Math.min(longest.from.zM, longest.to.zM)),
  ]
  const wanted = low - underTank > 60 ? underTank + 34 : (high + low) / 2
  return {
    x: Math.min(scale.x(longest.to.xM) - 14, clearOf),
    textY: wanted,
    speedMPerS: longest.speedMPerS,
  }
}

/** The water the pump draws from, as far as it is known; in an all-in-one it stands behind the tank. */
function drawnSump({ tank, returnSide: { outlet, sourceLevelM } }: BasinDesign, scale: Scale) {
  const behind = sourceLevelM > tank.floorHeightM
  return {
    behind,
    left: scale.x(behind ? 0 : outlet.xM - SUMP_REACH_M),
    right: scale.x(behind ? tank.lengthM : outlet.xM + SUMP_REACH_M),
    level: scale.y(sourceLevelM),
    bottom: scale.y(Math.min(outlet.zM - 0.12, sourceLevelM - 0.05)),
  }
}

/** The jet from an end in air: down to the tank's water, or to the floor where the end is not over the tank. */
function fallingWater({ tank, returnSide: side }: SolvedBasin, scale: Scale): string | null {
  if (side.flowM3PerS <= 0 || side.end === 'under-water') return null
  const to = side.end === 'above-water' ? tank.surfaceM : 0
  return `M${scale.x(side.mouth.xM)} ${scale.y(side.mouth.zM) + 4} V${scale.y(to)}`
}

function go(to: 'tank' | 'return') {
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

      <rect
        v-if="!drawing.sump.behind"
        :x="drawing.sump.left"
        :y="drawing.sump.level"
        :width="drawing.sump.right - drawing.sump.left"
        :height="Math.max(0, drawing.sump.bottom - drawing.sump.level)"
        fill="url(#away)"
      />
      <g
        class="part"
        role="link"
        tabindex="0"
        aria-label="Tank and target"
        @click="go('tank')"
        @keydown.enter="go('tank')"
      >
        <TankDrawing
          :design="drawing.design"
          :solved="drawing.solved"
          :scale="drawing.scale"
          :bottom="drawing.floor ?? drawing.bottom"
        />
      </g>
      <GroundDrawing
        :floor="drawing.floor"
        :bottom="drawing.bottom"
        :width="width"
        :below-text="`The tank’s floor is ${units.text('length', drawing.design.tank.floorHeightM)} above the room’s.`"
      />

      <g
        class="part"
        role="link"
        tabindex="0"
        aria-label="Return"
        @click="go('return')"
        @keydown.enter="go('return')"
      >
        <path
          :d="`M${drawing.sump.left} ${drawing.sump.level} H${drawing.sump.right}`"
          stroke="var(--water-ink)"
          stroke-width="1.4"
          stroke-dasharray="2 3"
        />
        <RunDrawing
          :run="drawing.run"
          :selected="store.selectedPieceId"
          :flowing="drawing.solved.returnSide.flowM3PerS !== 0"
          :backwards="drawing.solved.returnSide.flowM3PerS < 0"
        />
        <g
          :transform="`translate(${drawing.pump.x} ${drawing.pump.y}) scale(${drawing.pumpPx / 34})`"
        >
          <rect x="-17" y="0" width="34" height="25" rx="4" fill="var(--needle)" />
          <rect x="-6" y="-4" width="12" height="6" fill="var(--needle)" />
        </g>
        <path
          v-if="drawing.falls"
          :d="drawing.falls"
          stroke="var(--water-deep)"
          stroke-width="3"
          stroke-dasharray="5 3"
          class="falls"
        />
      </g>

      <LevelMark
        :x="drawing.left + (drawing.right - drawing.left) * 0.3"
        :y="drawing.surface"
        :text="`${drawing.small ? '' : 'running '}${units.text('length', drawing.solved.tank.surfaceM)}`"
      />
      <LevelMark
        :x="drawing.sump.left + (drawing.sump.behind ? 26 : 14)"
        :y="drawing.sump.level"
        :anchor="drawing.sump.behind ? 'start' : 'end'"
        :text="`${drawing.small ? '' : drawing.sump.behind ? 'chamber ' : 'sump '}${units.text('length', drawing.design.returnSide.sourceLevelM)}`"
      />
      <DimensionLine
        :x1="drawing.left"
        :y1="Math.max(30, drawing.top - 22)"
        :x2="drawing.right"
        :y2="Math.max(30, drawing.top - 22)"
        :text="units.text('length', drawing.design.tank.lengthM)"
      />
      <DimensionLine
        :x1="drawing.lift.x"
        :y1="drawing.lift.from"
        :x2="drawing.lift.x"
        :y2="drawing.lift.to"
        :text="`lift ${units.text('head', drawing.solved.returnSide.liftM)}`"
      />
      <g v-if="drawing.tallest && !drawing.small" font-size="14" text-anchor="end">
        <text
          :x="drawing.tallest.x"
          :y="drawing.tallest.textY"
          fill="var(--ink)"
          font-weight="650"
          class="halo"
        >
          {{ units.text('flow', drawing.solved.returnSide.flowM3PerS) }}
        </text>
        <text
          :x="drawing.tallest.x"
          :y="drawing.tallest.textY + 17"
          fill="var(--ink-soft)"
          class="halo"
        >
          {{ units.text('speed', drawing.tallest.speedMPerS) }}
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
.halo {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
  stroke-linejoin: round;
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
