<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Plus } from '@lucide/vue'
import { COUNTS } from '@yew-basin/contract/limits'
import { editing } from '@yew-basin/core'
import { computed } from 'vue'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** Every line of the return side with what it carries; the chosen one is on the bench. */
const store = useDesign()
const units = useUnits()

const rows = computed(() => {
  const { shown: design, solved } = store
  if (!design || !solved) return []
  return editing.asTree(design).map(({ index, depth }) => {
    const line = design.returnSide.lines[index]!
    const { flowM3PerS, flowBandM3PerS, status, hardlyRuns } = solved.returnSide.lines[index]!
    const worst = solved.findings.find((finding) => finding.lineId === line.id)
    return {
      id: line.id,
      index,
      depth,
      name: line.name,
      carries: status === 'capped' ? 'capped' : units.text('flow', flowM3PerS, flowBandM3PerS),
      wants:
        line.wantedFlowM3PerS === null
          ? ''
          : `of ${units.shown({ quantity: 'flow', si: line.wantedFlowM3PerS }).number}`,
      remark: hardlyRuns ? 'hardly runs; could as well stand still' : '',
      state: worst?.severity ?? 'fine',
    }
  })
})
const full = computed(() => (store.shown?.returnSide.pumps.length ?? 0) >= COUNTS.placedPumps)

function add(use: editing.PumpUse) {
  const { edits, lineId } = editing.addPump(store.shown!, store.solved!, use, () =>
    crypto.randomUUID(),
  )
  store.edit(edits)
  store.lineId = lineId
}
const USES = [
  { use: 'join', label: 'A second pump into the first line' },
  { use: 'own', label: 'A pump with a line of its own' },
] as const
</script>

<template>
  <section aria-labelledby="lines-heading">
    <div class="flex items-center">
      <h3 id="lines-heading" class="heading grow">Lines</h3>
      <Menu as="div" class="relative">
        <MenuButton class="button" :disabled="full || !!store.preview"
          ><Plus :size="15" /> Add a pump</MenuButton
        >
        <MenuItems
          class="absolute right-0 z-20 mt-1 w-64 rounded-lg border border-rule bg-sheet p-1 shadow-lg"
        >
          <MenuItem v-for="{ use, label } in USES" :key="use" v-slot="{ active }" as="template">
            <button
              class="block w-full rounded px-3 py-1.5 text-left"
              :class="{ 'bg-sunk': active }"
              @click="add(use)"
            >
              {{ label }}
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </div>
    <ul class="mt-1 border-t border-rule" aria-label="Lines">
      <li v-for="row in rows" :key="row.id" class="border-b border-rule">
        <button
          class="flex w-full items-center gap-2 px-1.5 py-1 text-left"
          :class="row.index === store.lineIndex ? 'bg-needle-wash' : 'hover:bg-sunk'"
          :aria-pressed="row.index === store.lineIndex"
          :style="{ paddingLeft: `${0.4 + row.depth * 1.1}rem` }"
          @click="store.lineId = row.id"
        >
          <StateMark :state="row.state" :size="13" />
          <span class="grow"
            >{{ row.name
            }}<span v-if="row.remark" class="caption block">{{ row.remark }}</span></span
          >
          <span class="whitespace-nowrap"
            ><strong class="font-semibold">{{ row.carries }}</strong
            ><span class="caption ml-1">{{ row.wants }}</span></span
          >
        </button>
      </li>
    </ul>
  </section>
</template>
