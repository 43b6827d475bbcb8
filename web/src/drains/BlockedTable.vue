<script setup lang="ts">
import { say, type Solved } from '@yew-basin/core'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'

/** What happens with each pipe blocked. */
defineProps<{ solved: Solved<'overflow'> }>()
const units = useUnits()

const leftText = (leftM: number | null) => (leftM === null ? 'spills' : units.text('length', leftM))
</script>

<template>
  <table v-if="solved.blocked.length > 0" class="w-full text-[0.92rem]">
    <caption class="heading mb-1 text-left">
      With this pipe blocked
    </caption>
    <thead class="caption border-b border-rule text-left">
      <tr>
        <th scope="col" class="font-normal">Blocked</th>
        <th scope="col" class="pl-2 text-right font-normal">Left to a rim</th>
        <th scope="col" class="pl-2 text-right font-normal">Box stands at</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in solved.blocked" :key="row.name" class="border-b border-rule align-top">
        <th scope="row" class="py-1 text-left font-normal">
          <StateMark class="mr-1 inline-block align-[-2px]" :state="row.verdict" :size="13" />
          {{ row.name }}
          <span class="caption block">
            <template v-if="row.drilled">{{ say(row.drilled.said, units.family) }}</template>
            <template v-else>{{
              row.carries ? 'still carries it all' : 'can’t carry it'
            }}</template>
            <template v-if="row.carries && row.leansOnId">{{
              row.drilled
                ? ' It leans on an emergency that must be tried.'
                : ', by an emergency to be tried'
            }}</template>
            <template v-if="row.sensorStops">{{
              row.drilled
                ? ' The sensor stops the pump, if it works.'
                : '; the sensor stops the pump, if it works'
            }}</template>
          </span>
        </th>
        <td class="whitespace-nowrap py-1 pl-2 text-right font-semibold">
          {{ leftText(row.leftM) }}
        </td>
        <td class="whitespace-nowrap py-1 pl-2 text-right">
          {{ units.text('length', row.boxM ?? NaN) }}
        </td>
      </tr>
    </tbody>
  </table>
</template>
