<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import {
  boreOf,
  type EditPath,
  isHose,
  PIPE_SERIES,
  seriesWords,
  sizeWords,
  SERIES_SIZES,
  type PipeSeries,
  type PipeSize,
} from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useAssumed } from '../bench/use-assumed.ts'
import { useUnits } from '../shell/units.ts'

const {
  name,
  only = null,
  at = null,
} = defineProps<{
  name: string
  compact?: boolean
  /** Rigid pipe alone, or hose alone. */
  only?: 'pipe' | 'hose' | null
  /** Where the opened design holds it, if it can be assumed. */
  at?: EditPath | null
}>()
const { isAssumed, confirm } = useAssumed(() => at)
const offered = computed(() =>
  PIPE_SERIES.filter((offer) => only === null || isHose(offer) === (only === 'hose')),
)
const model = defineModel<PipeSize>({ required: true })
const units = useUnits()
const sizes = computed(() => SERIES_SIZES[model.value.series])
const standardM = computed(() => boreOf({ ...model.value, boreM: null }).boreM)

/** Another series keeps the bore as near as it can. */
function setSeries(series: PipeSeries) {
  const now = boreOf(model.value).boreM
  const nearest = [...SERIES_SIZES[series]].sort(
    (a, b) => Math.abs(a.boreM - now) - Math.abs(b.boreM - now),
  )[0]!
  model.value = { series, size: nearest.size, boreM: null }
}
/** "3/4 in", "25 mm". */
const shortSize = (size: string) =>
  sizeWords({ series: model.value.series, size }).replace(` ${seriesWords(model.value.series)}`, '')
const text = (event: Event) => (event.target as HTMLSelectElement).value
</script>

<template>
  <div class="grid grid-cols-[1fr_1.15fr] gap-x-3 gap-y-2">
    <label class="block">
      <span class="caption">{{ name }}</span>
      <select
        class="box"
        :class="{ 'box-assumed': isAssumed }"
        :value="model.series"
        @change="setSeries(text($event) as PipeSeries)"
      >
        <option v-for="offer in offered" :key="offer" :value="offer">
          {{ seriesWords(offer) }}
        </option>
      </select>
    </label>
    <label class="block">
      <span class="caption">Size</span>
      <select
        class="box"
        :class="{ 'box-assumed': isAssumed }"
        :value="model.size"
        :aria-label="`${name}, size`"
        @change="model = { ...model, size: text($event), boreM: null }"
      >
        <option v-for="row in sizes" :key="row.size" :value="row.size">
          {{ shortSize(row.size) }}, {{ units.text('length', row.boreM) }}
        </option>
      </select>
    </label>
    <p v-if="isAssumed" class="col-span-2 text-[0.82rem] text-ink-soft">
      assumed
      <button type="button" class="confirm" :aria-label="`Confirm ${name}`" @click="confirm">
        confirm
      </button>
    </p>
    <template v-if="!compact">
      <QuantityField
        label="True bore"
        :limit="LIMITS.bore"
        :hint="
          model.boreM === null
            ? 'as the standard has it'
            : `standard ${units.text('length', standardM)}`
        "
        :model-value="model.boreM ?? standardM"
        @update:model-value="model = { ...model, boreM: $event }"
      />
      <div class="self-center">
        <button
          v-if="model.boreM !== null"
          class="button"
          @click="model = { ...model, boreM: null }"
        >
          Use the standard’s
        </button>
      </div>
    </template>
  </div>
</template>
