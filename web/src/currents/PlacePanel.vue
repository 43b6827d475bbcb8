<script setup lang="ts">
import { computed } from 'vue'
import { shareAsWanted, type Placement } from '@yew-basin/core'
import { useCurrents } from './currents-store.ts'

/** A search for positions, aims and speeds, and what it found. */
const currents = useCurrents()
const searching = computed(() => currents.at?.what === 'place')
const pumps = computed(() => currents.scene!.pumps)
const share = (of: number) => `${Math.round(100 * of)} %`
const inside = ({ verdict }: Placement) => shareAsWanted(verdict)
function take(found: Placement) {
  currents.setPumps(found.pumps)
}
</script>

<template>
  <section v-if="pumps.length > 0" aria-labelledby="place-head" class="space-y-2">
    <h3 id="place-head" class="heading">Place them for me</h3>
    <p class="text-[0.92rem]">
      Hundreds of positions, aims and speeds for the pumps you have, by the quick look; the best few
      are simulated as coarse fields.
    </p>
    <div v-if="searching" class="flex items-center gap-2">
      <progress class="grow" :value="currents.at!.share" max="1" aria-label="Places are searched" />
      <button class="button" @click="currents.stop()">Stop</button>
    </div>
    <button
      v-else
      class="button"
      :disabled="!!currents.at"
      @click="currents.place(currents.domain!, pumps)"
    >
      Search
    </button>
    <div v-if="currents.search" role="status">
      <p>
        As you have them: {{ share(inside(currents.search.before)) }} of the faces as wanted,
        {{ share(currents.search.before.verdict.deadShare) }} dead.
      </p>
      <p v-if="currents.search.best.length === 0">Nothing better was found.</p>
      <ol class="space-y-1">
        <li
          v-for="(found, i) in currents.search.best"
          :key="i"
          class="flex items-center gap-2 border-t border-rule py-1"
        >
          <span class="grow">
            {{ share(inside(found)) }} as wanted, {{ share(found.verdict.deadShare) }} dead
          </span>
          <button class="button" @click="take(found)">Take it</button>
        </li>
      </ol>
    </div>
  </section>
</template>
