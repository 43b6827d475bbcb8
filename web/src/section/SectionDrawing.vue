<script setup lang="ts">
import type { BasinDesign, SolvedBasin, SolvedLine, SolvedPiece } from '@yew-basin/core'
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
import {
  CHAMBER_REACH_M,
  drawsFromBehind,
  isSmall,
  scaleFor,
  scaleWords,
  SUMP_REACH_M,
  windowOf,
  type Scale,
  type Sheet,
} from './scale.ts'
import SectionText from './SectionText.vue'
import TankDrawing from './TankDrawing.vue'

const store = useDesign()
const units = useUnits()
const router = useRouter()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet)

const SUMP_TEXT_PX = 90
const drawing = computed(() => {
  const { shown: design, solved, solvedLine } = store
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
  const chambers = drawnChambers(design, lines, scale)
  const sumps = design.returnSide.pumps
    .map((_, i) => drawnSump(design, i, scale))
    .map((sump) => ({
      ...sump,
      // Another chamber stands where its level would be written.
      crowded: chambers.some(
        ({ left, right }) => right > sump.left - SUMP_TEXT_PX && left < sump.left + 14,
      ),
    }))
  const sourceM = design.returnSide.chambers.find(
    ({ id }) => id === store.placedPump?.chamberId,
  )!.levelM
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

/** What flows in each line to a tank, beside its longest upright pipe; what ends in a chamber is written there. */
function flowLabels(design: BasinDesign, solved: SolvedBasin, scale: Scale) {
  const { lines } = solved.returnSide
  const many = lines.length > 1
  return lines.flatMap((line, i) => {
    const { name, end } = design.returnSide.lines[i]!
    if (end.at !== 'tank') return []
    const tank = design.tanks.find(({ id }) => id === end.id)!
    const clearOf = scale.x(tank.xM + tank.lengthM) - 14
    const place = riser(line.pieces, scale, scale.y(tank.floorHeightM), clearOf)
    return [
      {
        x: place?.x ?? scale.x(line.mouth.xM),
        y: place?.textY ?? scale.y(line.mouth.zM) - 14,
        text: units.text('flow', line.flowM3PerS),
        more: [many ? name : '', place ? units.text('speed', place.speedMPerS) : '']
          .filter(Boolean)
          .join(', '),
      },
    ]
  })
}

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

/** The water a pump draws from, as far as it is known; in an all-in-one it stands behind the tank. */
function drawnSump(design: BasinDesign, pumpIndex: number, scale: Scale) {
  const { outlet, chamberId } = design.returnSide.pumps[pumpIndex]!
  const { levelM, name } = design.returnSide.chambers.find(({ id }) => id === chamberId)!
  const behind = drawsFromBehind(design, pumpIndex)
  const tank = design.tanks[0]!
  return {
    behind,
    name,
    levelM,
    left: scale.x(behind ? tank.xM : outlet.xM - SUMP_REACH_M),
    right: scale.x(behind ? tank.xM + tank.lengthM : outlet.xM + SUMP_REACH_M),
    level: scale.y(levelM),
    bottom: scale.y(Math.min(outlet.zM - 0.12, levelM - 0.05)),
  }
}

/** The water of the chambers that lines end in, drawn as far as it is known: round their ends. */
function drawnChambers(design: BasinDesign, lines: readonly SolvedLine[], scale: Scale) {
  return lines.flatMap((line, i) => {
    const { end, id } = design.returnSide.lines[i]!
    if (end.at !== 'chamber') return []
    const chamber = design.returnSide.chambers.find((one) => one.id === end.id)!
    const { xM } = line.mouth
    return [
      {
        id,
        name: chamber.name,
        carries: units.text('flow', line.flowM3PerS),
        left: scale.x(xM - CHAMBER_REACH_M),
        right: scale.x(xM + CHAMBER_REACH_M),
        level: scale.y(chamber.levelM),
        bottom: scale.y(chamber.levelM - 0.12),
      },
    ]
  })
}

/** The jet from an end in air: down to the water under it, or to the floor where there is none. */
function fallingWater(
  design: BasinDesign,
  { tanks }: SolvedBasin,
  line: SolvedLine,
  scale: Scale,
): { id: string; d: string }[] {
  const air = line.end === 'above-water' || line.end === 'outside-tank'
  if (line.flowM3PerS <= 0 || !air) return []
  const { end } = design.returnSide.lines.find(({ id }) => id === line.lineId)!
  const tank = tanks.find(({ tankId }) => tankId === end.id)
  const chamber = design.returnSide.chambers.find(({ id }) => id === end.id)
  const to = line.end === 'above-water' ? (tank?.surfaceM ?? chamber?.levelM ?? 0) : 0
  const { xM, zM } = line.mouth
  return [{ id: line.lineId, d: `M${scale.x(xM)} ${scale.y(zM) + 4} V${scale.y(to)}` }]
}

/** Where a level mark and its text hit no line's end. */
const MARK_SHARES = [0.3, 0.55, 0.08, 0.72]
const MARK_TEXT_PX = 130
function levelMarkX(left: number, right: number): number {
  const { scale, solved } = drawing.value!
  const crossing = solved.returnSide.lines.flatMap(({ pieces }) =>
    pieces.map((piece) => scale.x(piece.to.xM)),
  )
  const at = (share: number) => left + (right - left) * share
  const free = MARK_SHARES.find((share) =>
    crossing.every((x) => x < at(share) - 24 || x > at(share) + MARK_TEXT_PX),
  )
  return at(free ?? MARK_SHARES[0]!)
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
        <RunDrawing :run="run" :selected="store.selectedPieceId" :chosen="i === store.lineIndex" />
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
        :x="levelMarkX(one.left, one.right)"
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
          <tspan font-weight="650" fill="var(--ink)">{{ chamber.carries }}</tspan>
          <tspan :x="(chamber.left + chamber.right) / 2" dy="15">{{ chamber.name }}</tspan>
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
          {{ label.text }}
        </text>
        <text
          v-if="label.more"
          :x="label.x"
          :y="label.y + 17"
          text-anchor="end"
          fill="var(--ink-soft)"
          class="halo"
        >
          {{ label.more }}
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
