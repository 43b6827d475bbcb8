<script setup lang="ts" generic="Row extends { readonly part: DevicePart }">
import type { DevicePart } from '@yew-basin/core'
import { useDesign } from '../workspace/design-store.ts'

/** Parts in a device's place: each ticked to stand beside others, or taken. */
defineProps<{
  name: string
  rows: readonly Row[]
  /** The part that stands there now. */
  nowId: string
  isTicked: (id: string) => boolean
}>()
const emit = defineEmits<{ tick: [id: string]; take: [row: Row] }>()
const store = useDesign()
</script>

<template>
  <ul class="divide-y divide-rule" :aria-label="name">
    <li
      v-for="row in rows"
      :key="row.part.id"
      class="flex items-start gap-3 py-1.5"
      :class="{ 'bg-needle-wash': row.part.id === nowId }"
      :data-candidate="row.part.id"
    >
      <input
        type="checkbox"
        class="mt-1"
        :aria-label="`${row.part.name} side by side`"
        :checked="isTicked(row.part.id)"
        @change="emit('tick', row.part.id)"
      />
      <div class="min-w-0 grow">
        <span class="font-semibold">{{ row.part.name }}</span>
        <slot :row="row" />
      </div>
      <button
        v-if="row.part.id !== nowId"
        class="button"
        :aria-label="`Take ${row.part.name}`"
        :disabled="!!store.preview"
        @click="emit('take', row)"
      >
        Take
      </button>
    </li>
  </ul>
</template>
