<script setup lang="ts">
import { Redo2, Undo2 } from '@lucide/vue'
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import BrandLink from '../shell/BrandLink.vue'
import ThemeSwitch from '../shell/ThemeSwitch.vue'
import UnitSwitch from '../shell/UnitSwitch.vue'
import { useDesign } from './design-store.ts'
import SaveMark from './SaveMark.vue'
import { STATIONS } from './stations.ts'

const store = useDesign()
const route = useRoute()
const views = computed(() => {
  const base = `/basins/${store.basin?.id}`
  const station = STATIONS.find((known) => route.path === `${base}/${known}`)
  return [
    { to: station ? `${base}/${station}` : base, label: 'Design' },
    { to: `${base}/drills`, label: 'Drills' },
    { to: `${base}/currents`, label: 'Currents' },
    { to: `${base}/room`, label: 'Room' },
    { to: `${base}/pumps`, label: 'Pumps' },
    { to: `${base}/size`, label: 'Size it for me' },
    { to: `/parts?from=${store.basin?.id}`, label: 'Parts' },
  ]
})
const isHere = (to: string) => route.path === to
</script>

<template>
  <header class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-4 py-1.5">
    <BrandLink />
    <div class="flex min-w-0 items-baseline gap-2">
      <h1 class="truncate font-semibold">{{ store.basin?.name }}</h1>
      <span class="caption truncate">{{ store.basin?.current.name }}</span>
    </div>
    <nav aria-label="Views" class="flex flex-wrap gap-1">
      <RouterLink
        v-for="view in views"
        :key="view.to"
        :to="view.to"
        class="rounded-md px-2 py-0.5 text-[0.95rem] text-ink-soft hover:bg-sunk"
        :class="{ 'bg-needle-wash font-semibold text-needle!': isHere(view.to) }"
        :aria-current="isHere(view.to) ? 'page' : undefined"
      >
        {{ view.label }}
      </RouterLink>
    </nav>
    <span class="grow" />
    <SaveMark />
    <div class="flex items-center gap-1">
      <button class="icon-button" aria-label="Undo" :disabled="!store.canUndo" @click="store.undo">
        <Undo2 :size="17" />
      </button>
      <button class="icon-button" aria-label="Redo" :disabled="!store.canRedo" @click="store.redo">
        <Redo2 :size="17" />
      </button>
      <ThemeSwitch />
      <UnitSwitch />
    </div>
  </header>
</template>
