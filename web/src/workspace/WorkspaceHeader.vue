<script setup lang="ts">
import { Redo2, Undo2 } from '@lucide/vue'
import { computed, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import BrandLink from '../shell/BrandLink.vue'
import { usePhone } from '../shell/phone.ts'
import ThemeSwitch from '../shell/ThemeSwitch.vue'
import UnitSwitch from '../shell/UnitSwitch.vue'
import { useDesign } from './design-store.ts'
import { useLastPlaces } from './last-places.ts'
import PhaseLinks from './PhaseLinks.vue'
import { phaseOf, viewPathOf } from './phases.ts'
import SaveMark from './SaveMark.vue'
import SpokenLine from './SpokenLine.vue'
import WorkChip from './WorkChip.vue'

const store = useDesign()
const route = useRoute()
const places = useLastPlaces()
const isPhone = usePhone()
const basinId = computed(() => store.basin?.id ?? '')
/** Where we are under the basin's address. */
const place = computed(() => route.path.slice(`/basins/${basinId.value}`.length + 1))
const phase = computed(() => phaseOf(place.value))
watch([basinId, place], ([id, here]) => id && places.came(id, here), { immediate: true })
/** The views of the phase, and the parts, which stand outside any basin. */
const views = computed(() => [
  ...phase.value.views.map(({ path, label }) => ({
    label,
    to: places.toView(basinId.value, path),
    isHere: viewPathOf(place.value) === path,
    isApart: false,
  })),
  { label: 'Parts', to: `/parts?from=${basinId.value}`, isHere: false, isApart: true },
])
</script>

<template>
  <header class="border-b border-rule px-4 pt-1.5 max-md:px-3">
    <div class="flex flex-wrap items-center gap-x-4 max-md:gap-x-2">
      <BrandLink :short="isPhone" />
      <div class="flex min-w-0 items-baseline gap-2 max-[22rem]:basis-full">
        <h1 class="truncate font-semibold">{{ store.basin?.name }}</h1>
        <span class="caption truncate max-md:hidden">{{ store.basin?.current.name }}</span>
      </div>
      <PhaseLinks v-if="!isPhone" :basin-id="basinId" :now="phase" />
      <span class="grow" />
      <WorkChip />
      <SaveMark v-if="!isPhone" />
      <SpokenLine />
      <div class="flex flex-none items-center gap-1">
        <button
          class="icon-button"
          aria-label="Undo"
          :disabled="!store.canUndo"
          @click="store.undo"
        >
          <Undo2 :size="17" />
        </button>
        <button
          class="icon-button"
          aria-label="Redo"
          :disabled="!store.canRedo"
          @click="store.redo"
        >
          <Redo2 :size="17" />
        </button>
        <ThemeSwitch />
        <UnitSwitch />
      </div>
    </div>
    <div class="flex items-center gap-3">
      <nav aria-label="Views" class="-mx-1 flex min-w-0 grow gap-1 overflow-x-auto px-1 py-1">
        <RouterLink
          v-for="view in views"
          :key="view.label"
          :to="view.to"
          class="whitespace-nowrap rounded-md px-2 py-0.5 text-[0.95rem] text-ink-soft hover:bg-sunk max-md:py-1.5"
          :class="{
            'bg-needle-wash font-semibold text-needle!': view.isHere,
            'ml-2 rounded-l-none border-l border-rule pl-3': view.isApart,
          }"
          :aria-current="view.isHere ? 'page' : undefined"
        >
          {{ view.label }}
        </RouterLink>
      </nav>
      <SaveMark v-if="isPhone" class="flex-none" />
    </div>
    <PhaseLinks
      v-if="isPhone"
      class="phase-bar fixed inset-x-0 bottom-0 z-20 border-t border-rule bg-paper px-3 py-1"
      :basin-id="basinId"
      :now="phase"
    />
  </header>
</template>
