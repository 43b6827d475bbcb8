<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { GitBranch } from '@lucide/vue'
import type { editing } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'

/** Lets another line out after a piece. */
defineProps<{ label: string }>()
const emit = defineEmits<{ tee: [kind: editing.BranchKind] }>()
const store = useDesign()

const kinds = computed((): { label: string; kind: editing.BranchKind }[] => {
  const { tanks, sump } = store.shown!
  return [
    ...sump.chambers.map(({ id, name }) => ({
      label: `A takeoff into ${name}`,
      kind: { what: 'takeoff', chamberId: id } as const,
    })),
    ...tanks.map(({ id, name }) => ({
      label: tanks.length > 1 ? `A line to ${name}` : 'A second nozzle',
      kind: { what: 'nozzle', tankId: id } as const,
    })),
    { label: 'A capped spare', kind: { what: 'spare' } },
  ]
})
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="icon-button size-7!" :aria-label="label" title="Tee off here"
      ><GitBranch :size="14"
    /></MenuButton>
    <MenuItems
      class="absolute right-0 z-20 mt-1 w-56 rounded-lg border border-rule bg-sheet p-1 shadow-lg"
    >
      <MenuItem v-for="kind in kinds" :key="kind.label" v-slot="{ active }" as="template">
        <button
          class="block w-full rounded px-3 py-1.5 text-left"
          :class="{ 'bg-sunk': active }"
          @click="emit('tee', kind.kind)"
        >
          {{ kind.label }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
