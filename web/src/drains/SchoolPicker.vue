<script setup lang="ts">
import { editing } from '@yew-basin/core'
import { computed } from 'vue'
import { rigidSeries } from '../run/usual-sizes.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** The schools of draining a box, each with what it wins and what it pays. */
const store = useDesign()
const units = useUnits()
const own = computed(() => store.shown!.drains.filter(({ tankId }) => tankId === store.tank!.id))

function lay(school: editing.DrainSchool) {
  const design = store.design!
  const lead = design.returnSide.lines[0]!.run.size.series
  const series = rigidSeries(lead, units.family)
  store.lay(editing.schoolEdits(design, store.tankIndex, { school, series }))
}
</script>

<template>
  <section aria-labelledby="school-heading">
    <h3 id="school-heading" class="heading">
      {{ own.length > 0 ? 'Begin again with another school' : 'How should it be drained?' }}
    </h3>
    <ul class="mt-1 border-t border-rule" aria-label="Schools">
      <li
        v-for="offer in editing.DRAIN_SCHOOLS"
        :key="offer.school"
        class="border-b border-rule py-2"
      >
        <div class="flex items-center gap-2">
          <span class="grow font-semibold">{{ offer.name }}</span>
          <button
            class="button"
            :disabled="!!store.preview"
            :aria-label="`Lay: ${offer.name}`"
            @click="lay(offer.school)"
          >
            Lay it
          </button>
        </div>
        <p class="caption">{{ offer.trade }}</p>
      </li>
    </ul>
  </section>
</template>
