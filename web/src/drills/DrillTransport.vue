<script setup lang="ts">
import { Pause, Play, SkipBack, StepBack, StepForward } from '@lucide/vue'
import { useUnits } from '../shell/units.ts'
import { RATES } from './drill-words.ts'
import type { Player } from './use-player.ts'

/** Play, pause, step, scrub, and how fast. */
const { player } = defineProps<{ player: Player }>()
const units = useUnits()
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-x-1 gap-y-1 border-y border-rule px-3 py-1"
    role="group"
    aria-label="Playing"
  >
    <button class="icon-button size-8!" aria-label="To the beginning" @click="player.goTo(0)">
      <SkipBack :size="16" />
    </button>
    <button class="icon-button size-8!" aria-label="A step back" @click="player.step(-1)">
      <StepBack :size="16" />
    </button>
    <button
      class="button button-main min-w-20"
      @click="player.playing.value ? player.stop() : player.play()"
    >
      <component :is="player.playing.value ? Pause : Play" :size="15" />
      {{ player.playing.value ? 'Pause' : 'Play' }}
    </button>
    <button class="icon-button size-8!" aria-label="A step on" @click="player.step(1)">
      <StepForward :size="16" />
    </button>
    <input
      type="range"
      class="min-w-24 grow accent-(--needle)"
      aria-label="Moment"
      min="0"
      :max="Math.max(0, player.count.value - 1)"
      :value="player.at.value"
      :aria-valuetext="units.text('duration', player.timeS.value)"
      @input="player.goToMoment(Number(($event.target as HTMLInputElement).value))"
    />
    <output class="w-20 text-right font-semibold tabular-nums" data-testid="drill-time">{{
      units.text('duration', player.timeS.value)
    }}</output>
    <label class="sr-only" for="drill-rate">How fast it is played</label>
    <select
      id="drill-rate"
      :value="player.rate.value"
      class="box w-auto! py-0.5!"
      @change="player.setRate(RATES[($event.target as HTMLSelectElement).selectedIndex]!.value)"
    >
      <option v-for="rate in RATES" :key="rate.value" :value="rate.value">{{ rate.label }}</option>
    </select>
  </div>
</template>
