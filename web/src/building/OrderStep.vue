<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { say } from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useShopping } from './shopping-store.ts'
import { tickOf, useTicker, whoAndWhen } from './ticker.ts'
import { useLight, useMarked } from './use-light.ts'

/** One step of building, with a box to tick. */
const { step, tickedNumbers } = defineProps<{
  step: building.OrderedStep
  isPlayed: boolean
  /** Steps that are done, by their numbers. */
  tickedNumbers: ReadonlySet<number>
}>()
const emit = defineEmits<{ play: [] }>()
const shopping = useShopping()
const ticker = useTicker()
const units = useUnits()
/** Ticks of steps are kept beside those of the list. */
const key = computed(() => `step ${step.id}`)
const known = computed(() => shopping.of(key.value))
const isDone = computed(() => known.value.tickedAt !== null)
const tick = (event: Event) => shopping.set(key.value, tickOf(event, ticker.name))
/** So many reasons are read at a glance; the rest is a press away. */
const FIRST = 2
const { isLit, light } = useLight(() => step.pieceIds)
const isMarked = useMarked(() => step.pieceIds)
function show() {
  emit('play')
  if (step.pieceIds.length > 0 && !isLit.value) light()
}
/** Done while something it comes after is not: the thread that nothing turns any more, the hole under the tank. */
const early = computed(() =>
  isDone.value ? (step.after.find(({ number }) => !tickedNumbers.has(number)) ?? null) : null,
)
/** What it leaves no way to. */
const shutsOff = computed(() => step.shutsOff.map(({ name }) => name).join(', '))
const why = (rule: building.OrderedStep['after'][number]) =>
  `after ${rule.number}: ${say(rule.reason, units.family)}`
</script>

<template>
  <li
    class="border-b border-rule py-2"
    :class="{ 'bg-needle-wash': isPlayed || isMarked }"
    :data-step="step.kind"
    :aria-current="isPlayed ? 'step' : undefined"
  >
    <div class="flex items-start gap-2">
      <label class="flex min-w-0 grow items-start gap-2">
        <input
          type="checkbox"
          class="mt-1 size-5 shrink-0"
          :checked="isDone"
          :aria-label="`Step ${step.number} done`"
          @change="tick"
        />
        <span class="w-7 shrink-0 text-right text-ink-soft">{{ step.number }}</span>
        <span class="min-w-0" :class="{ 'text-ink-soft line-through': isDone }">{{
          say(step.title, units.family)
        }}</span>
      </label>
      <button
        class="button shrink-0"
        :aria-pressed="isPlayed"
        :aria-label="`Show step ${step.number} in the drawing`"
        @click="show"
      >
        Show
      </button>
    </div>
    <div class="ml-16">
      <p v-if="isDone" class="caption">{{ whoAndWhen(known) }}</p>
      <p v-if="early" class="text-[0.92rem] text-aril" role="alert">
        Done before step {{ early.number }}, which is open: {{ say(early.reason, units.family) }}
      </p>
      <p v-if="shutsOff" class="text-[0.92rem] text-resin">
        After it no tool gets to {{ shutsOff }}: look that it is tight first.
      </p>
      <p v-if="step.marks.length > 0" class="text-[0.92rem]">{{ step.marks.join(' · ') }}</p>
      <p v-for="rule in step.after.slice(0, FIRST)" :key="rule.number" class="caption">
        {{ why(rule) }}
      </p>
      <details v-if="step.after.length > FIRST">
        <summary class="caption cursor-pointer">
          {{ step.after.length - FIRST }} more
          {{ step.after.length - FIRST === 1 ? 'reason' : 'reasons' }}
        </summary>
        <p v-for="rule in step.after.slice(FIRST)" :key="rule.number" class="caption">
          {{ why(rule) }}
        </p>
      </details>
    </div>
  </li>
</template>
