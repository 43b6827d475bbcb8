<script setup lang="ts">
import { LIMITS, type Limit } from '@yew-basin/contract/limits'
import {
  meetsWanted,
  partOf,
  type PumpPart,
  type EditPath,
  type Point,
  editing,
} from '@yew-basin/core'
import { computed, onMounted } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import { useTrial } from '../calc/trial.ts'
import { plain } from '../workspace/plain.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { NOT_SAID, OUTLETS } from '../run/joint-words.ts'
import OwnFigure from '../run/OwnFigure.vue'
import BesideTheDuty from './BesideTheDuty.vue'
import ChamberList from './ChamberList.vue'
import PumpFromBox from './PumpFromBox.vue'
import { pumpsFor } from '../parts/pumps-for.ts'
import { useParts } from '../parts/parts-store.ts'

const store = useDesign()
const shelf = useParts()
const units = useUnits()
onMounted(() => void shelf.want())

const pump = computed(() => partOf(store.shown!, store.placedPump!.pumpId))
const speedLimit = computed<Limit>(() => ({ ...LIMITS.speed, min: pump.value.leastSpeed }))
const choices = computed(() => pumpsFor(store.shown!, shelf.pumps))
const trial = useTrial(
  () => ({ design: store.shown!, parts: choices.value, placedId: store.placedPump!.id }),
  (calls, { parts, placedId }) => calls.swaps(plain(parts), placedId),
)
/** What a pump would give; undefined: it is being tried. */
const given = (part: PumpPart) => trial.answer.value?.find(({ pumpId }) => pumpId === part.id)
const flowOf = (part: PumpPart) => given(part)?.flowM3PerS ?? 0
/** What the ends of its own lines want: of a second pump, not what the tanks do. */
const wanted = computed(() => trial.answer.value?.[0]?.wantedM3PerS ?? null)
const shareOf = (part: PumpPart) =>
  Math.min(100, (flowOf(part) / Math.max(wanted.value ?? 0, 1e-9)) * 50)

const atPump = <const More extends EditPath>(...path: More) =>
  ['returnSide', 'pumps', store.pumpIndex, ...path] as const

const isAssumed = computed(() => store.isAssumed(atPump('pumpId')))
/** Swaps the pump as one step; one of fixed speed runs at full speed. The one that was assumed is confirmed. */
function choose(part: PumpPart) {
  if (part.id === pump.value.id && isAssumed.value) {
    store.confirmAt(atPump('pumpId'))
    return
  }
  store.edit(editing.choosePump(store.design!, store.pumpIndex, part))
}
const place = (axis: keyof Point) => (si: number) => store.set(atPump('outlet', axis), si)
</script>

