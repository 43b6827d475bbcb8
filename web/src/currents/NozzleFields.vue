<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { NozzleAim, Stream } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'

/** The end of a return line: the network gives its flow, the keeper turns it. */
const { stream } = defineProps<{ stream: Stream }>()
const currents = useCurrents()
const units = useUnits()
const DEG = 180 / Math.PI
const own = computed(() => currents.scene!.nozzles.find(({ lineId }) => lineId === stream.id))
const aim = computed<NozzleAim>(() => {
  const { x, y, z } = stream.jet.towards
  return (
    own.value ?? {
      lineId: stream.id,
      turnDeg: Math.round(Math.atan2(y, x) * DEG),
      tiltDeg: Math.round(Math.asin(Math.min(1, Math.max(-1, z))) * DEG),
    }
  )
})
function set(change: Partial<NozzleAim>) {
  const others = currents.scene!.nozzles.filter(({ lineId }) => lineId !== stream.id)
  currents.setNozzles([...others, { ...aim.value, ...change }])
}
function asItLeads() {
  const others = currents.scene!.nozzles.filter(({ lineId }) => lineId !== stream.id)
  currents.setNozzles(others)
}
</script>

<template>
  <section :aria-label="`End of ${stream.name}`" class="space-y-2">
    <h3 class="heading">{{ stream.name }}, its end</h3>
    <p>
      The network brings {{ units.text('flow', stream.flowM3PerS) }} here, out at
      {{ units.text('slow-speed', stream.jet.exitSpeedMPerS) }}.
    </p>
    <div class="grid grid-cols-2 gap-x-3">
      <QuantityField
        label="Points to"
        hint="0 right, 90 back"
        :limit="LIMITS.turn"
        :model-value="aim.turnDeg"
        @update:model-value="set({ turnDeg: $event })"
      />
      <QuantityField
        label="Tilted up"
        :limit="LIMITS.tilt"
        :model-value="aim.tiltDeg"
        @update:model-value="set({ tiltDeg: $event })"
      />
    </div>
    <button v-if="own" class="button" @click="asItLeads">As its last piece leads</button>
  </section>
</template>
