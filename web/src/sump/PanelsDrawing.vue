<script setup lang="ts">
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { layPanels, outlineOf, PANEL_PARTS, type PanelToCut } from './cut-drawing.ts'

/** Panels to cut, side by side, with their sizes. */
const { panels, label } = defineProps<{ panels: readonly PanelToCut[]; label: string }>()
const units = useUnits()
const laid = computed(() => layPanels(panels))
const sheet = computed(() => {
  const last = laid.value.at(-1)!
  const high = Math.max(...laid.value.map(({ height }) => height))
  return { width: last.x + last.width, height: high }
})
/** In two lines where a fraction makes it long. */
function sizeOf({ widthM, heightM }: PanelToCut): string[] {
  const [wide, high] = [widthM, heightM].map((m) => units.cut(m, PANEL_PARTS, false))
  return units.family === 'us' ? [`${wide} ×`, high!] : [`${wide} × ${high}`]
}
const points = (index: number) =>
  outlineOf(laid.value[index]!)
    .map(([x, y]) => `${x},${sheet.value.height - y}`)
    .join(' ')
</script>

<template>
  <div
    class="mt-1 overflow-x-auto rounded-lg border border-rule bg-sheet p-2"
    tabindex="0"
    role="region"
    :aria-label="`${label}, drawn`"
  >
    <svg
      xmlns="http://www.w3.org/2000/svg"
      role="img"
      :aria-label="`${label}, side by side, with their sizes`"
      :viewBox="`-20 -20 ${sheet.width + 40} ${sheet.height + 90}`"
      class="h-44 max-w-none"
      font-family="sans-serif"
    >
      <g v-for="(piece, i) in laid" :key="piece.panel.label">
        <polygon :points="points(i)" fill="none" stroke="currentColor" stroke-width="1.5" />
        <circle
          v-for="(hole, k) in piece.holes"
          :key="k"
          :cx="hole.x"
          :cy="sheet.height - hole.y"
          :r="hole.r"
          fill="none"
          stroke="currentColor"
          stroke-width="1.5"
        />
        <text
          :x="piece.x + piece.width / 2"
          :y="sheet.height - (piece.holes.length > 0 ? piece.height - 26 : piece.height / 2)"
          text-anchor="middle"
          font-size="22"
          fill="currentColor"
        >
          {{ piece.panel.label.replace('wall ', '') }}
        </text>
        <text
          :x="piece.x + piece.width / 2"
          :y="sheet.height + 30"
          text-anchor="middle"
          font-size="20"
          fill="currentColor"
        >
          <tspan
            v-for="(line, k) in sizeOf(piece.panel)"
            :key="k"
            :x="piece.x + piece.width / 2"
            :dy="k * 24"
          >
            {{ line }}
          </tspan>
        </text>
      </g>
    </svg>
  </div>
</template>
