<script setup lang="ts">
import { judgeField, shareMoved } from '@yew-basin/core'
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import SideBySide from '../treatment/SideBySide.vue'
import { useCurrents } from './currents-store.ts'
import { SURFACE_SAYS, ZONE_NAMES } from './currents-words.ts'
import FieldMap from './FieldMap.vue'

/** The present field and kept ones beside each other, all judged by what is wanted now. */
const currents = useCurrents()
const units = useUnits()
const columns = computed(() => {
  const now = { id: 'now', name: 'Now', field: currents.field! }
  const others = currents.kept.beside.map(({ name, field }) => ({
    id: `kept ${name}`,
    name,
    field,
  }))
  return [now, ...others].map((column) => ({
    ...column,
    verdict: judgeField(column.field, currents.domain!),
  }))
})
const share = (of: number | undefined) => (of === undefined ? 'none' : `${Math.round(100 * of)} %`)
const rows = computed(() => {
  const zones = new Set(
    columns.value.flatMap(({ verdict }) => verdict.zones.map(({ zone }) => zone)),
  )
  const row = (label: string, of: (column: (typeof columns.value)[number]) => string) => ({
    label,
    values: columns.value.map(of),
  })
  return [
    row('How fine', ({ field }) => field.fineness),
    ...[...zones].map((zone) =>
      row(`${ZONE_NAMES[zone]}, as wanted`, ({ verdict }) =>
        share(verdict.zones.find((own) => own.zone === zone)?.inside),
      ),
    ),
    row(zones.size > 0 ? 'All faces, as wanted' : 'Water that moves', ({ verdict }) =>
      share(shareMoved(verdict)),
    ),
    row('Dead water', ({ verdict }) => share(verdict.deadShare)),
    row('Sand that lifts', ({ verdict }) => units.text('area', verdict.liftAreaM2)),
    row(
      'At the surface',
      ({ verdict }) =>
        `${units.text('slow-speed', verdict.surfaceMPerS)}, ${SURFACE_SAYS[verdict.surfaceSays]}`,
    ),
    row('All of the water, mean', ({ verdict }) => units.text('slow-speed', verdict.meanMPerS)),
  ]
})
</script>

<template>
  <div class="space-y-2">
    <SideBySide name="Fields side by side" :columns="columns" :rows="rows" />
    <figure v-for="column in columns" :key="column.id">
      <FieldMap :field="column.field" />
      <figcaption class="caption">
        {{ column.name }}, plan at {{ units.text('length', currents.cuts.plan) }}
      </figcaption>
    </figure>
  </div>
</template>
