<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { say, sentence, type Fix, type RankedOption } from '@yew-basin/core'
import { storeToRefs } from 'pinia'
import { computed, defineAsyncComponent, nextTick, onMounted } from 'vue'
import { useRouter } from 'vue-router'
import QuantityField from '../bench/QuantityField.vue'
import { useParts } from '../parts/parts-store.ts'
import { useUnits } from '../shell/units.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import { sizeChart } from './size-chart.ts'
import { useSizing } from './size-store.ts'
import { VALUES, WORTH } from './values.ts'

const PlainChart = defineAsyncComponent(() => import('../shell/PlainChart.vue'))

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Choose for me')
const shelf = useParts()
const units = useUnits()
const router = useRouter()
onMounted(() => void shelf.want())

const sizing = useSizing()
const { values, tanks } = storeToRefs(sizing)
const wanted = computed(() => store.steady!.totals.wantedFlowM3PerS)
const takeoffs = computed(() =>
  store
    .shown!.returnSide.lines.filter(
      ({ end, wantedFlowM3PerS }) => end.at === 'chamber' && wantedFlowM3PerS !== null,
    )
    .map(({ name, wantedFlowM3PerS }) => `${name} ${units.text('flow', wantedFlowM3PerS!)}`)
    .join(', '),
)

const { answer, stale, progress, fault } = storeToRefs(sizing)
/** Not by a number that was refused: what was found last stays, and the field is where to go on. */
async function search({ currentTarget }: Event) {
  const form = currentTarget as HTMLFormElement
  await nextTick()
  const refused = form.querySelector<HTMLElement>('[aria-invalid="true"]')
  if (refused) return refused.focus()
  sizing.forget()
  void sizing.start()
}

/** The preview is looked at where the section is. */
function look(option: RankedOption) {
  const fix: Fix = {
    label: option.label,
    brings: sentence('Gives {flow}.', { flow: ['flow', option.flowM3PerS, option.flowBandM3PerS] }),
    edits: option.edits,
  }
  store.look(fix)
  void router.push(`/basins/${id}/return`)
}
const now = computed(() => ({
  flowM3PerS: store.steady!.returnSide.flowM3PerS,
  powerW: store.steady!.returnSide.wirePowerW,
}))
</script>

<template>
  <BasinPage
    :id="id"
    heading="Choose for me"
    about="Every pump of your shelf at every speed, in every size of the pipe you use, with one nozzle or two and the valve more or less open. What reaches your tanks is ranked by what you value; nothing is changed until you apply it."
  >
    <div class="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[17rem_minmax(0,1fr)]">
      <form class="space-y-4" @submit.prevent="search">
        <section aria-labelledby="want-heading">
          <h3 id="want-heading" class="heading mb-1">What you want</h3>
          <div v-for="tank in tanks" :key="tank.id" class="mb-2">
            <QuantityField
              :label="tanks.length > 1 ? `Turnover of ${tank.name}` : 'Turnover'"
              :limit="LIMITS.turnover"
              :hint="units.text('flow', tank.wantedM3PerS)"
              :model-value="tank.turnoverPerH"
              @update:model-value="store.set(['tanks', tank.index, 'turnoverPerH'], $event)"
            />
          </div>
          <p v-if="takeoffs" class="caption">
            {{ takeoffs }} must be reached too; what is too much there is for their valves.
          </p>
        </section>
        <fieldset>
          <legend class="heading mb-1">What you value</legend>
          <label v-for="{ name, label } in VALUES" :key="name" class="mb-1 block">
            <span class="flex justify-between"
              ><span>{{ label }}</span
              ><span class="caption">{{ WORTH[values[name]] }}</span></span
            >
            <input
              v-model.number="values[name]"
              type="range"
              min="0"
              max="3"
              step="1"
              class="block w-full accent-(--needle)"
              :aria-label="label"
              :aria-valuetext="WORTH[values[name]]"
            />
          </label>
        </fieldset>
        <button v-if="!progress" class="button button-main" :disabled="shelf.pumps.length === 0">
          Search
        </button>
        <div v-else class="space-y-2">
          <progress class="w-full" :value="progress.done" :max="progress.of">
            {{ progress.done }} of {{ progress.of }}
          </progress>
          <button type="button" class="button" @click="sizing.cancel()">Stop</button>
        </div>
        <p v-if="fault" class="text-aril" role="alert">{{ fault }}</p>
        <p v-if="shelf.fault" class="text-aril" role="alert">{{ shelf.fault }}</p>
      </form>

      <div class="min-w-0">
        <p v-if="!answer" class="text-ink-soft">
          Say what you value and search. Adapters between a pump and another size of pipe are not
          counted here; the design’s findings say them afterwards.
        </p>
        <template v-else>
          <p class="caption" data-testid="looked">
            {{ answer.looked.toLocaleString('en').replaceAll(',', '\u202f') }} designs looked at,
            {{ answer.reaching.toLocaleString('en').replaceAll(',', '\u202f') }} reach
            {{ units.text('flow', wanted) }}.
          </p>
          <p v-if="stale" class="text-resin" role="status">
            What is wanted was changed since. Search again to look at an option.
          </p>
          <p v-if="answer.options.length === 0" class="mt-2">
            <template v-if="answer.reaching > 0">
              Each that reaches it would bring a stop that is none now, or wet the floor in a drill.
              Mend the stops at the overflow, the drains and the sump first.
            </template>
            <template v-else>
              None of these pumps reaches it in this pipe. Ask for less, or put a larger pump among
              your parts.
            </template>
          </p>
          <template v-else>
            <PlainChart
              name="options"
              class="h-72 w-full"
              :in-words="`Flow against power of ${answer.options.length} options; the first brings ${units.text('flow', answer.options[0]!.flowM3PerS, answer.options[0]!.flowBandM3PerS)} for ${units.text('power', answer.options[0]!.wirePowerW)}.`"
              :option="
                (colour) =>
                  sizeChart(answer!, { now, wantedM3PerS: wanted, family: units.family, colour })
              "
            />
            <p class="caption mb-2">
              Dots were tried, numbers are the options below, the diamond is the design as it
              stands, the dashed line is what you want.
            </p>
            <ol class="divide-y divide-rule border-y border-rule" aria-label="Options">
              <li
                v-for="(option, n) in answer.options"
                :key="n"
                class="flex items-start gap-3 py-2"
              >
                <span
                  class="mt-0.5 grid size-6 shrink-0 place-items-center rounded-full bg-needle text-[0.85rem] text-on-needle"
                  >{{ n + 1 }}</span
                >
                <div class="grow">
                  <p class="font-semibold">{{ say(option.label, units.family) }}</p>
                  <p>
                    {{ units.text('flow', option.flowM3PerS, option.flowBandM3PerS) }} for
                    {{ units.text('power', option.wirePowerW, option.wirePowerBandW) }}
                  </p>
                  <p class="caption">
                    {{ option.reasons.map((reason) => say(reason, units.family)).join('; ') }}.
                  </p>
                </div>
                <button
                  v-if="!stale"
                  class="button"
                  :aria-label="`Preview option ${n + 1}`"
                  @click="look(option)"
                >
                  Preview
                </button>
              </li>
            </ol>
          </template>
        </template>
      </div>
    </div>
  </BasinPage>
</template>
