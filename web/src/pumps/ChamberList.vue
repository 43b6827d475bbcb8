<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { type SumpChamber, insertAt, type EditPath } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** The sump's chambers by name and running level, until its sizes are given. */
const store = useDesign()
const chambers = computed(() => store.shown!.sump.chambers)
const inUse = computed(
  () =>
    new Set([
      ...store.shown!.returnSide.pumps.map(({ chamberId }) => chamberId),
      ...store.shown!.returnSide.lines.map(({ end }) => end.id),
      ...store.shown!.drains.map(({ end }) => end.id),
      ...store.shown!.tanks.map(({ overflow }) => overflow?.chamberId),
    ]),
)
const at = <const More extends EditPath>(...path: More) => ['sump', 'chambers', ...path] as const

function add() {
  const names = new Set(chambers.value.map((chamber) => chamber.name))
  let n = chambers.value.length + 1
  while (names.has(`Chamber ${n}`)) n++
  const item: SumpChamber = {
    id: crypto.randomUUID(),
    name: `Chamber ${n}`,
    use: 'other',
    levelM: chambers.value[0]!.levelM,
    footprintM2: 0,
    submergedM3: 0,
    wantsDepth: null,
  }
  store.edit([insertAt(at(), chambers.value.length, item)])
}
function remove(id: string) {
  store.set(
    at(),
    chambers.value.filter((chamber) => chamber.id !== id),
  )
}
</script>

<template>
  <section aria-labelledby="chambers-heading">
    <div class="flex items-center">
      <h3 id="chambers-heading" class="heading grow">The sump’s water</h3>
      <button class="button" :disabled="chambers.length >= COUNTS.chambers" @click="add">
        <Plus :size="15" /> Chamber
      </button>
    </div>
    <p class="caption">Running levels over the room’s floor, as you measure them.</p>
    <ul class="mt-1 space-y-1" aria-label="Chambers">
      <li v-for="(chamber, i) in chambers" :key="chamber.id" class="flex items-end gap-2">
        <TextField
          class="grow"
          :label="`Name of chamber ${i + 1}`"
          :most="COUNTS.nameLength"
          :model-value="chamber.name"
          @update:model-value="store.set(at(i, 'name'), $event)"
        />
        <QuantityField
          class="w-32"
          :label="i === 0 ? 'Sump’s water over the floor' : `Level of chamber ${i + 1}`"
          :limit="LIMITS.sourceLevel"
          :at="at(i, 'levelM')"
          :model-value="chamber.levelM"
          @update:model-value="store.set(at(i, 'levelM'), $event)"
        />
        <button
          class="icon-button mb-1 size-8!"
          :aria-label="`Take out ${chamber.name}`"
          :disabled="inUse.has(chamber.id)"
          :title="inUse.has(chamber.id) ? 'A pump or a line uses it' : undefined"
          @click="remove(chamber.id)"
        >
          <Trash2 :size="15" />
        </button>
      </li>
    </ul>
  </section>
</template>
