<script setup lang="ts">
import type { QuotaName, Usage } from '@yew-basin/contract'
import { computed } from 'vue'

/** How much this shelf holds of what it may hold. */
const { usage } = defineProps<{ usage: Usage }>()

const LABELS: Record<QuotaName, string> = {
  basins: 'Basins',
  designs: 'Designs',
  parts: 'Parts of your own',
  fields: 'Fields of currents',
  bytes: 'In all, with earlier states and the bin',
}
const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e8 ? 1 : 0)} MB`
const rows = computed(() =>
  (Object.keys(LABELS) as QuotaName[]).map((name) => {
    const { used, most } = usage[name]
    const shown = name === 'bytes' ? megabytes : String
    return { name, label: LABELS[name], used, most, text: `${shown(used)} of ${shown(most)}` }
  }),
)
</script>

<template>
  <section aria-labelledby="room-heading">
    <h2 id="room-heading" class="text-xl font-semibold">Room on the shelf</h2>
    <dl class="mt-3 grid max-w-xl grid-cols-[1fr_auto] gap-x-6 gap-y-2">
      <template v-for="{ name, label, used, most, text } in rows" :key="name">
        <dt>
          {{ label }}
          <meter class="mt-0.5 block h-1.5 w-full" :value="used" :max="most" :high="most * 0.9">
            {{ text }}
          </meter>
        </dt>
        <dd class="self-end text-right font-semibold">{{ text }}</dd>
      </template>
    </dl>
  </section>
</template>
