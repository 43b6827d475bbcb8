<script setup lang="ts">
import { workingOf, type FigureName, type Measured } from '@yew-basin/core'
import { ChevronDown } from '@lucide/vue'
import { computed, ref, useId } from 'vue'
import AssumedMark from '../shell/AssumedMark.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import WorkingPanel from './WorkingPanel.vue'

const {
  figure,
  label,
  value,
  band = null,
  mark = '',
  tankId = null,
  drainId = null,
  chamberId = null,
  deviceId = null,
} = defineProps<{
  figure: FigureName
  label: string
  value: Measured
  band?: number | null
  /** A word on how it is known: "scaled", "two-number curve". */
  mark?: string
  /** The tank it is of, where it is of one. */
  tankId?: string | null
  drainId?: string | null
  chamberId?: string | null
  deviceId?: string | null
}>()

const store = useDesign()
const units = useUnits()
const open = ref(false)
const id = useId()
const shownValue = computed(() => units.shown(band ? { ...value, bandSi: band } : value))
const bandText = computed(() => (band ? `± ${units.band(value, band)}` : ''))
const working = computed(() => {
  const { shown: design, solved, line } = store
  if (!open.value || !design || !solved) return null
  const lineId = line?.id ?? null
  return workingOf(figure, { design, solved, lineId, tankId, drainId, chamberId, deviceId })
})
</script>

<template>
  <div class="border-b border-rule last:border-0">
    <button
      class="flex w-full items-baseline gap-2 py-1.5 text-left"
      :aria-expanded="open"
      :aria-controls="id"
      @click="open = !open"
    >
      <ChevronDown
        :size="14"
        class="shrink-0 self-center text-ink-soft transition-transform"
        :class="{ '-rotate-90': !open }"
      />
      <span class="grow"
        >{{ label }} <span v-if="mark" class="caption">({{ mark }})</span>
        <AssumedMark v-if="store.restsOnAssumed(figure)" class="text-ink-soft" />
      </span>
      <span class="whitespace-nowrap" :data-testid="`figure-${figure}`">
        <span class="text-[1.05rem] font-semibold">{{ shownValue.number }}</span>
        <span class="caption ml-1">{{ shownValue.unit }} {{ bandText }}</span>
      </span>
    </button>
    <div :id="id">
      <WorkingPanel v-if="working" :working="working" />
      <slot v-if="working" />
    </div>
  </div>
</template>
