<script setup lang="ts">
import type { Solved } from '@yew-basin/core'
import { computed } from 'vue'
import FigureRow from '../bench/FigureRow.vue'
import { useUnits } from '../shell/units.ts'

/** What heaters have to do in the coldest and the warmest room, and what happens when one fails. */
const { heat } = defineProps<{ heat: Solved<'heat'> }>()
const units = useUnits()
const DAY_S = 86_400
const HOUR_S = 3600
const rooms = computed(() => [heat.coldest, heat.warmest])
type Room = Solved<'heat'>['coldest']
const rows: readonly (readonly [string, (room: Room) => string])[] = [
  [
    'Heat wanted by night',
    ({ wantedW, wantedBandW }) =>
      `${units.text('power', wantedW, wantedBandW)} ± ${units.band({ quantity: 'power', si: wantedW }, wantedBandW)}`,
  ],
  [
    'Heaters on, a day',
    ({ hoursPerDay, enough }) => {
      if (hoursPerDay !== null) return units.text('hours', hoursPerDay * HOUR_S)
      return enough === 'no' ? 'not enough' : 'none'
    },
  ],
  [
    'Energy a month',
    ({ energyPerMonthJ, energyPerMonthBandJ }) =>
      units.text('energy', energyPerMonthJ, energyPerMonthBandJ),
  ],
  [
    'Evaporates a day',
    ({ evaporationM3PerS }) => units.text('volume', Math.max(0, evaporationM3PerS) * DAY_S),
  ],
]
const time = (untilS: number | null) => (untilS === null ? 'never' : units.text('hours', untilS))
</script>

<template>
  <div>
    <FigureRow
      figure="heater"
      label="Heat wanted in the coldest room"
      :value="{ quantity: 'power', si: heat.coldest.wantedW }"
      :band="heat.coldest.wantedBandW"
    />
    <table class="w-full text-[0.92rem]">
      <thead>
        <tr class="caption">
          <th class="text-left font-normal">In a room of</th>
          <th v-for="(room, i) in rooms" :key="i" class="text-right font-normal">
            {{ units.text('temperature', room.roomC) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row[0]">
          <th class="py-0.5 text-left font-normal text-ink-soft">{{ row[0] }}</th>
          <td v-for="(room, i) in rooms" :key="i" class="whitespace-nowrap py-0.5 pl-2 text-right">
            {{ row[1](room) }}
          </td>
        </tr>
      </tbody>
    </table>
    <dl class="facts pl-0!">
      <dt>{{ heat.heaters === 1 ? 'One heater' : `${heat.heaters} heaters` }}, in all</dt>
      <dd>{{ units.text('power', heat.heatersW) }}</dd>
      <template v-if="heat.coldest.eachOfTwoW !== null">
        <dt>of two, each at least</dt>
        <dd>{{ units.text('power', heat.coldest.eachOfTwoW, heat.coldest.wantedBandW) }}</dd>
      </template>
      <template v-if="heat.stuckOn">
        <dt>
          The strongest stuck on: too warm ({{ units.text('temperature', heat.tooWarmC) }}) after
        </dt>
        <dd>{{ time(heat.stuckOn.untilS) }}</dd>
      </template>
      <dt>
        {{ heat.heaters > 1 ? 'The strongest off' : 'Nothing heats' }}: too cold ({{
          units.text('temperature', heat.tooColdC)
        }}) after
      </dt>
      <dd>{{ time(heat.off.untilS) }}</dd>
      <template v-if="heat.coolingW > 0">
        <dt>A chiller has to take out, warmest room, lights on</dt>
        <dd>{{ units.text('power', heat.coolingW, heat.warmest.wantedBandW) }}</dd>
      </template>
      <template v-if="heat.levelsOffC !== null">
        <dt>Without one it levels off at</dt>
        <dd>{{ units.text('temperature', heat.levelsOffC) }}</dd>
      </template>
      <dt>Salt creeps, a day without top-off</dt>
      <dd>{{ units.text('salinity', heat.creepPptPerDay) }}</dd>
    </dl>
  </div>
</template>
