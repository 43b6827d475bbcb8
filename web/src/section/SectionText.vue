<script setup lang="ts">
import type { BasinDesign, SolvedBasin } from '@yew-basin/core'
import { useUnits } from '../shell/units.ts'

/** The section in words, for those who do not see it. */
const { design } = defineProps<{ design: BasinDesign; solved: SolvedBasin }>()
const units = useUnits()
const ENDS = {
  'above-water': 'in air',
  'under-water': 'under water',
  'outside-tank': 'outside the tank',
  tee: 'in a tee of another line',
  cap: 'in a cap',
}
const lineOf = (id: string) => design.returnSide.lines.find((line) => line.id === id)!
const chamberOf = (id: string) => design.sump.chambers.find((chamber) => chamber.id === id)!
</script>

<template>
  <ul class="sr-only" aria-label="The section in words">
    <li v-for="(tank, i) in design.tanks" :key="tank.id">
      {{ design.tanks.length > 1 ? tank.name : 'The tank' }} is
      {{ units.text('length', tank.lengthM) }} long; its water stands
      {{ units.text('length', solved.tanks[i]!.surfaceM) }} above the room’s floor,
      {{ units.text('length', solved.tanks[i]!.freeboardM) }} below the rim, and
      {{ units.text('flow', solved.tanks[i]!.flowM3PerS, solved.tanks[i]!.flowBandM3PerS) }} reaches
      it.
    </li>
    <li v-for="placed in design.returnSide.pumps" :key="placed.id">
      {{ design.returnSide.pumps.length > 1 ? `The pump ${placed.id}` : 'The pump' }} draws from
      water {{ units.text('length', chamberOf(placed.chamberId).levelM) }} above the floor.
    </li>
    <li v-for="line in solved.returnSide.lines" :key="line.lineId">
      {{ solved.returnSide.lines.length > 1 ? lineOf(line.lineId).name : 'The run' }} lifts it
      {{ units.text('head', line.liftM) }} and ends {{ units.text('length', line.mouth.zM) }} above
      the floor, {{ ENDS[line.end] }}.
      {{ units.text('flow', line.flowM3PerS, line.flowBandM3PerS) }} flows; the fastest water runs
      at {{ units.text('speed', line.fastestMPerS) }}.
    </li>
    <li v-for="overflow in solved.overflows" :key="`o${overflow.tankId}`">
      {{ units.text('length', overflow.headM, overflow.headBandM) }} of water over the rim<template
        v-if="overflow.boxM !== null"
        >; the box stands at {{ units.text('length', overflow.boxM, overflow.boxBandM) }} over the
        floor</template
      >.
    </li>
    <li v-for="(drain, i) in solved.drains" :key="drain.drainId">
      {{ design.drains[i]!.name }}:
      {{ units.text('flow', drain.flowM3PerS, drain.flowBandM3PerS) }}, {{ drain.state }}.
    </li>
    <template v-if="solved.sump.outage">
      <li v-for="(chamber, i) in solved.sump.chambers" :key="chamber.chamberId">
        {{ design.sump.chambers[i]!.name }}:
        {{ units.text('length', chamber.depthM ?? NaN, chamber.levelBandM) }} deep,
        {{ units.text('flow', chamber.throughM3PerS, chamber.throughBandM3PerS) }} through it.
      </li>
      <li>
        A power cut brings {{ units.text('volume', solved.sump.outage.drainBack.totalM3) }} and
        <template v-if="solved.sump.outage.leftM === null">spills.</template>
        <template v-else>
          leaves {{ units.text('length', solved.sump.outage.leftM) }} to the sump’s rim.
        </template>
      </li>
    </template>
  </ul>
</template>
