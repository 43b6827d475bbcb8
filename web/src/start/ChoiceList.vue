<script setup lang="ts" generic="T extends string">
import { Check } from '@lucide/vue'

/** A few answers, each with an honest sentence; taking one answers the question and goes on. */
defineProps<{
  label: string
  options: readonly { readonly value: T; readonly label: string; readonly about: string }[]
  chosen: T | null
}>()
defineEmits<{ take: [value: T] }>()
</script>

<template>
  <ul class="divide-y divide-rule border-y border-rule" :aria-label="label">
    <li v-for="option in options" :key="option.value">
      <button
        type="button"
        class="flex w-full gap-3 px-2 py-3 text-left hover:bg-sunk"
        :class="{ 'bg-needle-wash': option.value === chosen }"
        :aria-pressed="option.value === chosen"
        @click="$emit('take', option.value)"
      >
        <span class="min-w-0 grow">
          <span class="block font-semibold">{{ option.label }}</span>
          <span class="block text-ink-soft">{{ option.about }}</span>
        </span>
        <Check v-if="option.value === chosen" :size="18" class="flex-none text-needle" />
      </button>
    </li>
  </ul>
</template>
