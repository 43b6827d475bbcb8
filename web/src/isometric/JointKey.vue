<script setup lang="ts">
import type { building } from '@yew-basin/core'
import { computed } from 'vue'
import { JOINT_SIGNS } from './sign-shapes.ts'

/** What the signs of joints in an isometric mean; of those that are there. */
const { drawing } = defineProps<{ drawing: building.Isometric }>()
const kinds = computed(() =>
  [...new Set(drawing.joints.map(({ kind }) => kind))]
    .map((kind) => JOINT_SIGNS[kind])
    .filter(({ strokes }) => strokes.length > 0),
)
</script>

<template>
  <ul class="caption flex flex-wrap gap-x-4 gap-y-1" aria-label="Signs of joints">
    <li v-for="kind in kinds" :key="kind.words" class="flex items-center gap-1">
      <svg width="30" height="16" aria-hidden="true">
        <g transform="translate(15 8)" fill="none">
          <path d="M-15 0H15" stroke="var(--ink)" stroke-width="2.4" />
          <path
            v-for="(stroke, i) in kind.strokes"
            :key="i"
            :d="stroke.d"
            stroke="var(--ink)"
            :stroke-width="stroke.width"
            :fill="stroke.fill === 'ink' ? 'var(--ink)' : 'var(--sheet)'"
          />
        </g>
      </svg>
      {{ kind.words }}
    </li>
  </ul>
</template>
