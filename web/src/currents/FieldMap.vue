<script setup lang="ts">
import type { Field } from '@yew-basin/core'
import { onMounted, useTemplateRef, watch } from 'vue'
import { useTheme } from '../shell/theme.ts'
import { useCurrents } from './currents-store.ts'
import { drawMap } from './draw-map.ts'

/** A field's speeds in plan, small: one of several beside each other. */
const { field } = defineProps<{ field: Field }>()
const currents = useCurrents()
const { dark } = useTheme()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
function draw() {
  const { figure, deadMPerS } = currents
  if (canvas.value)
    drawMap(canvas.value, 'plan', currents.cuts.plan, { field, figure, deadMPerS, frame: null })
}
onMounted(draw)
watch(() => [field, currents.cuts.plan, currents.figure, dark.value], draw)
</script>

<template>
  <canvas
    ref="canvas"
    class="w-full border border-rule"
    :style="{ aspectRatio: `${field.grid.waterX} / ${field.grid.waterY}` }"
    aria-hidden="true"
  />
</template>
