<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS } from '@yew-basin/contract/limits'
import { type DisplayTank, type Edit, setTo, insertAt } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'

/** The tanks on this sump: which one is on the bench, another one, one less. */
const store = useDesign()
const tanks = computed(() => store.shown!.tanks)

/** Room between two tanks that stand side by side, m. */
const APART_M = 0.15

function add() {
  const last = tanks.value.reduce((a, b) => (b.xM + b.lengthM > a.xM + a.lengthM ? b : a))
  const names = new Set(tanks.value.map((tank) => tank.name))
  let n = tanks.value.length + 1
  while (names.has(`Tank ${n}`)) n++
  const tank: DisplayTank = {
    ...last,
    id: crypto.randomUUID(),
    name: `Tank ${n}`,
    xM: last.xM + last.lengthM + APART_M,
    // Its own overflow stands elsewhere: the keeper says how.
    overflow: null,
  }
  const edits: Edit[] = [insertAt(['tanks'], tanks.value.length, tank)]
  store.lay(edits)
  store.tankId = tank.id
}

/** Lines that end in the tank must end elsewhere first. */
const ended = computed(() =>
  store.shown!.returnSide.lines.filter(({ end }) => end.at === 'tank' && end.id === store.tank?.id),
)
function remove() {
  const left = tanks.value.filter(({ id }) => id !== store.tank?.id)
  const drains = store.shown!.drains.filter(({ tankId }) => tankId !== store.tank?.id)
  store.edit([setTo(['drains'], drains), setTo(['tanks'], left)])
  store.tankId = null
}
</script>

<template>
  <div>
    <div class="flex flex-wrap items-center gap-1" role="group" aria-label="Tanks on this sump">
      <button
        v-for="(tank, i) in tanks"
        :key="tank.id"
        class="rounded-md px-2.5 py-1"
        :class="
          i === store.tankIndex ? 'bg-needle-wash font-semibold text-needle' : 'hover:bg-sunk'
        "
        :aria-pressed="i === store.tankIndex"
        @click="store.tankId = tank.id"
      >
        {{ tank.name }}
      </button>
      <span class="grow" />
      <button
        class="button"
        :disabled="!!store.preview || tanks.length >= COUNTS.tanks"
        @click="add"
      >
        <Plus :size="15" /> Another tank
      </button>
    </div>
    <template v-if="tanks.length > 1">
      <p v-if="ended.length > 0" class="caption mt-1">
        {{ ended.map(({ name }) => name).join(', ') }}
        {{ ended.length === 1 ? 'ends' : 'end' }} here.
      </p>
      <button v-else class="button mt-1 text-aril" @click="remove">
        <Trash2 :size="15" /> Take {{ store.tank?.name }} out
      </button>
    </template>
  </div>
</template>
