<script setup lang="ts">
import type { BasinDesign, SolvedBasin } from '@yew-basin/core'
import { useUnits } from '../shell/units.ts'

/** The section in words, for those who do not see it. */
defineProps<{ design: BasinDesign; solved: SolvedBasin }>()
const units = useUnits()
const ENDS = {
  'above-water': 'in air, over the tank’s water',
  'under-water': 'under the tank’s water',
  'outside-tank': 'outside the tank',
}
</script>

<template>
  <ul class="sr-only" aria-label="The section in words">
    <li>
      The tank is {{ units.text('length', design.tank.lengthM) }} long; its water stands
      {{ units.text('length', solved.tank.surfaceM) }} above the room’s floor,
      {{ units.text('length', solved.tank.freeboardM) }} below the rim.
    </li>
    <li>
      The pump draws from water {{ units.text('length', design.returnSide.sourceLevelM) }} above the
      floor.
    </li>
    <li>
      The run lifts it {{ units.text('head', solved.returnSide.liftM) }} and ends
      {{ units.text('length', solved.returnSide.mouth.zM) }} above the floor,
      {{ ENDS[solved.returnSide.end] }}.
    </li>
    <li>
      {{ units.text('flow', solved.returnSide.flowM3PerS) }} flows; the fastest water runs at
      {{ units.text('speed', solved.returnSide.fastestMPerS) }}.
    </li>
  </ul>
</template>
