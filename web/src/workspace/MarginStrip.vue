<script setup lang="ts">
import { keyFigures, worstDrillFigure, type KeyFigure, type Severity } from '@yew-basin/core'
import { ChevronDown, ChevronUp } from '@lucide/vue'
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import AssumedMark from '../shell/AssumedMark.vue'
import { usePhone } from '../shell/phone.ts'
import { useUnits } from '../shell/units.ts'
import { useDrills } from '../drills/drills-store.ts'
import { besideFigure } from './beside-figure.ts'
import { useDesign } from './design-store.ts'

const store = useDesign()
const drills = useDrills()
const units = useUnits()

const TONES: Record<Severity, string> = {
  stop: 'text-(--strip-stop)',
  watch: 'text-(--strip-watch)',
  fine: '',
}

/** As many columns as there are cells, where the screen has the room. */
const COLUMNS: Readonly<Record<number, string>> = {
  6: 'grid-cols-3 lg:grid-cols-6',
  7: 'grid-cols-4 lg:grid-cols-7',
  8: 'grid-cols-4 lg:grid-cols-8',
  9: 'grid-cols-5 lg:grid-cols-9',
}

/** The worst of the bad days; nothing until they have been simulated. */
const worstDrill = computed(() =>
  drills.worst && !drills.progress ? [worstDrillFigure(drills.worst)] : [],
)
const cells = computed(() =>
  store.solved
    ? [...keyFigures(store.solved).filter(({ id }) => id !== 'netVolume'), ...worstDrill.value]
    : [],
)

/** On a phone it is one line of what matters first, and opens. */
const isPhone = usePhone()
const isOpen = ref(false)
const FIRST: readonly KeyFigure['id'][] = ['flow', 'drain', 'outage']
const shown = computed(() => {
  if (!isPhone.value || isOpen.value) return cells.value
  const first = cells.value.filter(({ id }) => FIRST.includes(id))
  return first.length === FIRST.length ? first : cells.value.slice(0, FIRST.length)
})
</script>

<template>
  <div class="flex bg-[#23483c] text-[#f7f5ef]">
    <nav
      aria-label="Margins"
      class="grid min-w-0 grow"
      :class="shown.length === cells.length ? COLUMNS[cells.length] : 'grid-cols-3'"
    >
      <RouterLink
        v-for="cell in shown"
        :key="cell.id"
        :to="`/basins/${store.basin?.id}/${cell.station}`"
        class="overflow-hidden border-l border-white/15 px-3 py-1.5 hover:bg-white/10 lg:py-2.5"
        :data-testid="`margin-${cell.id}`"
      >
        <span class="block text-[0.8rem] leading-tight text-white/75">
          {{ cell.label
          }}<span v-if="cell.state !== 'fine'" class="sr-only">, {{ cell.state }}</span>
          <AssumedMark v-if="store.restsOnAssumed(cell.id)" />
        </span>
        <span class="lg:whitespace-nowrap" :class="TONES[cell.state]">
          <span class="text-lg font-semibold leading-tight lg:text-xl">{{
            units.shown(cell.value).number
          }}</span>
          <span class="ml-1 text-[0.8rem]">{{ units.shown(cell.value).unit }}</span>
          <span class="ml-1 hidden text-[0.8rem] text-white/75 sm:inline">{{
            besideFigure(cell, units)
          }}</span>
        </span>
      </RouterLink>
    </nav>
    <button
      v-if="isPhone"
      class="flex-none border-l border-white/15 px-3"
      :aria-expanded="isOpen"
      :aria-label="isOpen ? 'Fewer margins' : 'All margins'"
      @click="isOpen = !isOpen"
    >
      <ChevronDown v-if="isOpen" :size="18" />
      <ChevronUp v-else :size="18" />
    </button>
  </div>
</template>
