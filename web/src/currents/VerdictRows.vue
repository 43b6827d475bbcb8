<script setup lang="ts">
import { LIFT_M_PER_S } from '@yew-basin/core'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import { SURFACE_SAYS, whereWords, ZONE_NAMES } from './currents-words.ts'

/** How the zones fare in the field that was simulated. */
const currents = useCurrents()
/** Less is no whole point. */
const LEAST_WANDER = 0.005
const units = useUnits()
const points = (of: number) => {
  const n = Math.round(100 * of)
  return n === 1 ? 'one point' : `${n} points`
}
const share = (of: number) => `${Math.round(100 * of)} %`
</script>

<template>
  <section v-if="currents.verdict" aria-labelledby="verdict-head" data-testid="verdict">
    <h3 id="verdict-head" class="heading mb-1">What it says</h3>
    <table class="w-full text-[0.93rem]">
      <thead>
        <tr class="caption text-left">
          <th scope="col" class="font-normal">Face of</th>
          <th scope="col" class="text-right font-normal">as wanted</th>
          <th scope="col" class="text-right font-normal">too slow</th>
          <th scope="col" class="text-right font-normal">too fast</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="zone in currents.verdict.zones"
          :key="zone.zone"
          class="border-t border-rule"
          :data-zone="zone.zone"
        >
          <th scope="row" class="py-1 text-left font-normal">{{ ZONE_NAMES[zone.zone] }}</th>
          <td class="text-right font-semibold">{{ share(zone.inside) }}</td>
          <td class="text-right">{{ share(zone.tooSlow) }}</td>
          <td class="text-right">{{ share(zone.tooFast) }}</td>
        </tr>
      </tbody>
    </table>
    <dl class="mt-2 grid grid-cols-[1fr_auto] gap-x-3 text-[0.93rem]">
      <dt>Dead water, under {{ units.text('slow-speed', currents.deadMPerS) }}</dt>
      <dd class="text-right font-semibold" data-testid="dead">
        {{ share(currents.verdict.deadShare) }}
      </dd>
      <template v-for="(spot, i) in currents.verdict.deadSpots.slice(0, 3)" :key="i">
        <dt class="caption pl-3">{{ whereWords(spot.at, currents.domain!) }}</dt>
        <dd class="caption text-right">{{ units.text('volume', spot.volumeM3) }}</dd>
      </template>
      <dt>Sand that lifts, past {{ units.text('slow-speed', LIFT_M_PER_S) }}</dt>
      <dd class="text-right font-semibold">
        {{ units.text('area', currents.verdict.liftAreaM2) }}
      </dd>
      <template v-for="(spot, i) in currents.verdict.liftSpots.slice(0, 3)" :key="`lift ${i}`">
        <dt class="caption pl-3">
          {{ whereWords(spot.at, currents.domain!) }}, up to
          {{ units.text('slow-speed', spot.mostMPerS) }}
        </dt>
        <dd class="caption text-right">{{ units.text('area', spot.areaM2) }}</dd>
      </template>
      <dt>At the surface: {{ SURFACE_SAYS[currents.verdict.surfaceSays] }}</dt>
      <dd class="text-right font-semibold" data-testid="surface">
        {{ units.text('slow-speed', currents.verdict.surfaceMPerS) }}
      </dd>
      <template v-if="currents.verdict.bareFloor">
        <dt>Bare floor where waste settles</dt>
        <dd class="text-right font-semibold" data-testid="settles">
          {{ share(currents.verdict.bareFloor.settlesShare) }}
        </dd>
        <template
          v-for="(spot, i) in currents.verdict.bareFloor.spots.slice(0, 3)"
          :key="`settles ${i}`"
        >
          <dt class="caption pl-3">{{ whereWords(spot.at, currents.domain!) }}</dt>
          <dd class="caption text-right">{{ units.text('area', spot.areaM2) }}</dd>
        </template>
      </template>
      <dt>All of the water, mean</dt>
      <dd class="text-right font-semibold">
        {{ units.text('slow-speed', currents.verdict.meanMPerS) }}
      </dd>
      <template v-if="currents.turnoverPerH !== null">
        <dt>Rule of thumb: pumps’ flow over the water</dt>
        <dd class="text-right">{{ units.text('turnover', currents.turnoverPerH) }}</dd>
      </template>
    </dl>
    <p
      v-if="currents.apart && !currents.apartIsOfWanted"
      class="mt-1 rounded-md bg-resin-wash px-2 py-1 text-[0.93rem]"
      data-testid="grids-apart"
    >
      <strong class="font-semibold text-resin">Watch:</strong>
      What is wanted was changed since: simulate the field again to know how well these shares are
      known.
    </p>
    <p
      v-else-if="currents.apart"
      class="mt-1 text-[0.93rem]"
      :class="{ 'rounded-md bg-resin-wash px-2 py-1': !currents.apart.isClose }"
      data-testid="grids-apart"
    >
      <strong v-if="!currents.apart.isClose" class="font-semibold text-resin">Watch:</strong>
      The same on coarser cubes differs by up to {{ points(currents.apart.share) }} in these shares,
      by {{ share(currents.apart.mean) }} in the mean speed{{
        currents.apart.isClose ? '.' : ': take the shares no finer than that.'
      }}
      <template v-if="currents.apart.wander >= LEAST_WANDER">
        The water wanders: by what one half of the watch and the other have, shares are known to
        about {{ points(currents.apart.wander) }}.
      </template>
    </p>
    <p class="caption mt-1">
      Watched for {{ units.text('duration', currents.field!.watchedS) }} after
      {{ units.text('duration', currents.field!.ranS - currents.field!.watchedS) }} of settling.
      <template v-if="currents.field!.fineness !== 'coarse'">
        It began with the water of coarser ones, which had gone round for longer.
      </template>
      <template v-else>
        A coarse field is a look, soon after the pumps start: simulate a standard one before you
        build on its shares.
      </template>
      <template v-if="currents.field!.patternPace > 1.01">
        Its patterns ran {{ currents.field!.patternPace.toFixed(1) }} times as fast as set, so that
        a whole turn was seen.
      </template>
    </p>
  </section>
</template>
