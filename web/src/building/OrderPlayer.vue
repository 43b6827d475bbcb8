<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { say } from '@yew-basin/core'
import { ChevronLeft, ChevronRight } from '@lucide/vue'
import { computed } from 'vue'
import WholeIsometric from '../isometric/WholeIsometric.vue'
import { useUnits } from '../shell/units.ts'
import { playedAt } from './played.ts'

/** The order step by step in the isometric: what is done, what is in hand, what comes later. */
const { order } = defineProps<{ order: building.BuildSheet['order'] }>()
/** The step that is shown. */
const at = defineModel<number>({ required: true })
const units = useUnits()
const step = computed(() => order.steps.find(({ number }) => number === at.value) ?? null)
const played = computed(() => playedAt(order, at.value))
const last = computed(() => order.steps.length)
function go(by: number) {
  at.value = Math.min(last.value, Math.max(1, at.value + by))
}
</script>

<template>
  <div class="absolute inset-x-0 top-0 bottom-20">
    <WholeIsometric
      :state-of="played.stateOf"
      :at-joints="played.joints"
      :without="played.without"
    />
  </div>
  <div
    class="absolute inset-x-0 bottom-0 flex h-20 items-center gap-2 border-t border-rule px-2"
    role="group"
    aria-label="Step by step"
    @keydown.left.prevent="go(-1)"
    @keydown.right.prevent="go(1)"
  >
    <button class="icon-button" aria-label="The step before" @click="go(-1)">
      <ChevronLeft :size="18" />
    </button>
    <p v-if="step" class="min-w-0 grow text-[0.9rem] leading-snug" aria-live="polite">
      <strong>{{ step.number }} of {{ last }}</strong>
      <span class="line-clamp-2">{{ say(step.title, units.family) }}</span>
    </p>
    <button class="icon-button" aria-label="The next step" @click="go(1)">
      <ChevronRight :size="18" />
    </button>
  </div>
</template>
