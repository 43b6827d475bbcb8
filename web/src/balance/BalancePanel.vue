<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { LIMITS } from '@yew-basin/contract/limits'
import { editing, sentence, targetsOf, type BalanceOption, type Fix } from '@yew-basin/core'
import { computed } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useLongWork } from '../calc/long-work.ts'
import { ofDesign } from '../calc/of-design.ts'
import { spawnCore } from '../calc/spawn.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { plain } from '../workspace/plain.ts'
import { type NamedValve, valvesOf } from './valves.ts'

/** Every valve with what it moves, and which openings would give the wanted flows. */
const store = useDesign()
const units = useUnits()

const valves = computed(() => valvesOf(store.shown!))
const outlets = computed(() =>
  store.shown!.returnSide.lines.flatMap((line, i) =>
    line.end.at === 'tank' || line.end.at === 'chamber'
      ? [
          {
            id: line.id,
            index: i,
            name: line.name,
            flowM3PerS: store.steady!.returnSide.lines[i]!.flowM3PerS,
            flowBandM3PerS: store.steady!.returnSide.lines[i]!.flowBandM3PerS,
            own: line.wantedFlowM3PerS,
            target: targets.value.find(({ lineId }) => lineId === line.id)?.flowM3PerS ?? null,
          },
        ]
      : [],
  ),
)
const targets = computed(() =>
  targetsOf(
    store.shown!,
    Object.fromEntries(
      store.steady!.tanks.map(({ tankId, wantedFlowM3PerS }) => [tankId, wantedFlowM3PerS]),
    ),
  ),
)

function turn({ set }: NamedValve, to: number) {
  store.edit(editing.turnedByHand(store.design!, set(to)))
}
const percentOf = (event: Event) => Number((event.target as HTMLInputElement).value) / 100

const subject = computed(() =>
  store.present
    ? { design: store.present, targets: targets.value, pumpIndex: store.pumpIndex }
    : null,
)
const work = useLongWork({
  spawn: spawnCore,
  subject: () => subject.value,
  endsAtOnce: true,
  ask: ({ design, targets: wanted, pumpIndex }, { pool }) =>
    pool.one((calls) => ofDesign(calls, design).balance(plain(wanted), pumpIndex)),
})
const options = computed(() => work.answer.value ?? [])
watchDebounced(subject, () => void work.start(), { immediate: true, debounce: 150 })

const SCHOOLS = {
  valves: { title: 'Valves, pump at full speed', step: '1% of the valve moves it by' },
  speed: { title: 'Speed alone, valves open', step: '1% of speed moves it by' },
  both: { title: 'Speed and valves', step: '1% of the valve moves it by' },
} as const

const nameOf = (lineId: string) =>
  store.shown!.returnSide.lines.find(({ id }) => id === lineId)?.name ?? ''
/** As the line runs now: an option is known no better. */
const bandOf = (lineId: string) =>
  store.steady!.returnSide.lines.find((line) => line.lineId === lineId)?.flowBandM3PerS ?? 0
const offText = (off: number) =>
  Math.abs(off) < 0.005 ? 'met' : `${off > 0 ? '+' : '−'}${Math.round(Math.abs(off) * 100)}%`

function look(option: BalanceOption) {
  const fix: Fix = {
    label: sentence(SCHOOLS[option.school].title),
    brings: sentence('Misses its targets by {off} at most.', { off: ['share', option.worstOff] }),
    edits: option.edits,
  }
  store.look(fix)
}
</script>

