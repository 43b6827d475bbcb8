<script setup lang="ts">
import type { UnitFamily } from '@yew-basin/core'
import { nextTick, useTemplateRef } from 'vue'
import { useUnits } from './units.ts'

const units = useUnits()
const FAMILIES: readonly { family: UnitFamily; label: string; name: string }[] = [
  { family: 'metric', label: 'L · mm', name: 'Litres and millimetres' },
  { family: 'us', label: 'gal · in', name: 'US gallons and inches' },
]
/** Of two, every arrow leads to the other. */
async function turn() {
  units.family = units.family === 'us' ? 'metric' : 'us'
  await nextTick()
  group.value?.querySelector<HTMLElement>('[aria-checked=true]')?.focus()
}
const group = useTemplateRef<HTMLElement>('group')
</script>

<template>
  <div
    ref="group"
    class="flex rounded-md border border-rule p-0.5"
    role="radiogroup"
    aria-label="Units"
  >
    <button
      v-for="{ family, label, name } in FAMILIES"
      :key="family"
      role="radio"
      :aria-checked="units.family === family"
      :aria-label="name"
      :tabindex="units.family === family ? 0 : -1"
      class="rounded px-2 py-0.5 text-sm"
      :class="units.family === family ? 'bg-needle text-on-needle' : 'text-ink-soft hover:text-ink'"
      @click="units.family = family"
      @keydown.left.prevent="turn"
      @keydown.right.prevent="turn"
      @keydown.up.prevent="turn"
      @keydown.down.prevent="turn"
    >
      {{ label }}
    </button>
  </div>
</template>