<template>
  <fieldset
    v-if="store.shown && store.solved && store.placedPump"
    :disabled="!!store.preview"
    class="min-w-0 space-y-4"
  >
    <div>
      <p class="font-semibold">{{ pump.name }}</p>
      <p class="caption">
        {{
          pump.control === 'controllable' ? 'Speed is set by its controller' : 'Runs at one speed'
        }}, outlet {{ units.text('length', pump.outletBoreM) }},
        {{
          pump.mounting === 'either'
            ? 'stands in or out of water'
            : pump.mounting === 'dry'
              ? 'stands dry'
              : 'stands in water'
        }}<template v-if="pump.curve.length === 0">, two-number curve</template>
      </p>
    </div>
    <label class="flex items-center gap-2">
      <input
        type="checkbox"
        :checked="store.placedPump.stopped"
        @change="store.set(atPump('stopped'), !store.placedPump.stopped)"
      />
      switched off
    </label>
    <div v-if="pump.control === 'controllable'" class="grid grid-cols-[1fr_6.5rem] items-end gap-3">
      <label class="block pb-1.5">
        <span class="caption">Speed</span>
        <input
          type="range"
          class="block w-full accent-(--needle)"
          :min="Math.round(pump.leastSpeed * 100)"
          max="100"
          step="1"
          :value="Math.round(store.placedPump.speed * 100)"
          :aria-valuetext="units.text('share', store.placedPump.speed)"
          @input="
            store.set(atPump('speed'), Number(($event.target as HTMLInputElement).value) / 100)
          "
        />
      </label>
      <QuantityField
        label="Share of full"
        :limit="speedLimit"
        :model-value="store.placedPump.speed"
        @update:model-value="store.set(atPump('speed'), $event)"
      />
    </div>

    <section aria-labelledby="pump-list">
      <h3 id="pump-list" class="heading">What each pump gives in this run</h3>
      <p class="caption mb-1">
        At full speed<template v-if="wanted !== null"
          >, against the {{ units.text('flow', wanted) }} that its lines want</template
        >.
      </p>
      <p v-if="shelf.fault" class="text-aril" role="alert">
        {{ shelf.fault }} <button class="underline" @click="shelf.load()">Try again</button>
      </p>
      <ul class="divide-y divide-rule border-y border-rule">
        <li v-for="part in choices" :key="part.id">
          <button
            class="grid w-full grid-cols-[1fr_auto] gap-x-3 px-1.5 py-1.5 text-left"
            :class="part.id === pump.id ? 'bg-needle-wash' : 'hover:bg-sunk'"
            :aria-pressed="part.id === pump.id"
            @click="choose(part)"
          >
            <span class="leading-tight"
              >{{ part.name
              }}<span v-if="part.id === pump.id" class="caption">
                {{ isAssumed ? '(assumed: tap to confirm)' : '(in use)' }}</span
              ></span
            >
            <span class="whitespace-nowrap text-right"
              ><template v-if="given(part)"
                ><strong class="font-semibold">{{
                  units.text('flow', given(part)!.flowM3PerS, given(part)!.flowBandM3PerS)
                }}</strong
                ><span class="caption ml-2 inline-block w-11">{{
                  units.text('power', given(part)!.wirePowerW)
                }}</span></template
              ></span
            >
            <span
              v-if="wanted !== null"
              class="col-span-2 mt-1 h-1 overflow-hidden rounded bg-sunk"
              aria-hidden="true"
            >
              <span
                class="block h-full"
                :style="{
                  width: `${shareOf(part)}%`,
                  background: meetsWanted(flowOf(part), wanted)
                    ? 'var(--lichen-mark)'
                    : 'var(--resin-mark)',
                }"
              />
            </span>
          </button>
        </li>
      </ul>
      <PumpFromBox :outlet-bore-m="pump.outletBoreM" @made="choose" />
    </section>

    <BesideTheDuty :part="pump" :solved="store.solvedLine!.pump" />

    <section aria-labelledby="pump-place">
      <h3 id="pump-place" class="heading mb-1">Where it stands</h3>
      <div class="grid grid-cols-2 gap-x-3 gap-y-2">
        <label class="block">
          <span class="caption">It draws from</span>
          <select
            class="box"
            :value="store.placedPump.chamberId"
            @change="store.set(atPump('chamberId'), ($event.target as HTMLSelectElement).value)"
          >
            <option
              v-for="chamber in store.shown.sump.chambers"
              :key="chamber.id"
              :value="chamber.id"
            >
              {{ chamber.name }}
            </option>
          </select>
        </label>
        <QuantityField
          label="Its outlet over the floor"
          :limit="LIMITS.place"
          :at="atPump('outlet', 'zM')"
          :model-value="store.placedPump.outlet.zM"
          @update:model-value="place('zM')($event)"
        />
        <QuantityField
          label="From the tank’s left panel"
          :limit="LIMITS.place"
          :model-value="store.placedPump.outlet.xM"
          @update:model-value="place('xM')($event)"
        />
        <QuantityField
          label="From its front panel"
          :limit="LIMITS.place"
          :model-value="store.placedPump.outlet.yM"
          @update:model-value="place('yM')($event)"
        />
      </div>
      <ChoiceField
        class="mt-2"
        label="Its outlet is joined by"
        :options="OUTLETS"
        :model-value="store.placedPump.joint ?? NOT_SAID"
        @update:model-value="store.set(atPump('joint'), $event || null)"
      />
      <OwnFigure
        label="the height of its inlet is known"
        field="Its inlet over the floor"
        :limit="LIMITS.sourceLevel"
        :start="store.placedPump.outlet.zM - 0.05"
        :model-value="store.placedPump.inletHeightM"
        @update:model-value="store.set(atPump('inletHeightM'), $event)"
      />
      <p class="caption">
        Over the inlet it wants
        {{ units.text('length', store.solvedLine!.pump.leastDepthM) }} of water at this
        flow<template v-if="store.solvedLine!.pump.depthM !== null"
          >; it has {{ units.text('length', store.solvedLine!.pump.depthM) }}</template
        >.<template v-if="store.solvedLine!.pump.bellDepthM > store.solvedLine!.pump.leastDepthM">
          ANSI/HI 9.8 asks {{ units.text('length', store.solvedLine!.pump.bellDepthM) }} of large
          bells.</template
        >
      </p>
    </section>
    <ChamberList v-if="!store.shown.sump.box" />
  </fieldset>
</template>
