<script setup lang="ts">
import { Download, Plus, ScanLine, Trash2, Upload } from '@lucide/vue'
import { curveFaults } from '@yew-basin/contract/curve'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { pumpCurve, pumpPoints, type CurvePoint, type PumpPart } from '@yew-basin/core'
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import OwnFigure from '../run/OwnFigure.vue'
import { useUnits } from '../shell/units.ts'
import BoxNumbers from './BoxNumbers.vue'
import { curveChart } from './curve-chart.ts'
import PumpSizeFields from './PumpSizeFields.vue'
import { litresAnHour } from './part-words.ts'
import { type ColumnRole, type CurveRow, readCurveCsv, writeCurveCsv } from './curve-csv.ts'

const PlainChart = defineAsyncComponent(() => import('../shell/PlainChart.vue'))
const ColumnsAsked = defineAsyncComponent(() => import('./ColumnsAsked.vue'))
const CurveTrace = defineAsyncComponent(() => import('./CurveTrace.vue'))

/** A pump's figures; its curve is typed, brought in from a file, or traced from a picture. */
const model = defineModel<PumpPart>({ required: true })
const units = useUnits()
const give = (change: Partial<PumpPart>) => {
  model.value = { ...model.value, ...change }
}
const text = (event: Event) => (event.target as HTMLSelectElement).value

const faults = computed(() => curveFaults(model.value))
const fileFaults = ref<readonly string[]>([])
/** A file that does not say which column is which. */
const asked = ref<{
  text: string
  sample: readonly (readonly string[])[]
  roles: readonly ColumnRole[]
} | null>(null)
const tracing = ref(false)
/** The keeper asked for the curve's own fields; a pump that has points has them anyway. */
const curveWanted = ref(false)
const hasCurve = computed(() => model.value.curve.length > 0)
const picker = useTemplateRef<HTMLInputElement>('picker')

function setControl(control: string) {
  give({
    control: control as PumpPart['control'],
    leastSpeed: control === 'fixed-speed' ? 1 : Math.min(0.3, model.value.leastSpeed),
  })
}
function setPoint(i: number, change: Partial<CurvePoint>) {
  give({ curve: model.value.curve.map((point, j) => (j === i ? { ...point, ...change } : point)) })
}
/** A point between the last two, so that the curve still falls; the first two are the ends that the box has. */
function addPoint() {
  const { curve, shutOffHeadM, maxFlowM3PerS } = model.value
  const last = curve.at(-1)
  const before = curve.at(-2)
  if (!last || !before) {
    const ends = [
      { flowM3PerS: 0, headM: shutOffHeadM ?? 2 },
      { flowM3PerS: maxFlowM3PerS ?? litresAnHour(1000), headM: 0 },
    ]
    give({ curve: ends })
    return
  }
  const point = {
    flowM3PerS: (last.flowM3PerS + before.flowM3PerS) / 2,
    headM: (last.headM + before.headM) / 2,
  }
  give({ curve: [...curve.slice(0, -1), point, last] })
}

async function bringIn(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  const content = await file.text()
  const read = readCurveCsv(content)
  asked.value = !read.ok && 'asks' in read ? { text: content, ...read.asks } : null
  fileFaults.value = read.ok || asked.value ? [] : read.faults
  if (read.ok) takeRows(read.rows)
}
function takeRows(rows: readonly CurveRow[]) {
  asked.value = null
  const powers = rows.filter(({ powerW }) => powerW !== null)
  give({
    curve: rows.map(({ flowM3PerS, headM }) => ({ flowM3PerS, headM })),
    power:
      powers.length >= 2
        ? powers.map(({ flowM3PerS, powerW }) => ({ flowM3PerS, powerW: powerW! }))
        : [],
  })
}
const exportAddress = computed(() => {
  const { curve, power } = model.value
  const rows = curve.map((point) => ({
    ...point,
    powerW: power.find(({ flowM3PerS }) => flowM3PerS === point.flowM3PerS)?.powerW ?? null,
  }))
  return `data:text/csv;charset=utf-8,${encodeURIComponent(writeCurveCsv(rows))}`
})
const drawn = computed(() =>
  faults.value.length === 0 ? pumpPoints(pumpCurve(model.value), 1, 60) : null,
)
function traced(curve: readonly CurvePoint[]) {
  give({ curve })
  tracing.value = false
}
</script>

