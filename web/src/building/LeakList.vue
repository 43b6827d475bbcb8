<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { computed } from 'vue'
import { leaksOf } from './leak-words.ts'
import { tickOf, useTicker } from './ticker.ts'
import { useTicks } from './use-ticks.ts'

/** Every joint with a box, run by run: dry under fresh water, and who felt it. */
const { sheet, basinId } = defineProps<{ sheet: building.BuildSheet; basinId: string }>()
const { shopping, stateWords } = useTicks(() => basinId)
const ticker = useTicker()

/** Ticks of joints are kept beside those of the list. */
const keyOf = (joint: building.Joint) => `leak ${joint.id}`
const runs = computed(() =>
  sheet.routes.map((run) => {
    const joints = leaksOf(run, sheet).map((leak) => ({
      ...leak,
      isDry: shopping.of(keyOf(leak.joint)).tickedAt !== null,
    }))
    return { run, joints, dry: joints.filter(({ isDry }) => isDry).length }
  }),
)
const tick = (joint: building.Joint, event: Event) =>
  shopping.set(keyOf(joint), tickOf(event, ticker.name))
</script>

<template>
  <p v-if="stateWords" class="caption" role="status">{{ stateWords }}</p>
  <ul class="mt-2 space-y-1">
    <li v-for="{ run, joints, dry } in runs" :key="run.id" class="border-b border-rule py-1">
      <details>
        <summary class="cursor-pointer">
          <strong class="font-semibold">{{ run.name }}</strong>
          {{ dry }} of {{ joints.length }} joints dry
        </summary>
        <ul class="mt-1 grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
          <li v-for="{ joint, words, isDry } in joints" :key="joint.id">
            <label class="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                class="size-5"
                :checked="isDry"
                :aria-label="`${run.name}, joint ${words}: dry`"
                @change="tick(joint, $event)"
              />
              {{ words }}
            </label>
          </li>
        </ul>
      </details>
    </li>
  </ul>
</template>
