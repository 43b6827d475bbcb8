<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import { LINE_HIGH, type LabelOf, placeLabels } from './isometric-labels.ts'
import { JOINT_SIGNS, SIGN_SHAPES, turnOf } from './sign-shapes.ts'

/** A run, a sub-assembly or the whole as a pipe fitter draws it. What is chosen here is chosen everywhere. */
const {
  drawing,
  labels,
  scale = 1,
  stateOf = null,
  atJoints = null,
  without = null,
} = defineProps<{
  drawing: building.Isometric
  labels: readonly LabelOf[]
  scale?: number
  /** While it is built: what is done, what is in hand now, what comes later. */
  stateOf?: ((partIds: readonly string[]) => 'done' | 'now' | 'later') | null
  /** Joints that are made now. */
  atJoints?: ReadonlySet<string> | null
  /** Tanks and sump that do not stand yet. */
  without?: ReadonlySet<string> | null
  name: string
}>()
const store = useDesign()

/** Room round it for signs and words, units. */
const MARGIN = 34
const ARROW_FROM = 70
const placed = computed(() => placeLabels(labels, drawing))
/** Words may stand outside what they are about. */
const bounds = computed(() => {
  const wide = (lines: readonly string[]) => Math.max(...lines.map(({ length }) => length)) * 3.6
  const { left, top, width, height } = drawing
  const x0 = Math.min(left, ...placed.value.map(({ x, lines }) => x - wide(lines)))
  const x1 = Math.max(left + width, ...placed.value.map(({ x, lines }) => x + wide(lines)))
  const y0 = Math.min(top, ...placed.value.map(({ y }) => y - LINE_HIGH))
  const y1 = Math.max(
    top + height,
    ...placed.value.map(({ y, lines }) => y + (lines.length - 1) * LINE_HIGH),
  )
  return { x0, y0, width: x1 - x0 + 2 * MARGIN, height: y1 - y0 + 2 * MARGIN }
})
const isMarked = (pieceIds: readonly string[]) => pieceIds.some((id) => store.marked.has(id))
const OPACITY: Readonly<Record<string, number>> = { done: 1, now: 1, later: 0.4 }
const bars = computed(() =>
  drawing.bars.map((bar) => {
    const state = stateOf?.(bar.partId === null ? [] : [bar.partId]) ?? 'done'
    const { from, to } = bar
    const long = Math.hypot(to.x - from.x, to.y - from.y)
    return {
      bar,
      state,
      marked: isMarked(bar.pieceIds),
      d: bar.seen.map(([a, b]) => `M${a.x} ${a.y}L${b.x} ${b.y}`).join(''),
      arrow:
        long < ARROW_FROM
          ? null
          : `translate(${from.x + (to.x - from.x) * 0.7} ${from.y + (to.y - from.y) * 0.7}) rotate(${(Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI})`,
    }
  }),
)
const signs = computed(() =>
  drawing.signs
    .filter(({ kind }) => kind in SIGN_SHAPES)
    .map((sign) => ({
      sign,
      state: stateOf?.(sign.partIds) ?? ('done' as const),
      marked: sign.pieceId !== null && isMarked([sign.pieceId]),
      at: `translate(${sign.at.x} ${sign.at.y}) rotate(${turnOf(sign)})`,
    })),
)
const joints = computed(() =>
  drawing.joints.map(({ id, kind, at, along, partIds }) => ({
    id,
    // A joint is there once both its sides are.
    state: partIds.some((part) => stateOf?.([part]) === 'later') ? ('later' as const) : 'done',
    now: atJoints?.has(id) ?? false,
    strokes: JOINT_SIGNS[kind].strokes,
    at: `translate(${at.x} ${at.y}) rotate(${(Math.atan2(along.y, along.x) * 180) / Math.PI})`,
  })),
)
/** A tap chooses a piece, in every drawing and list; another lets go of it. */
function choose(pieceIds: readonly string[]) {
  if (pieceIds.length === 0) return
  const wasMarked = isMarked(pieceIds)
  const [only, ...more] = pieceIds
  store.selectedPieceId = wasMarked || more.length > 0 ? null : only!
  store.litPieces = wasMarked || more.length === 0 ? [] : pieceIds
}
const inkOf = (marked: boolean, state: string) =>
  marked ? 'var(--aril-mark)' : state === 'now' ? 'var(--resin)' : 'var(--ink)'