<template>
  <div class="space-y-3">
    <section aria-labelledby="box-heading">
      <h3 id="box-heading" class="heading">The numbers on its box</h3>
      <BoxNumbers v-if="!hasCurve" :numbers="model" @given="give" />
      <QuantityField
        v-else
        class="max-w-40"
        label="Power"
        :limit="LIMITS.pumpPower"
        :model-value="model.ratedPowerW ?? NaN"
        @update:model-value="give({ ratedPowerW: $event })"
      />
      <p v-if="!hasCurve" class="caption">
        With these alone the curve between is a guess: it is marked as one, and its band is wide.
      </p>
    </section>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <label class="block">
        <span class="caption">Speed</span>
        <select class="box" :value="model.control" @change="setControl(text($event))">
          <option value="fixed-speed">one speed</option>
          <option value="controllable">set by a controller</option>
        </select>
      </label>
      <label class="block">
        <span class="caption">Stands</span>
        <select
          class="box"
          :value="model.mounting"
          @change="give({ mounting: text($event) as PumpPart['mounting'] })"
        >
          <option value="under-water">in the water</option>
          <option value="dry">dry beside it</option>
          <option value="either">either way</option>
        </select>
      </label>
      <QuantityField
        label="Bore of its outlet"
        :limit="LIMITS.bore"
        :model-value="model.outletBoreM"
        @update:model-value="give({ outletBoreM: $event })"
      />
      <QuantityField
        v-if="model.control === 'controllable'"
        label="Lowest speed it holds"
        :limit="LIMITS.speed"
        :model-value="model.leastSpeed"
        @update:model-value="give({ leastSpeed: $event })"
      />
      <div class="space-y-1">
        <OwnFigure
          label="an inlet of another bore"
          field="Bore of its inlet"
          :limit="LIMITS.bore"
          :start="model.outletBoreM"
          :model-value="model.inletBoreM"
          @update:model-value="give({ inletBoreM: $event })"
        />
        <OwnFigure
          label="its maker says the least water over it"
          field="Least water over the inlet"
          :limit="LIMITS.leastDepth"
          :start="0.1"
          :model-value="model.leastDepthM"
          @update:model-value="give({ leastDepthM: $event })"
        />
        <OwnFigure
          label="a price class, 1 to 5"
          field="Price class"
          :limit="LIMITS.priceClass"
          :start="3"
          :model-value="model.priceClass"
          @update:model-value="give({ priceClass: $event })"
        />
        <PumpSizeFields
          :model-value="model.size ?? null"
          @update:model-value="give({ size: $event })"
        />
      </div>
    </div>

    <button v-if="!hasCurve && !curveWanted" class="button" @click="curveWanted = true">
      I have its curve
    </button>
    <section v-else aria-labelledby="curve-heading">
      <div class="flex flex-wrap items-center gap-2">
        <h3 id="curve-heading" class="heading grow">Its curve at full speed</h3>
        <button class="button" @click="picker?.click()"><Upload :size="15" /> Read a CSV</button>
        <input
          ref="picker"
          type="file"
          accept=".csv,text/csv,text/plain"
          class="hidden"
          aria-label="Curve from a CSV file"
          @change="bringIn"
        />
        <a
          v-if="model.curve.length > 0"
          class="button"
          :href="exportAddress"
          :download="`${model.name || 'curve'}.csv`"
          ><Download :size="15" /> Save as CSV</a
        >
        <button class="button" @click="tracing = !tracing">
          <ScanLine :size="15" /> {{ tracing ? 'Stop tracing' : 'Trace a picture' }}
        </button>
      </div>
      <ul v-if="fileFaults.length > 0" class="mt-1 text-aril" role="alert">
        <li class="font-semibold">Nothing was brought in.</li>
        <li v-for="fault in fileFaults" :key="fault">{{ fault }}</li>
      </ul>
      <ColumnsAsked
        v-if="asked"
        :key="asked.text"
        v-bind="asked"
        @taken="takeRows"
        @left="asked = null"
      />
      <CurveTrace v-if="tracing" class="mt-2" @traced="traced" />
      <template v-else>
        <PlainChart
          v-if="drawn"
          name="pump curve"
          class="h-52 w-full"
          :in-words="`The curve falls from ${units.text('head', drawn[0]!.headM)} to nothing at ${units.text('flow', drawn.at(-1)!.flowM3PerS)}.`"
          :option="(colour) => curveChart(drawn!, model.curve, units.family, colour)"
        />
        <ul v-if="hasCurve && faults.length > 0" class="text-aril" role="alert">
          <li v-for="fault in faults" :key="fault">{{ fault }}</li>
        </ul>
        <p v-if="!hasCurve" class="caption">
          Type its points, bring in a file, or trace a picture of it.
        </p>
        <ol class="space-y-1" aria-label="Points of the curve">
          <li v-for="(point, i) in model.curve" :key="i" class="flex items-start gap-2">
            <QuantityField
              class="grow"
              :label="`Flow of point ${i + 1}`"
              hide-label
              :limit="LIMITS.pumpFlow"
              :model-value="point.flowM3PerS"
              @update:model-value="setPoint(i, { flowM3PerS: $event })"
            />
            <QuantityField
              class="grow"
              :label="`Head of point ${i + 1}`"
              hide-label
              :limit="LIMITS.pumpHead"
              :model-value="point.headM"
              @update:model-value="setPoint(i, { headM: $event })"
            />
            <button
              class="icon-button size-8!"
              :aria-label="`Take out point ${i + 1}`"
              @click="give({ curve: model.curve.filter((_, j) => j !== i) })"
            >
              <Trash2 :size="15" />
            </button>
          </li>
        </ol>
        <button
          class="button mt-1"
          :disabled="model.curve.length >= COUNTS.curvePoints"
          @click="addPoint"
        >
          <Plus :size="15" /> Point
        </button>
      </template>
    </section>
  </div>
</template>
