<script setup lang="ts">
import { computed } from 'vue'
import { shareMoved, placing } from '@yew-basin/core'
import { useCurrents } from './currents-store.ts'
import { secondsWords } from './currents-words.ts'

/** A search for positions, aims and speeds, and what it found. */
const currents = useCurrents()
const searching = computed(() => currents.at?.what === 'place')
const pumps = computed(() => currents.scene!.pumps)
const placeSeconds = computed(() =>
  currents.estimate
    ? placing.updatesOfPlacing(currents.domain!) / currents.estimate.pacePerS
    : null,
)
const hasNothing = computed(
  () => currents.domain!.rocks.length === 0 && currents.domain!.sandDepthM === 0,
)
const share = (of: number) => `${Math.round(100 * of)} %`
const inside = ({ verdict }: placing.Placement) => shareMoved(verdict)
/** Without rock and sand there are no faces: what counts is the water that moves. */
const asWanted = computed(() =>
  currents.search && currents.search.before.verdict.zones.length === 0
    ? 'of the water moves'
    : 'of the faces as wanted',
)
function take(found: placing.Placement) {
  currents.setPumps(found.pumps)
}
</script>

<template>
  <section v-if="pumps.length > 0" aria-labelledby="place-head" class="space-y-2">
    <h3 id="place-head" class="heading">Place them for me</h3>
    <p class="text-[0.92rem]">
      Hundreds of positions, aims and speeds for the pumps you have, by the quick look; the best few
      are simulated as coarse fields<template v-if="placeSeconds !== null"
        >: about <strong>{{ secondsWords(placeSeconds) }}</strong> on this machine</template
      >.
      <template v-if="hasNothing">
        No rock and no sand stand here yet: what counts is how much of the water moves.
      </template>
    </p>
    <div v-if="searching" class="flex items-center gap-2">
      <progress class="grow" :value="currents.at!.share" max="1" aria-label="Places are searched" />
      <span class="caption w-9 text-right">{{ Math.round(100 * currents.at!.share) }} %</span>
      <button class="button" @click="currents.stop()">Stop</button>
    </div>
    <button
      v-else
      class="button"
      :disabled="!!currents.at"
      @click="currents.place({ domain: currents.domain!, pumps })"
    >
      Search
    </button>
    <div v-if="currents.search" role="status">
      <p>
        As you have them: {{ share(inside(currents.search.before)) }} {{ asWanted }},
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
            {{ share(inside(found)) }} {{ asWanted }}, {{ share(found.verdict.deadShare) }} dead
          </span>
          <button class="button" @click="take(found)">Take it</button>
        </li>
      </ol>
    </div>
  </section>
</template>
