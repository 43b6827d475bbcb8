<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Copy, Download, Ellipsis, Pencil, Trash2 } from '@lucide/vue'
import type { ShelfEntry } from '@yew-basin/contract'
import { say } from '@yew-basin/core'
import { RouterLink } from 'vue-router'
import { basinsApi } from '../api/basins.ts'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'

const { entry } = defineProps<{ entry: ShelfEntry }>()
defineEmits<{ rename: []; duplicate: []; remove: [] }>()

const units = useUnits()
const item =
  'flex w-full items-center gap-2 rounded px-3 py-1.5 text-left ui-active:bg-sunk data-[headlessui-state~=active]:bg-sunk'
</script>

<template>
  <li
    class="grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-2 py-4 sm:grid-cols-[1.2fr_1.6fr_auto]"
  >
    <div class="min-w-0">
      <RouterLink
        :to="`/basins/${entry.id}`"
        class="text-xl font-semibold text-needle hover:underline"
      >
        {{ entry.name }}
      </RouterLink>
      <p v-if="entry.note" class="caption">{{ entry.note }}</p>
    </div>
    <div class="col-span-2 row-start-2 sm:col-span-1 sm:row-start-auto">
      <p v-if="!entry.figures" class="caption">Its figures are being worked out…</p>
      <template v-else>
        <dl class="flex flex-wrap gap-x-6 gap-y-1" :class="{ 'opacity-60': !entry.figuresCurrent }">
          <div v-for="{ id, label, value } in entry.figures.figures" :key="id">
            <dt class="caption inline">{{ label }}&nbsp;</dt>
            <dd class="inline font-semibold">{{ units.text(value.quantity, value.si) }}</dd>
          </div>
        </dl>
        <p v-if="!entry.figuresCurrent" class="caption">
          Of how it was; its figures are being worked out again…
        </p>
        <p v-else-if="entry.figures.worst" class="mt-1 flex items-center gap-2">
          <StateMark :state="entry.figures.worst.severity" :size="14" />
          <span>{{ say(entry.figures.worst.title, units.family) }}</span>
        </p>
      </template>
    </div>
    <Menu as="div" class="relative row-start-1 col-start-2 sm:col-start-auto sm:row-start-auto">
      <MenuButton class="icon-button" :aria-label="`More for ${entry.name}`"
        ><Ellipsis :size="18"
      /></MenuButton>
      <MenuItems
        class="absolute right-0 z-60 mt-1 w-44 rounded-lg border border-rule bg-sheet p-1 shadow-lg"
      >
        <MenuItem
          ><button :class="item" @click="$emit('rename')">
            <Pencil :size="15" /> Rename
          </button></MenuItem
        >
        <MenuItem
          ><button :class="item" @click="$emit('duplicate')">
            <Copy :size="15" /> Duplicate
          </button></MenuItem
        >
        <MenuItem
          ><a :class="item" :href="basinsApi.exportAddress(entry.id)" download
            ><Download :size="15" /> Export</a
          ></MenuItem
        >
        <MenuItem
          ><button :class="item" class="text-aril" @click="$emit('remove')">
            <Trash2 :size="15" /> Delete
          </button></MenuItem
        >
      </MenuItems>
    </Menu>
  </li>
</template>