const FILLS = { none: 'none', paper: 'var(--sheet)' } as const
const fillOf = (fill: 'none' | 'paper' | 'ink', colour: string) =>
  fill === 'ink' ? colour : FILLS[fill]
</script>

<template>
  <svg
    role="img"
    :aria-label="name"
    :width="bounds.width * scale"
    :height="bounds.height * scale"
    class="block"
    font-family="inherit"
    data-isometric
  >
    <g
      :transform="`scale(${scale}) translate(${MARGIN - bounds.x0} ${MARGIN - bounds.y0})`"
      fill="none"
      stroke-linecap="round"
      stroke-linejoin="round"
    >
      <g
        v-for="frame in drawing.frames"
        :key="frame.id"
        stroke="var(--glass)"
        :stroke-dasharray="without?.has(frame.id) ? '3 5' : undefined"
        :opacity="without?.has(frame.id) ? 0.45 : 0.75"
      >
        <path
          v-for="([a, b], i) in frame.edges"
          :key="i"
          :d="`M${a.x} ${a.y}L${b.x} ${b.y}`"
          stroke-width="0.9"
        />
      </g>
      <g
        v-for="{ bar, state, marked, d, arrow } in bars"
        :key="bar.id"
        :opacity="OPACITY[state]"
        :data-state="stateOf ? state : null"
        :class="{ part: bar.pieceIds.length > 0 }"
        @click="choose(bar.pieceIds)"
      >
        <path :d="d" stroke="transparent" stroke-width="14" class="handle" />
        <path
          :d="d"
          :stroke="inkOf(marked, state)"
          :stroke-width="marked || state === 'now' ? 4 : 2.6"
          :stroke-dasharray="bar.kind === 'hose' ? '7 5' : undefined"
        />
        <path
          v-if="arrow"
          d="M-6 -5L6 0L-6 5Z"
          :transform="arrow"
          :fill="inkOf(marked, state)"
          stroke="none"
        />
      </g>
      <g
        v-for="joint in joints"
        :key="joint.id"
        :transform="joint.at"
        :opacity="joint.now ? 1 : OPACITY[joint.state]"
      >
        <circle v-if="joint.now" r="11" stroke="var(--resin)" stroke-width="2" />
        <path
          v-for="(stroke, i) in joint.strokes"
          :key="i"
          :d="stroke.d"
          stroke="var(--ink)"
          :stroke-width="stroke.width"
          :fill="fillOf(stroke.fill, 'var(--ink)')"
        />
      </g>
      <g
        v-for="{ sign, state, marked, at } in signs"
        :key="sign.id"
        :transform="at"
        :opacity="OPACITY[state]"
        :class="{ part: sign.pieceId !== null }"
        @click="sign.pieceId !== null && choose([sign.pieceId])"
      >
        <path
          v-for="(stroke, i) in SIGN_SHAPES[sign.kind]"
          :key="i"
          :d="stroke.d"
          :stroke="inkOf(marked, state)"
          :stroke-width="stroke.width"
          :fill="fillOf(stroke.fill, inkOf(marked, state))"
        />
      </g>
      <g v-for="label in placed" :key="label.key" font-size="12.5" text-anchor="middle">
        <path
          v-if="label.leader"
          :d="`M${label.leader.from.x} ${label.leader.from.y}L${label.leader.to.x} ${label.leader.to.y}`"
          stroke="var(--ink-soft)"
          stroke-width="0.7"
        />
        <text
          v-for="(words, i) in label.lines"
          :key="i"
          :x="label.x"
          :y="label.y + i * LINE_HIGH"
          :fill="i === 0 ? 'var(--ink)' : 'var(--ink-soft)'"
          :font-weight="i === 0 ? 650 : 400"
          class="halo"
        >
          {{ words }}
        </text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.part {
  cursor: pointer;
}
</style>
