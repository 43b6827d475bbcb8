<script setup lang="ts">
import { partOf, type PumpPart, editing } from '@yew-basin/core'
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import TariffFields from '../bench/TariffFields.vue'
import { useTrial } from '../calc/trial.ts'
import { plain } from '../workspace/plain.ts'
import { useUnits } from '../shell/units.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import { pumpsFor } from '../parts/pumps-for.ts'
import { useParts } from '../parts/parts-store.ts'
import { pumpsChart, strokeOf } from './pumps-chart.ts'
import SparePump from './SparePump.vue'

const PlainChart = defineAsyncComponent(() => import('../shell/PlainChart.vue'))

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Pumps')
const shelf = useParts()
const units = useUnits()
onMounted(() => void shelf.want())

const present = computed(() => partOf(store.shown!, store.placedPump!.pumpId))
/** The library, the keeper's own, and what the design carries. */
const all = computed((): readonly PumpPart[] =>
  store.shown ? pumpsFor(store.shown, shelf.pumps) : [],
)
const picked = ref<readonly string[]>([])
const familyOf = ref<string | null>(null)
watch(
  () => store.placedPump?.pumpId,
  (now) => {
    if (now && !picked.value.includes(now)) picked.value = [now, ...picked.value]
    familyOf.value ??= now ?? null
  },
  { immediate: true },
)
function toggle(pumpId: string) {
  picked.value = picked.value.includes(pumpId)
    ? picked.value.filter((other) => other !== pumpId)
    : [...picked.value, pumpId]
}

const chosen = computed(() =>
  picked.value.flatMap((pumpId) => {
    const part = all.value.find((part) => part.id === pumpId)
    const speed = part && part.id === present.value.id ? store.placedPump!.speed : 1
    return part ? [{ part, speed }] : []
  }),
)
const compared = useTrial(
  () =>
    store.shown && store.placedPump
      ? { design: store.shown, placedId: store.placedPump.id, pumps: chosen.value }
      : null,
  (calls, { placedId, pumps }) => calls.comparePumps(placedId, plain(pumps)),
)
const comparison = computed(() => compared.answer.value)
const wanted = computed(() => store.steady!.totals.wantedFlowM3PerS)
const rated = useTrial(
  () =>
    store.shown && store.solvedLine
      ? { design: store.shown, line: store.solvedLine, wantedM3PerS: wanted.value }
      : null,
  (calls, { line, wantedM3PerS }) => calls.ratedNeed(plain(line), wantedM3PerS),
)
const need = computed(() => rated.answer.value)
const tariff = computed(() => store.shown!.tariff)
const cost = (perYear: number | null) =>
  perYear === null ? 'no tariff' : `${units.text('money', perYear)} ${tariff.value?.currency ?? ''}`
const offText = (off: number) =>
  Number.isFinite(off)
    ? `${Math.round(Math.abs(off) * 100)}% too ${off > 0 ? 'high' : 'low'}`
    : 'no answer'
const inWords = computed(
  () =>
    `Curves of ${(comparison.value?.pumps ?? []).map(({ part }) => part.name).join(', ')} over the system’s curve.`,
)
</script>