<template>
  <div class="space-y-5">
    <section aria-labelledby="valves-heading">
      <h3 id="valves-heading" class="heading">Valves</h3>
      <p v-if="valves.length === 0" class="caption">Nothing has a valve to set.</p>
      <fieldset v-else :disabled="!!store.preview" class="min-w-0">
        <ul class="divide-y divide-rule border-y border-rule" aria-label="Valves">
          <li
            v-for="valve in valves"
            :key="valve.id"
            class="grid grid-cols-[1fr_7rem_3rem] items-center gap-2 py-1"
          >
            <span class="leading-tight">{{ valve.name }}</span>
            <input
              v-if="valve.onlyOpenOrShut"
              type="checkbox"
              :aria-label="`${valve.name}, open`"
              :checked="valve.opening > 0"
              @change="turn(valve, ($event.target as HTMLInputElement).checked ? 1 : 0)"
            />
            <input
              v-else
              type="range"
              min="0"
              max="100"
              class="accent-(--needle)"
              :aria-label="`Opening of ${valve.name}`"
              :value="Math.round(valve.opening * 100)"
              @input="turn(valve, percentOf($event))"
            />
            <span class="text-right">{{ units.text('share', valve.opening) }}</span>
          </li>
        </ul>
      </fieldset>
    </section>

    <section aria-labelledby="outlets-heading">
      <h3 id="outlets-heading" class="heading">What each end gets and wants</h3>
      <fieldset :disabled="!!store.preview" class="min-w-0">
        <ul class="divide-y divide-rule border-y border-rule" aria-label="Ends">
          <li
            v-for="outlet in outlets"
            :key="outlet.id"
            class="grid grid-cols-[1fr_auto_8rem] items-center gap-x-3 py-1"
          >
            <span>{{ outlet.name }}</span>
            <strong class="whitespace-nowrap font-semibold" :data-testid="`end-${outlet.name}`">{{
              units.text('flow', outlet.flowM3PerS, outlet.flowBandM3PerS)
            }}</strong>
            <QuantityField
              v-if="outlet.target !== null"
              :label="`Wanted at ${outlet.name}`"
              hide-label
              :hint="outlet.own === null ? 'its tank’s share' : ''"
              :limit="LIMITS.wantedFlow"
              :model-value="outlet.target"
              @update:model-value="
                store.set(['returnSide', 'lines', outlet.index, 'wantedFlowM3PerS'], $event)
              "
            />
            <button
              v-else
              class="button"
              :aria-label="`Want a flow at ${outlet.name}`"
              @click="
                store.set(
                  ['returnSide', 'lines', outlet.index, 'wantedFlowM3PerS'],
                  Math.max(1e-5, outlet.flowM3PerS),
                )
              "
            >
              Want a flow
            </button>
          </li>
        </ul>
      </fieldset>
    </section>

    <section aria-labelledby="schools-heading">
      <h3 id="schools-heading" class="heading">How to get there</h3>
      <p class="caption">
        A pump of one speed has only its valves. A controllable one can be turned down instead, or
        turned down and trimmed with valves.
      </p>
      <p v-if="work.fault.value" class="text-aril" role="alert">{{ work.fault.value }}</p>
      <ul class="mt-1 space-y-3" aria-label="Ways to set it">
        <li
          v-for="option in options"
          :key="option.school"
          class="border-t border-rule pt-2"
          :data-school="option.school"
        >
          <div class="flex items-start gap-2">
            <div class="grow">
              <p class="font-semibold">
                {{ SCHOOLS[option.school].title
                }}<span v-if="option.hypothetical" class="caption"
                  >, if your pump could be turned down</span
                >
              </p>
              <p class="caption">
                Pump at {{ units.text('share', option.speed) }},
                {{ units.text('power', option.wirePowerW) }} from the wire; valves eat
                {{ units.text('power', option.wastedW) }} of the water’s power.
                {{ SCHOOLS[option.school].step }}
                {{ units.text('flow', option.finestStepM3PerS) }}.
              </p>
            </div>
            <button
              v-if="!option.hypothetical"
              class="button"
              :disabled="work.stale.value"
              :aria-label="`Preview: ${SCHOOLS[option.school].title}`"
              @click="look(option)"
            >
              Preview
            </button>
          </div>
          <table class="mt-1 w-full text-[0.92rem]">
            <caption class="sr-only">
              Flows and openings
            </caption>
            <tbody>
              <tr v-for="line in option.lines" :key="line.lineId">
                <th scope="row" class="text-left font-normal">{{ nameOf(line.lineId) }}</th>
                <td class="text-right">
                  {{ units.text('flow', line.flowM3PerS, bandOf(line.lineId)) }}
                </td>
                <td
                  class="w-14 text-right"
                  :class="Math.abs(line.off) > 0.1 ? 'text-resin' : 'text-ink-soft'"
                >
                  {{ offText(line.off) }}
                </td>
                <td class="w-24 text-right">
                  <template v-for="valve in option.valves" :key="valve.pieceId">
                    <template v-if="valve.lineId === line.lineId">
                      {{ units.text('share', valve.opening) }} open
                    </template>
                  </template>
                </td>
              </tr>
            </tbody>
          </table>
        </li>
      </ul>
    </section>
  </div>
</template>
