<script setup lang="ts">
import { solveBasin } from '@yew-basin/core'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { clockTime } from '../shell/clock.ts'
import ModalPanel from '../shell/ModalPanel.vue'
import { useUnits } from '../shell/units.ts'
import { differences } from './differences.ts'
import { useDesign } from './design-store.ts'

const store = useDesign()
const units = useUnits()
const router = useRouter()
const route = useRoute()

const sides = computed(() => {
  const { design, theirs } = store
  if (!design || !theirs) return null
  return {
    found: differences(design, theirs.design),
    mine: solveBasin(design).returnSide.flowM3PerS,
    theirs: solveBasin(theirs.design).returnSide.flowM3PerS,
    at: clockTime(theirs.savedAt),
  }
})

async function keepBoth() {
  const id = await store.keepBoth()
  if (id) await router.push({ name: 'workspace', params: { id, station: route.params.station } })
}
</script>

<template>
  <ModalPanel
    :open="store.saveState === 'conflict'"
    title="Saved elsewhere first"
    wide
    @close="() => undefined"
  >
    <template v-if="sides">
      <p class="mt-2">
        Another tab saved this design at {{ sides.at }}. Nothing is lost: say which one continues.
      </p>
      <dl class="mt-4 grid grid-cols-2 gap-4">
        <div class="rounded-lg bg-sunk p-3">
          <dt class="caption">Here, not saved yet</dt>
          <dd class="text-lg font-semibold">{{ units.text('flow', sides.mine) }}</dd>
        </div>
        <div class="rounded-lg bg-sunk p-3">
          <dt class="caption">Saved by the other tab</dt>
          <dd class="text-lg font-semibold">{{ units.text('flow', sides.theirs) }}</dd>
        </div>
      </dl>
      <p class="caption mt-3">
        They differ in:
        {{
          sides.found
            .slice(0, 6)
            .map((difference) => difference.where)
            .join(' · ') || 'nothing that counts'
        }}
        <template v-if="sides.found.length > 6">and {{ sides.found.length - 6 }} more</template>
      </p>
      <div class="mt-5 flex flex-wrap justify-end gap-2">
        <button class="button" @click="keepBoth">Keep both, mine as a copy</button>
        <button class="button" @click="store.takeTheirs">Take the other</button>
        <button class="button button-main" @click="store.keepMine">Keep mine</button>
      </div>
    </template>
  </ModalPanel>
</template>
