<script setup lang="ts">
import type { Vector } from '@yew-basin/core'
import { computed, onUnmounted, ref } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import { whereWords } from './currents-words.ts'

/** A dye poured in: where, watched as it spreads, and when it is mixed. */
const currents = useCurrents()
const units = useUnits()
const from = ref('cut')
/** A stream's opening, or where the three cuts meet. */
const place = computed<Vector>(() => {
  const stream = currents.domain!.streams.find(({ id }) => id === from.value)
  if (stream) return stream.jet.from
  return { x: currents.cuts.end, y: currents.cuts.front, z: currents.cuts.plan }
})
const spreading = computed(() => currents.at?.what === 'dye')
const index = computed({
  get: () => currents.frameIndex ?? Math.max(0, currents.frames.length - 1),
  set: (i) => (currents.frameIndex = i),
})

let timer: ReturnType<typeof setInterval> | undefined
const playing = ref(false)
const FRAME_MS = 90
function stop() {
  clearInterval(timer)
  playing.value = false
}
function play() {
  if (playing.value) return stop()
  currents.frameIndex = 0
  playing.value = true
  timer = setInterval(() => {
    const next = (currents.frameIndex ?? 0) + 1
    if (next >= currents.frames.length) return stop()
    currents.frameIndex = next
  }, FRAME_MS)
}
function pour() {
  stop()
  currents.frameIndex = null
  void currents.pour(place.value)
}
function clear() {
  stop()
  currents.clearDye()
}
onUnmounted(stop)
</script>

<template>
  <section v-if="currents.field" aria-labelledby="dye-head" class="space-y-2">
    <h3 id="dye-head" class="heading">Dye test</h3>
    <label class="block">
      <span class="caption">Pour it in</span>
      <select v-model="from" class="box">
        <option value="cut">where the three cuts meet</option>
        <option v-for="stream in currents.domain!.streams" :key="stream.id" :value="stream.id">
          at {{ stream.name }}
        </option>
      </select>
    </label>
    <div class="flex flex-wrap items-center gap-2">
      <button v-if="spreading" class="button" @click="currents.stop()">Stop</button>
      <button v-else class="button" :disabled="!!currents.at" @click="pour">Pour</button>
      <template v-if="currents.frames.length > 0">
        <button v-if="!spreading" class="button" @click="play">
          {{ playing ? 'Hold' : 'Play' }}
        </button>
        <button v-if="!spreading" class="button" @click="clear">Clear it away</button>
      </template>
    </div>
    <template v-if="currents.frame">
      <label class="block">
        <span class="caption">
          After {{ units.text('duration', currents.frame.timeS) }}:
          {{ Math.round(100 * currents.frame.mixed) }} % of the water within a tenth of even
        </span>
        <input
          v-model.number="index"
          type="range"
          class="w-full"
          min="0"
          :max="currents.frames.length - 1"
        />
      </label>
    </template>
    <div v-if="currents.dye" data-testid="mixed">
      <p v-if="currents.dye.mixedS !== null">
        90 % mixed after <strong>{{ units.text('duration', currents.dye.mixedS) }}</strong>.
      </p>
      <p v-else>
        Not mixed after {{ units.text('duration', currents.dye.ranS) }}: parts of the water hardly
        take part.
      </p>
      <p class="caption">
        Reached last:
        <template v-for="(spot, i) in currents.dye.lastReached" :key="i">
          <template v-if="i > 0">; </template>{{ whereWords(spot.at, currents.domain!) }}
          {{
            spot.timeS === null ? '(never)' : `(${units.text('duration', spot.timeS)})`
          }} </template
        >.
      </p>
    </div>
  </section>
</template>
