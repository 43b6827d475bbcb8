<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useUnits } from '../shell/units.ts'
import { curveChart } from './curve-chart.ts'
import { type ColumnRole, type CurveRow, readCurveCsv, unitsOf } from './curve-csv.ts'

const PlainChart = defineAsyncComponent(() => import('../shell/PlainChart.vue'))

/** A file of figures without a header: what each column is, and the curve that comes of it. */
const { text, sample, roles } = defineProps<{
  text: string
  sample: readonly (readonly string[])[]
  roles: readonly ColumnRole[]
}>()
const emit = defineEmits<{ taken: [rows: readonly CurveRow[]]; left: [] }>()
const units = useUnits()

const OPTIONS = (['flow', 'head', 'power'] as const).flatMap((name) =>
  unitsOf(name).map((unit) => ({ key: `${name} ${unit.label}`, role: { name, unit } })),
)
const keyOf = (role: ColumnRole) => (role ? `${role.name} ${role.unit.label}` : '')
const chosen = ref(roles.map(keyOf))
const read = computed(() =>
  readCurveCsv(
    text,
    chosen.value.map((key) => OPTIONS.find((option) => option.key === key)?.role ?? null),
  ),
)
const points = computed(() => (read.value.ok ? read.value.rows : []))
const faults = computed(() => (read.value.ok ? [] : read.value.faults))
const inWords = computed(() => {
  const last = points.value.at(-1)
  return last
    ? `The curve as these columns give it: ${units.text('head', last.headM)} at ${units.text('flow', last.flowM3PerS)} at its end.`
    : ''
})
</script>

<template>
  <section aria-label="Which column is which" class="mt-2 rounded-lg bg-sunk px-3 py-2.5">
    <p class="font-semibold">Which column is which?</p>
    <p class="caption">The file has no line that names its columns. This is how it begins.</p>
    <div class="mt-2 overflow-x-auto" tabindex="0" role="region" aria-label="The file’s columns">
      <table class="w-full text-[0.9rem]">
        <thead>
          <tr>
            <th v-for="(_, at) in chosen" :key="at" scope="col" class="pr-2 text-left font-normal">
              <select v-model="chosen[at]" class="box" :aria-label="`Column ${at + 1}`">
                <option value="">not wanted</option>
                <option v-for="option in OPTIONS" :key="option.key" :value="option.key">
                  {{ option.key }}
                </option>
              </select>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(cells, i) in sample" :key="i">
            <td v-for="(_, at) in chosen" :key="at" class="pr-2 tabular-nums">{{ cells[at] }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <PlainChart
      v-if="points.length > 0"
      name="columns as a curve"
      class="mt-2 h-40 w-full"
      :in-words="inWords"
      :option="(colour) => curveChart(points, points, units.family, colour)"
    />
    <ul v-else class="mt-1 text-aril" role="alert">
      <li v-for="fault in faults" :key="fault">{{ fault }}</li>
    </ul>
    <div class="mt-2 flex gap-2">
      <button v-if="points.length > 0" class="button button-main" @click="emit('taken', points)">
        Take this curve
      </button>
      <button class="button" @click="emit('left')">Leave it</button>
    </div>
  </section>
</template>
