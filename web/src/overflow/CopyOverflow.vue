<script setup lang="ts">
import { editing } from '@yew-basin/core'
import { Copy } from '@lucide/vue'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'

/** A tank's overflow and its drains, copied to another tank; or from another, where this one has none. */
const store = useDesign()
const copies = computed(() => {
  const { tanks } = store.shown!
  const here = store.tankIndex
  return tanks.flatMap((other, i) => {
    if (i === here) return []
    const isHere = editing.mayCopyOverflow(tanks[here]!)
    if (isHere) return [{ from: here, to: i, label: `Copy it and its drains to ${other.name}` }]
    const isThere = editing.mayCopyOverflow(other)
    return isThere
      ? [{ from: i, to: here, label: `Copy that of ${other.name}, with its drains` }]
      : []
  })
})

function copy({ from, to }: { from: number; to: number }) {
  const { flowM3PerS, wantedFlowM3PerS } = store.solved!.tanks[to]!
  const flow = flowM3PerS > 0 ? flowM3PerS : wantedFlowM3PerS
  store.lay(editing.copyOverflow(store.design!, { from, to, flowM3PerS: flow }))
}
</script>

<template>
  <div v-if="copies.length > 0" class="flex flex-wrap gap-2">
    <button
      v-for="each in copies"
      :key="each.label"
      class="button"
      :disabled="!!store.preview"
      @click="copy(each)"
    >
      <Copy :size="15" /> {{ each.label }}
    </button>
  </div>
</template>
