<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { CurvePoint, PumpPart, Spot } from '@yew-basin/core'
import { computed, onUnmounted, ref, shallowRef } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useUnits } from '../shell/units.ts'
import {
  axesOf,
  fittedOver,
  nextStep,
  placed,
  pointsOf,
  START,
  traceFaults,
  unplaced,
  type Step,
  type Trace,
} from './trace.ts'

/** A curve clicked off a picture of its chart. */
const emit = defineEmits<{ traced: [curve: readonly CurvePoint[]] }>()
const units = useUnits()
const trace = shallowRef<Trace>(START)
const picture = shallowRef<{ src: string; width: number; height: number } | null>(null)
const fault = ref('')

const ASKS: Record<Step, string> = {
  'flow 1': 'Click a place on the flow axis whose number you can read, such as its zero.',
  'flow 2': 'Click another place on the flow axis, far from the first.',
  'head 1': 'Click a place on the head axis whose number you can read.',
  'head 2': 'Click another place on the head axis, far from the first.',
  curve: 'Click along the curve, six places or more from end to end.',
}
const MARKS = ['flow 1', 'flow 2', 'head 1', 'head 2'] as const

/** Larger pictures than this are of no use and slow to draw. */
const MOST_BYTES = 20e6
function forget() {
  if (picture.value?.src.startsWith('blob:')) URL.revokeObjectURL(picture.value.src)
}
onUnmounted(forget)

async function show(src: string, what: string) {
  const image = new Image()
  image.src = src
  try {
    await image.decode()
  } catch {
    fault.value = `${what} is no picture this browser can read. PNG and JPEG are.`
    return
  }
  forget()
  fault.value = ''
  picture.value = { src, width: image.naturalWidth, height: image.naturalHeight }
  trace.value = START
}
async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  if (!['image/png', 'image/jpeg'].includes(file.type)) {
    fault.value = `“${file.name}” is neither PNG nor JPEG.`
    return
  }
  if (file.size > MOST_BYTES) {
    fault.value = `“${file.name}” is larger than 20 MB.`
    return
  }
  await show(URL.createObjectURL(file), `“${file.name}”`)
}

/** The crosshair of the keyboard, in px of the picture. */
const cross = ref<Spot | null>(null)
function spotAt(event: MouseEvent): Spot {
  const frame = (event.currentTarget as Element).getBoundingClientRect()
  const { width, height } = picture.value!
  return {
    x: ((event.clientX - frame.left) / frame.width) * width,
    y: ((event.clientY - frame.top) / frame.height) * height,
  }
}
const STEP_PX = { plain: 1, shift: 20 }
function steer(event: KeyboardEvent) {
  const { width, height } = picture.value!
  const now = cross.value ?? { x: width / 2, y: height / 2 }
  const by = event.shiftKey ? STEP_PX.shift : STEP_PX.plain
  const to = {
    ArrowLeft: { ...now, x: now.x - by },
    ArrowRight: { ...now, x: now.x + by },
    ArrowUp: { ...now, y: now.y - by },
    ArrowDown: { ...now, y: now.y + by },
  }[event.key]
  if (to) {
    cross.value = {
      x: Math.min(width, Math.max(0, to.x)),
      y: Math.min(height, Math.max(0, to.y)),
    }
    event.preventDefault()
  } else if (event.key === 'Enter' || event.key === ' ') {
    trace.value = placed(trace.value, now)
    event.preventDefault()
  } else if (event.key === 'Backspace') {
    trace.value = unplaced(trace.value)
    event.preventDefault()
  }
}

const step = computed(() => nextStep(trace.value))
const axes = computed(() => axesOf(trace.value))
const AXES_FAULTS = {
  'same-values': 'The two places on an axis need different numbers.',
  'same-spots': 'The two places on an axis need to be apart.',
  'parallel-axes': 'The axes run the same way: one of the four places is on the wrong axis.',
}
const faults = computed(() =>
  typeof axes.value === 'string' ? [AXES_FAULTS[axes.value]] : traceFaults(trace.value),
)
const points = computed(() => pointsOf(trace.value))
const usable = computed(() => points.value.length >= 3 && faults.value.length === 0)
const fitted = computed(() => fittedOver(trace.value, { id: 'traced' } as PumpPart))
const setValue = (mark: (typeof MARKS)[number]) => (si: number) => {
  trace.value = { ...trace.value, values: { ...trace.value.values, [mark]: si } }
}
/** Marks are drawn the same size on a small picture and on a large one. */
const dot = computed(() => (picture.value ? Math.max(3, picture.value.width / 130) : 4))
</script>