<template>
  <BasinPage
    :id="id"
    heading="Pumps"
    about="Any pumps in the place of the one you have, each solved with everything else as it is. The line is what your plumbing asks at each flow; a ring is where a pump and the plumbing meet."
  >
    <div class="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1fr)_19rem]">
      <div class="min-w-0">
        <PlainChart
          v-if="comparison"
          name="pumps against the line"
          class="h-96 w-full"
          :in-words="inWords"
          :option="(colour) => pumpsChart(comparison!, familyOf, units.family, colour)"
        />
        <div
          v-if="comparison"
          class="relative mt-3 overflow-x-auto"
          tabindex="0"
          role="region"
          aria-label="Table of the pumps"
        >
          <table class="w-full min-w-160 text-[0.95rem]">
            <caption class="sr-only">
              How each pump would run here
            </caption>
            <thead class="caption text-left">
              <tr>
                <th scope="col" class="font-normal">Pump</th>
                <th scope="col" class="text-right font-normal">Into the tanks</th>
                <th scope="col" class="text-right font-normal">Head</th>
                <th scope="col" class="text-right font-normal">Power</th>
                <th scope="col" class="text-right font-normal">Wire to water</th>
                <th scope="col" class="text-right font-normal">Heat to water</th>
                <th scope="col" class="text-right font-normal">A year</th>
                <th scope="col"><span class="sr-only">Choose</span></th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="(pump, n) in comparison.pumps"
                :key="pump.part.id"
                class="border-t border-rule"
              >
                <th scope="row" class="py-1.5 text-left font-semibold">
                  <svg width="22" height="8" class="mr-1 inline-block" aria-hidden="true">
                    <path
                      d="M1 4H21"
                      stroke-width="3"
                      :stroke="`var(${strokeOf(n).colour})`"
                      :stroke-dasharray="
                        { solid: '', dashed: '6 3', dotted: '2 3' }[strokeOf(n).type]
                      "
                    />
                  </svg>
                  {{ pump.part.name }}
                  <span v-if="pump.part.control === 'controllable'" class="caption"
                    >at {{ units.text('share', pump.solved.speed) }}</span
                  >
                  <span v-if="pump.solved.twoNumberCurve" class="caption">two-number curve</span>
                </th>
                <td class="text-right">
                  {{ units.text('flow', pump.intoTanksM3PerS, pump.intoTanksBandM3PerS) }}
                </td>
                <td class="text-right">{{ units.text('head', pump.solved.headM) }}</td>
                <td class="text-right">
                  {{ units.text('power', pump.solved.wirePowerW)
                  }}<span v-if="pump.solved.powerIsScaled" class="caption"> scaled</span>
                </td>
                <td class="text-right">{{ units.text('share', pump.solved.wireToWater) }}</td>
                <td class="text-right">{{ units.text('power', pump.solved.heatToWaterW) }}</td>
                <td class="text-right">
                  {{ units.text('energy', pump.solved.energyPerYearJ) }}
                  <span class="caption block">{{ cost(pump.solved.costPerYear) }}</span>
                </td>
                <td class="pl-3 text-right">
                  <span v-if="pump.part.id === present.id" class="caption">in use</span>
                  <button
                    v-else
                    class="button"
                    :aria-label="`Use ${pump.part.name}`"
                    @click="
                      store.edit(editing.choosePump(store.design!, store.pumpIndex, pump.part))
                    "
                  >
                    Use it
                  </button>
                </td>
              </tr>
            </tbody>
          </table>
        </div>

        <section v-if="need" aria-labelledby="rated-heading" class="mt-6">
          <h3 id="rated-heading" class="heading">
            What {{ units.text('flow', wanted) }} needs a pump to be rated
          </h3>
          <p class="caption">
            Flow printed for no head at all, of a pump whose curve has the present one’s shape and
            passes {{ units.text('flow', need.flowM3PerS) }} at
            {{ units.text('head', need.headM) }}.
          </p>
          <dl class="mt-1 max-w-xl">
            <div class="flex justify-between border-b border-rule py-1">
              <dt>Solved with all of your plumbing</dt>
              <dd class="font-semibold" data-testid="rated-real">
                {{ units.text('flow', need.ratedM3PerS) }}
              </dd>
            </div>
            <div class="flex justify-between border-b border-rule py-1">
              <dt>Rule of thumb: wanted flow over 70%</dt>
              <dd>{{ units.text('flow', need.deratedM3PerS) }}, {{ offText(need.deratedOff) }}</dd>
            </div>
            <div class="flex justify-between border-b border-rule py-1">
              <dt>Rule of thumb: feet counted for elbows and level run</dt>
              <dd>{{ units.text('flow', need.countedM3PerS) }}, {{ offText(need.countedOff) }}</dd>
            </div>
          </dl>
        </section>
      </div>

      <aside class="space-y-5" aria-label="Choose pumps">
        <section aria-labelledby="pick-heading">
          <h3 id="pick-heading" class="heading">Pumps to compare</h3>
          <p v-if="shelf.fault" class="text-aril" role="alert">{{ shelf.fault }}</p>
          <ul
            class="mt-1 max-h-72 overflow-y-auto border-y border-rule"
            aria-label="Pumps to compare"
          >
            <li v-for="part in all" :key="part.id" class="flex items-center gap-2 py-0.5">
              <label class="flex grow items-center gap-2">
                <input
                  type="checkbox"
                  :checked="picked.includes(part.id)"
                  @change="toggle(part.id)"
                />
                {{ part.name }}
              </label>
              <label
                v-if="picked.includes(part.id) && part.control === 'controllable'"
                class="caption flex items-center gap-1"
              >
                <input
                  type="radio"
                  name="family"
                  :checked="familyOf === part.id"
                  @change="familyOf = part.id"
                />
                speeds
              </label>
            </li>
          </ul>
        </section>
        <SparePump :pumps="all" />
        <section aria-labelledby="tariff-heading">
          <h3 id="tariff-heading" class="heading">Your tariff</h3>
          <TariffFields />
        </section>
      </aside>
    </div>
  </BasinPage>
</template>
