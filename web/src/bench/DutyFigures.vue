<script setup lang="ts">
import { computed } from 'vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import FigureRow from './FigureRow.vue'
import WhatMatters from './WhatMatters.vue'

const store = useDesign()
const units = useUnits()
const side = computed(() => store.solvedLine)
const endsInTank = computed(() => store.line?.end.at === 'tank')
const endTank = computed(() =>
  store.solved?.tanks.find(({ tankId }) => tankId === store.line?.end.id),
)

/** The head split into its three parts, as shares of the whole. */
const split = computed(() => {
  const now = side.value
  if (!now || now.status !== 'flows' || now.pump.headM <= 0) return []
  return [
    { name: 'lift', headM: now.liftM, colour: 'var(--water-ink)' },
    { name: 'friction', headM: now.frictionM, colour: 'var(--lichen-mark)' },
    { name: 'fittings', headM: now.fittingsM, colour: 'var(--resin-mark)' },
  ].filter((part) => part.headM > 0)
})
</script>

<template>
  <section v-if="side" aria-label="Figures" class="mt-2">
    <div
      v-if="split.length > 0"
      class="mb-2"
      role="img"
      :aria-label="`Duty head: ${split.map((part) => `${part.name} ${units.text('head', part.headM)}`).join(', ')}`"
    >
      <div class="flex h-2.5 gap-0.5 overflow-hidden rounded-full">
        <span
          v-for="part in split"
          :key="part.name"
          class="h-full"
          :style="{ flexGrow: (part.headM / side.pump.headM) * 100, background: part.colour }"
        />
      </div>
      <p class="caption mt-1 flex flex-wrap gap-x-3">
        <span v-for="part in split" :key="part.name" class="flex items-center gap-1">
          <span class="size-2 rounded-full" :style="{ background: part.colour }" /> {{ part.name }}
        </span>
      </p>
    </div>
    <FigureRow
      figure="flow"
      :label="endsInTank ? 'Flow at the tank' : 'Flow at its end'"
      :mark="side.pump.twoNumberCurve ? 'two-number curve' : undefined"
      :value="{ quantity: 'flow', si: side.flowM3PerS }"
      :band="side.flowBandM3PerS"
    >
      <WhatMatters :line-id="side.lineId" />
    </FigureRow>
    <FigureRow
      v-if="endTank"
      figure="turnover"
      label="Turnover"
      :tank-id="endTank.tankId"
      :value="{ quantity: 'turnover', si: endTank.turnoverPerH ?? NaN }"
      :band="endTank.turnoverBandPerH"
    />
    <FigureRow
      figure="head"
      label="Duty head"
      :value="{ quantity: 'head', si: side.pump.headM }"
      :band="side.pump.headBandM"
    />
    <FigureRow figure="lift" label="Static lift" :value="{ quantity: 'head', si: side.liftM }" />
    <FigureRow
      figure="friction"
      label="Friction in the pipe"
      :value="{ quantity: 'head', si: side.frictionM }"
      :band="side.frictionBandM"
    />
    <FigureRow
      figure="fittings"
      label="Fittings and exit"
      :value="{ quantity: 'head', si: side.fittingsM }"
      :band="side.fittingsBandM"
    />
    <FigureRow
      figure="fastest"
      label="Fastest water"
      :value="{ quantity: 'speed', si: side.fastestMPerS }"
      :band="side.fastestBandMPerS"
    />
    <FigureRow
      figure="wirePower"
      label="Pump power"
      :mark="side.pump.powerIsScaled ? 'scaled' : undefined"
      :value="{ quantity: 'power', si: side.pump.wirePowerW }"
      :band="side.pump.wirePowerBandW"
    />
    <FigureRow
      figure="wireToWater"
      label="Wire to water"
      :value="{ quantity: 'share', si: side.pump.wireToWater }"
    />
    <FigureRow
      figure="leastSpeed"
      label="Least speed to lift"
      :value="{ quantity: 'share', si: side.leastSpeedToLift }"
      :band="side.leastSpeedBand"
    />
  </section>
</template>
