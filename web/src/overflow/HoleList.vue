<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { BULKHEADS, type Bulkhead, type Hole, insertAt } from '@yew-basin/core'
import { computed, onMounted } from 'vue'
import { RouterLink } from 'vue-router'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import { useParts } from '../parts/parts-store.ts'
import { usualSizes } from '../run/usual-sizes.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { GLASS, PANELS } from './overflow-words.ts'

/** Holes for bulkheads: where, how wide, in what. */
const store = useDesign()
const units = useUnits()
const path = computed(() => ['tanks', store.tankIndex, 'overflow', 'holes'] as const)
const holes = computed(() => store.tank!.overflow!.holes)
const parts = useParts()
onMounted(() => void parts.load())

/** The library's bulkheads and the keeper's own; the trade's usual ones until they are fetched. */
const shelf = computed((): readonly Bulkhead[] => {
  const own = parts.parts.flatMap((part) =>
    part.kind === 'bulkhead' ? [{ size: part.name, ...part.spec }] : [],
  )
  return own.length > 0 ? own : BULKHEADS
})
/** What may be chosen for a hole: what it has, and the shelf. */
function sizesFor({ bulkhead }: Hole) {
  const names = new Set([bulkhead.size, ...shelf.value.map(({ size }) => size)])
  return [...names].map((size) => ({ value: size, label: size }))
}
function choose(index: number, size: string) {
  const chosen = shelf.value.find((bulkhead) => bulkhead.size === size)
  if (chosen) store.set([...path.value, index, 'bulkhead'], chosen)
}
const usual = () =>
  shelf.value.find(({ size }) => size === usualSizes(units.family).bulkhead) ??
  shelf.value[0] ??
  BULKHEADS[0]!

function add() {
  const { tank } = store
  const last = holes.value.at(-1)
  const hole: Hole = {
    id: crypto.randomUUID(),
    panel: last?.panel ?? 'back',
    glass: last?.glass ?? 'plain',
    bulkhead: last?.bulkhead ?? usual(),
    alongM: Math.min((last?.alongM ?? tank!.lengthM / 2 - 0.1) + 0.1, tank!.lengthM - 0.05),
    upM: last?.upM ?? Math.max(0.05, tank!.overflow!.crestM - 0.08),
  }
  store.edit([insertAt(path.value, holes.value.length, hole)])
}
const remove = (id: string) =>
  store.set(
    path.value,
    holes.value.filter((hole) => hole.id !== id),
  )
const give = <Name extends keyof Hole>(index: number, name: Name, to: Hole[Name]) => {
  const key: keyof Hole = name
  store.set([...path.value, index, key], to)
}
</script>

<template>
  <section aria-labelledby="holes-heading">
    <div class="flex items-center">
      <h3 id="holes-heading" class="heading grow">Holes</h3>
      <button class="button" :disabled="holes.length >= COUNTS.holes" @click="add">
        <Plus :size="15" /> Hole
      </button>
    </div>
    <ul aria-label="Holes">
      <li v-for="(hole, i) in holes" :key="hole.id" class="border-b border-rule py-2">
        <div class="flex items-center gap-2">
          <span class="grow font-semibold">Hole {{ i + 1 }}</span>
          <span class="caption">
            drill {{ units.text('length', hole.bulkhead.holeM) }}, flange
            {{ units.text('length', hole.bulkhead.flangeM) }}
          </span>
          <button
            class="icon-button size-7!"
            :aria-label="`Take out hole ${i + 1}`"
            @click="remove(hole.id)"
          >
            <Trash2 :size="14" />
          </button>
        </div>
        <div class="grid grid-cols-3 gap-2">
          <ChoiceField
            label="Bulkhead"
            :options="sizesFor(hole)"
            :model-value="hole.bulkhead.size"
            @update:model-value="choose(i, $event)"
          />
          <ChoiceField
            label="Panel"
            :options="PANELS"
            :model-value="hole.panel"
            @update:model-value="give(i, 'panel', $event)"
          />
          <ChoiceField
            label="Of"
            :options="GLASS"
            :model-value="hole.glass"
            @update:model-value="give(i, 'glass', $event)"
          />
        </div>
        <div class="mt-1 grid grid-cols-2 gap-2">
          <QuantityField
            :label="`Along the panel, hole ${i + 1}`"
            :limit="LIMITS.holePlace"
            :model-value="hole.alongM"
            @update:model-value="give(i, 'alongM', $event)"
          />
          <QuantityField
            :label="hole.panel === 'floor' ? `From the front, hole ${i + 1}` : `Up, hole ${i + 1}`"
            :limit="LIMITS.holePlace"
            :model-value="hole.upM"
            @update:model-value="give(i, 'upM', $event)"
          />
        </div>
      </li>
    </ul>
    <p class="caption mt-1">
      Never drill tempered glass: it shatters as a whole. Holes are usual sizes; measure your own
      bulkhead, keep it among your <RouterLink class="underline" to="/parts">parts</RouterLink>, and
      let a glazier drill what you are not sure of.
    </p>
  </section>
</template>
