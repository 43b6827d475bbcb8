<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import VChart from 'vue-echarts'
import SavePicture from './SavePicture.vue'
import { useTheme } from './theme.ts'

use([LineChart, ScatterChart, GridComponent, SVGRenderer])

/** A chart in the colours of the theme, with its text twin. */
const { option } = defineProps<{
  inWords: string
  /** What it is a chart of: of its file, when it is saved. */
  name: string
  /** Given the theme's colours; called again when the theme turns. */
  option: (colour: (token: string) => string) => Record<string, unknown>
}>()
const { dark } = useTheme()
const chart = useTemplateRef<HTMLElement>('chart')
const fontReady = ref(false)
onMounted(async () => {
  await document.fonts.load('13px "Source Sans 3 Variable"')
  fontReady.value = true
})
const colour = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const now = computed(() => {
  void dark.value
  return option(colour)
})
</script>

<template>
  <div class="relative">
    <div ref="chart" class="h-full" role="img" :aria-label="inWords">
      <VChart v-if="fontReady" :option="now" :update-options="{ notMerge: true }" autoresize />
    </div>
    <SavePicture
      class="absolute! right-0 top-0"
      :drawing="() => chart?.querySelector('svg') ?? null"
      :name="name"
    />
  </div>
</template>