<template>
  <div class="space-y-2">
    <div class="flex flex-wrap items-center gap-2">
      <label class="button cursor-pointer">
        Load a picture
        <input
          type="file"
          accept="image/png,image/jpeg"
          class="sr-only"
          aria-label="Picture of a pump’s chart"
          @change="choose"
        />
      </label>
      <button class="button" @click="show('/sample-curve.png', 'The sample')">
        Use the sample picture
      </button>
      <template v-if="picture">
        <button class="button" @click="trace = unplaced(trace)">Back one</button>
        <button class="button" @click="trace = { ...START, values: trace.values }">
          Start over
        </button>
      </template>
    </div>
    <p v-if="fault" class="text-aril" role="alert">{{ fault }}</p>
    <template v-if="picture">
      <p role="status" data-testid="trace-ask">{{ ASKS[step] }}</p>
      <svg
        :viewBox="`0 0 ${picture.width} ${picture.height}`"
        class="block w-full cursor-crosshair border border-rule bg-[#fff]"
        tabindex="0"
        role="application"
        aria-label="The picture. Arrow keys steer the crosshair, with Shift in long steps; Enter places a point, Backspace takes the last away."
        data-testid="trace-picture"
        @click="trace = placed(trace, spotAt($event))"
        @keydown="steer"
      >
        <image :href="picture.src" :width="picture.width" :height="picture.height" />
        <polyline
          v-if="fitted.length > 0"
          :points="fitted.map(({ x, y }) => `${x},${y}`).join(' ')"
          fill="none"
          stroke="#b8352f"
          :stroke-width="dot * 0.6"
          stroke-opacity="0.75"
          data-testid="fitted-curve"
        />
        <g v-for="mark in MARKS" :key="mark">
          <path
            v-if="trace.spots[mark]"
            :transform="`translate(${trace.spots[mark].x} ${trace.spots[mark].y}) scale(${dot})`"
            d="M-2 0H2M0 -2V2"
            stroke="#23483c"
            stroke-width="0.7"
          />
        </g>
        <circle
          v-for="(spot, i) in trace.curve"
          :key="i"
          :cx="spot.x"
          :cy="spot.y"
          :r="dot"
          fill="#fffefb"
          stroke="#23483c"
          :stroke-width="dot * 0.5"
        />
        <path
          v-if="cross"
          :transform="`translate(${cross.x} ${cross.y}) scale(${dot})`"
          d="M-4 0H-1M1 0H4M0 -4V-1M0 1V4"
          stroke="#b8352f"
          stroke-width="0.6"
        />
      </svg>
      <div class="grid grid-cols-2 gap-x-3 gap-y-1">
        <QuantityField
          v-for="mark in MARKS"
          :key="mark"
          :label="`${mark.startsWith('flow') ? 'Flow' : 'Head'} at place ${mark.at(-1)}`"
          :limit="mark.startsWith('flow') ? LIMITS.pumpFlow : LIMITS.pumpHead"
          :model-value="trace.values[mark]"
          @update:model-value="setValue(mark)($event)"
        />
      </div>
      <ul v-if="faults.length > 0" class="text-aril" role="alert">
        <li v-for="reason in faults" :key="reason">{{ reason }}</li>
      </ul>
      <p v-if="points.length > 0" class="caption">
        {{ points.length }} points, up to {{ units.text('flow', points.at(-1)!.flowM3PerS) }}. The
        red line is the curve fitted through them.
      </p>
      <button class="button button-main" :disabled="!usable" @click="emit('traced', points)">
        Take this curve
      </button>
    </template>
  </div>
</template>
