<script setup lang="ts">
import { streamlines, type Vector } from '@yew-basin/core'
import { useElementSize } from '@vueuse/core'
import { computed, useId, useTemplateRef, watchEffect } from 'vue'
import { useTheme } from '../shell/theme.ts'
import { useCurrents } from './currents-store.ts'
import { boxOnCut, CUTS, onCut, scaleOf, seedsOn, type CutName } from './cut.ts'
import { drawMap } from './draw-map.ts'
import PumpGrip from './PumpGrip.vue'
import RockGrip from './RockGrip.vue'
import { drawingInWords, rockShapes } from './scene-shapes.ts'
import { thinned } from './thinned.ts'
import StreamShapes from './StreamShapes.vue'

/** One drawing of the tank's water: what stands in it, the streams, and the field where it is cut. */
const { name, title } = defineProps<{ name: CutName; title: string }>()
/** Ways of the water keep so far from each other that each can be followed. */
const APART_PX = 11
const currents = useCurrents()
const clip = useId()
const frame = useTemplateRef<HTMLElement>('frame')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { width, height } = useElementSize(frame)

const drawing = computed(() => {
  const { domain } = currents
  if (!domain || width.value === 0) return null
  const scale = scaleOf(name, domain, width.value, height.value - 22)
  const full = { x: domain.lengthM, y: domain.widthM, z: domain.depthM }
  const box = (from: Partial<typeof full>, to: Partial<typeof full>) =>
    boxOnCut(name, scale, { x: 0, y: 0, z: 0, ...from }, { ...full, ...to })
  const b = domain.box
  return {
    scale,
    tank: box({}, {}),
    sand: name === 'plan' ? null : box({}, { z: domain.sandDepthM }),
    overflow: b
      ? box({ x: b.fromX, y: b.fromY, z: b.fromZ }, { x: b.toX, y: b.toY, z: b.toZ })
      : null,
    rocks: rockShapes(name, scale, domain.rocks),
    cutAcross: cutLine(scale, CUTS[name].across),
    cutUp: cutLine(scale, CUTS[name].up),
  }
})

const BY_AXIS = { x: 'end', y: 'front', z: 'plan' } as const
/** Where another drawing's cut crosses this one. */
function cutLine(scale: ReturnType<typeof scaleOf>, axis: 'x' | 'y' | 'z') {
  const at = onCut(name, scale, { x: 0, y: 0, z: 0, [axis]: currents.cuts[BY_AXIS[axis]] })
  return axis === CUTS[name].across ? at.x : at.y
}

/** Ways of the water from places all over this cut, a third of the tank long. */
const lines = computed(() => {
  const now = drawing.value
  const { field, domain } = currents
  if (!now || !field || !domain || !currents.show.lines || currents.frame) return []
  const seeds = seedsOn(name, domain, currents.cuts[name])
  const longM = Math.max(domain.lengthM, domain.widthM) / 3
  const onDrawing = (at: Vector) => onCut(name, now.scale, at)
  return thinned(streamlines(field, seeds, longM), onDrawing, APART_PX).map((places) =>
    places.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' '),
  )
})

const hasMap = computed(() => !!currents.field && (currents.show.map || !!currents.frame))
const { dark } = useTheme()
watchEffect(() => {
  void dark.value
  const { field, frame: dye, figure } = currents
  if (!canvas.value || !field || !hasMap.value) return
  drawMap(canvas.value, name, currents.cuts[name], {
    field,
    figure,
    deadMPerS: currents.deadMPerS,
    frame: dye,
  })
})
const inWords = computed(() => drawingInWords(title, currents.domain))
</script>

<template>
  <figure ref="frame" class="relative min-h-0 overflow-hidden bg-sheet" :data-cut="name">
    <figcaption class="caption absolute left-2.5 top-1 z-10 text-ink!">{{ title }}</figcaption>
    <template v-if="drawing">
      <div
        class="absolute"
        :style="{
          left: `${drawing.tank.x}px`,
          top: `${drawing.tank.y + 22}px`,
          width: `${drawing.tank.width}px`,
          height: `${drawing.tank.height}px`,
          background: 'color-mix(in srgb, var(--water-light) 30%, var(--sheet))',
        }"
      >
        <canvas v-show="hasMap" ref="canvas" class="size-full" aria-hidden="true" />
      </div>
      <svg
        :width="width"
        :height="height - 22"
        class="absolute inset-x-0 top-[22px]"
        role="group"
        :aria-label="inWords"
      >
        <rect v-if="drawing.sand" v-bind="drawing.sand" fill="var(--sand)" />
        <rect
          v-if="drawing.overflow"
          v-bind="drawing.overflow"
          fill="var(--glass)"
          fill-opacity="0.35"
          stroke="var(--glass)"
        />
        <line
          v-bind="{ x1: drawing.cutAcross, x2: drawing.cutAcross, y1: 0, y2: height }"
          class="cut-mark"
        />
        <line
          v-bind="{ y1: drawing.cutUp, y2: drawing.cutUp, x1: 0, x2: width }"
          class="cut-mark"
        />
        <marker
          :id="`${clip}-tip`"
          viewBox="0 0 8 8"
          refX="6"
          refY="4"
          markerWidth="6"
          markerHeight="6"
          orient="auto"
        >
          <path d="M 0 0.5 L 7 4 L 0 7.5 z" fill="var(--ink)" />
        </marker>
        <clipPath :id="clip"><rect v-bind="drawing.tank" /></clipPath>
        <g :clip-path="`url(#${clip})`">
          <RockGrip
            v-for="shape in drawing.rocks"
            :key="shape.rock.id"
            :cut="name"
            :scale="drawing.scale"
            :shape="shape"
          />
          <StreamShapes v-if="currents.show.jets" :cut="name" :scale="drawing.scale" />
        </g>
        <polyline
          v-for="(points, i) in lines"
          :key="i"
          :points="points"
          fill="none"
          stroke="var(--ink)"
          stroke-opacity="0.7"
          stroke-width="1.1"
          :marker-end="`url(#${clip}-tip)`"
        />
        <rect v-bind="drawing.tank" fill="none" stroke="var(--glass)" stroke-width="2.5" />
        <PumpGrip
          v-for="pump in currents.scene?.pumps ?? []"
          :key="pump.id"
          :cut="name"
          :scale="drawing.scale"
          :pump="pump"
        />
      </svg>
    </template>
  </figure>
</template>

<style scoped>
.cut-mark {
  stroke: var(--ink-soft);
  stroke-width: 1;
  stroke-dasharray: 1 5;
}
</style>
