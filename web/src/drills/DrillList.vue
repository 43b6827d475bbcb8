<script setup lang="ts">
import { STATE_OF, say } from '@yew-basin/core'
import { RotateCcw, X } from '@lucide/vue'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'
import { useDrills } from './drills-store.ts'

/** Every drill with its verdict, worst first. */
defineProps<{ chosenId: string | null }>()
defineEmits<{ choose: [drillId: string] }>()
const drills = useDrills()
const units = useUnits()
</script>

<template>
  <section aria-labelledby="drill-list-heading" class="flex min-h-0 flex-col">
    <div class="flex items-center gap-2 px-3 pt-2">
      <h2 id="drill-list-heading" class="heading grow">Drills, worst first</h2>
      <button v-if="drills.progress" class="button" @click="drills.cancel()">
        <X :size="14" /> Stop
      </button>
      <button v-else class="button" @click="drills.simulate()">
        <RotateCcw :size="14" /> Simulate again
      </button>
    </div>
    <div v-if="drills.progress" class="px-3 py-1">
      <progress
        class="w-full"
        aria-label="Drills simulated"
        :value="drills.progress.done"
        :max="drills.progress.of"
      />
      <span class="caption">{{ drills.progress.done }} of {{ drills.progress.of }} simulated</span>
    </div>
    <p v-if="drills.stale" class="px-3 text-resin" role="status">
      The design changed: these are of what it was.
    </p>
    <p v-if="drills.fault" class="px-3 text-aril" role="alert">{{ drills.fault }}</p>
    <ol class="mt-1 overflow-y-auto" aria-label="Drills" :class="{ 'opacity-60': drills.stale }">
      <li v-for="verdict in drills.verdicts" :key="verdict.drillId">
        <button
          class="flex w-full items-start gap-2 px-3 py-1.5 text-left leading-tight"
          :class="chosenId === verdict.drillId ? 'bg-needle-wash' : 'hover:bg-sunk'"
          :aria-current="chosenId === verdict.drillId ? 'true' : undefined"
          :data-drill="verdict.drillId"
          :data-outcome="verdict.outcome"
          @click="$emit('choose', verdict.drillId)"
        >
          <StateMark :state="STATE_OF[verdict.outcome]" :size="13" class="mt-0.5" />
          <span class="min-w-0 grow">
            <span class="block font-semibold">{{ say(verdict.title, units.family) }}</span>
            <span class="caption block">{{ say(verdict.said, units.family) }}</span>
          </span>
          <span class="shrink-0 text-right font-semibold" data-testid="counts">
            {{
              verdict.outcome === 'wet'
                ? units.text('volume', verdict.spilledM3)
                : units.text('length', verdict.marginM)
            }}
          </span>
        </button>
      </li>
    </ol>
  </section>
</template>
