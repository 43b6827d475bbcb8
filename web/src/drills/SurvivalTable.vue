<script setup lang="ts">
import { say } from '@yew-basin/core'
import { useUnits } from '../shell/units.ts'
import { useDrills } from './drills-store.ts'

/** What the system survives, by one failure and by two, and what alone brings it down. */
const drills = useDrills()
const units = useUnits()
const MOST_PAIRS = 12
</script>

<template>
  <section aria-labelledby="survives-heading" class="border-t border-rule p-3">
    <h2 id="survives-heading" class="heading">What it survives</h2>
    <template v-if="drills.survival">
      <table class="w-full text-[0.92rem]">
        <thead class="caption">
          <tr>
            <th scope="col" class="text-left font-normal">Failures</th>
            <th scope="col" class="text-right font-normal">dry</th>
            <th scope="col" class="text-right font-normal">watch</th>
            <th scope="col" class="text-right font-normal">floor wet</th>
          </tr>
        </thead>
        <tbody>
          <tr class="border-t border-rule" data-testid="survives-one">
            <th scope="row" class="text-left font-normal">one</th>
            <td class="text-right">{{ drills.survival.single.dry }}</td>
            <td class="text-right">{{ drills.survival.single.watch }}</td>
            <td class="text-right">{{ drills.survival.single.wet }}</td>
          </tr>
          <tr class="border-t border-rule" data-testid="survives-two">
            <th scope="row" class="text-left font-normal">two at once</th>
            <td class="text-right">{{ drills.survival.double.dry }}</td>
            <td class="text-right">{{ drills.survival.double.watch }}</td>
            <td class="text-right">{{ drills.survival.double.wet }}</td>
          </tr>
        </tbody>
      </table>
      <h3 class="mt-2 font-semibold">Single points of failure</h3>
      <ul v-if="drills.survival.points.length > 0" class="list-disc pl-5">
        <li v-for="point in drills.survival.points" :key="point.drillId">
          <strong>{{ units.text('volume', point.spilledM3) }}</strong>
          {{ say(point.title, units.family) }}
        </li>
      </ul>
      <p v-else class="text-ink-soft">None: no one failure wets the floor.</p>
      <template v-if="drills.survival.pairs.length > 0">
        <h3 class="mt-2 font-semibold">Pairs that wet it, though neither does alone</h3>
        <ul class="list-disc pl-5">
          <li v-for="pair in drills.survival.pairs.slice(0, MOST_PAIRS)" :key="pair.drillId">
            <strong>{{ units.text('volume', pair.spilledM3) }}</strong>
            {{ say(pair.title, units.family) }}
          </li>
        </ul>
        <p v-if="drills.survival.pairs.length > MOST_PAIRS" class="caption">
          and {{ drills.survival.pairs.length - MOST_PAIRS }} more.
        </p>
      </template>
    </template>
    <template v-else>
      <p class="text-ink-soft">Every failure by itself, and every two at once.</p>
      <button
        class="button mt-1"
        :disabled="drills.stale || !!drills.progress || drills.verdicts.length === 0"
        @click="drills.simulatePairs()"
      >
        Simulate the pairs
      </button>
    </template>
  </section>
</template>
