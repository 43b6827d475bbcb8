<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import type { LossPoint, PieceOf } from '@yew-basin/core'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import { litresAnHour } from '../parts/part-words.ts'
import { DEVICE_LOSSES, DEVICE_USES } from './piece-words.ts'

const { piece } = defineProps<{ piece: PieceOf<'device'>; position: number }>()
const emit = defineEmits<{ give: [change: object] }>()
const text = (event: Event) => (event.target as HTMLSelectElement).value

/** A table needs a first point before it can count. */
function setBy(by: string) {
  const table: readonly LossPoint[] =
    by === 'table' && piece.table.length === 0
      ? [{ flowM3PerS: litresAnHour(500), headM: 0.2 }]
      : piece.table
  emit('give', { by, table })
}

function setPoint(i: number, change: Partial<LossPoint>) {
  const table = piece.table.map((point, j) => (j === i ? { ...point, ...change } : point))
  emit('give', { table })
}

/** The next point goes half as far again as the last. */
function addPoint() {
  const last = piece.table.at(-1)!
  const next = { flowM3PerS: last.flowM3PerS * 1.5, headM: last.headM * 2.2 }
  emit('give', { table: [...piece.table, next] })
}

/** Flow and head between the neighbours': the table must rise. */
function between(i: number, of: 'flowM3PerS' | 'headM') {
  const limit = of === 'flowM3PerS' ? LIMITS.pumpFlow : LIMITS.pumpHead
  const step = of === 'flowM3PerS' ? 1e-7 : 1e-3
  return {
    ...limit,
    min: (piece.table[i - 1]?.[of] ?? 0) + step,
    max: (piece.table[i + 1]?.[of] ?? limit.max + step) - step,
  }
}
</script>

<template>
  <div class="space-y-1">
    <div class="grid grid-cols-2 gap-2">
      <label class="block">
        <span class="caption">What it is</span>
        <select
          class="box"
          :aria-label="`Use of piece ${position}`"
          :value="piece.use"
          @change="$emit('give', { use: text($event) })"
        >
          <option v-for="{ value, label } in DEVICE_USES" :key="value" :value="value">
            {{ label }}
          </option>
        </select>
      </label>
      <TextField
        :label="`Name of piece ${position}`"
        :most="COUNTS.nameLength"
        :model-value="piece.name"
        @update:model-value="$emit('give', { name: $event })"
      />
      <label class="block">
        <span class="caption">Its loss is</span>
        <select
          class="box"
          :aria-label="`How the loss of piece ${position} is known`"
          :value="piece.by"
          @change="setBy(text($event))"
        >
          <option v-for="{ value, label } in DEVICE_LOSSES" :key="value" :value="value">
            {{ label }}
          </option>
        </select>
      </label>
      <QuantityField
        v-if="piece.by === 'k'"
        :label="`K of piece ${position}`"
        :limit="LIMITS.loss"
        :model-value="piece.k"
        @update:model-value="$emit('give', { k: $event })"
      />
      <QuantityField
        v-else-if="piece.by === 'kv'"
        :label="`Coefficient of piece ${position}`"
        :limit="LIMITS.kv"
        :model-value="piece.kvM3PerH"
        @update:model-value="$emit('give', { kvM3PerH: $event })"
      />
    </div>
    <div v-if="piece.by === 'table'" class="space-y-1">
      <div v-for="(point, i) in piece.table" :key="i" class="flex items-start gap-2">
        <QuantityField
          class="grow"
          :label="`Flow, point ${i + 1} of piece ${position}`"
          hide-label
          :limit="between(i, 'flowM3PerS')"
          :model-value="point.flowM3PerS"
          @update:model-value="setPoint(i, { flowM3PerS: $event })"
        />
        <QuantityField
          class="grow"
          :label="`Head, point ${i + 1} of piece ${position}`"
          hide-label
          :limit="between(i, 'headM')"
          :model-value="point.headM"
          @update:model-value="setPoint(i, { headM: $event })"
        />
        <button
          class="icon-button size-7!"
          :aria-label="`Take out point ${i + 1} of piece ${position}`"
          :disabled="piece.table.length === 1"
          @click="$emit('give', { table: piece.table.filter((_, j) => j !== i) })"
        >
          <Trash2 :size="14" />
        </button>
      </div>
      <button class="button" :disabled="piece.table.length >= COUNTS.curvePoints" @click="addPoint">
        <Plus :size="14" /> Point
      </button>
    </div>
  </div>
</template>
