<script setup lang="ts">
import {
  STATE_OF,
  drillsChanged,
  logWords,
  say,
  type BasinDesign,
  type OfferedFixes,
  type Verdict,
} from '@yew-basin/core'
import { computed } from 'vue'
import SideEffects from '../bench/SideEffects.vue'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'
import { OUTCOME_WORDS } from './drill-words.ts'
import { useDrills } from './drills-store.ts'

/** What one drill came to: what stands where, when something must be done, and what would fix it. */
const { design, verdict, fixes, trying } = defineProps<{
  design: BasinDesign
  verdict: Verdict
  /** Each tried; null: not known yet. */
  fixes: OfferedFixes['fixes'] | null
  trying: boolean
}>()
defineEmits<{ goTo: [timeS: number] }>()
const drills = useDrills()
const units = useUnits()

/** To the rim; a tank's waves may reach it where its still water does not. */
function leftIn({ marginM, rimM, highestM }: Verdict['vessels'][number]): string {
  if (marginM === null || rimM === null) return '–'
  if (marginM >= 0) return units.text('length', marginM)
  return highestM > rimM ? 'runs over' : 'waves reach it'
}

/** Nobody does anything within this, s. */
const AT_ONCE_S = 1

const TONES = {
  wet: 'border-aril bg-aril-wash',
  watch: 'border-resin bg-resin-wash',
  dry: 'border-lichen bg-lichen-wash',
}
const preview = computed(() =>
  drills.preview?.drillId === verdict.drillId ? drills.preview : null,
)
/** What the fix would make of this drill, and of the others. */
const after = computed(() => {
  if (!preview.value) return null
  const { verdicts } = preview.value
  const { better, worse } = drillsChanged(drills.verdicts, verdicts)
  const own = verdicts.find(({ drillId }) => drillId === verdict.drillId) ?? null
  return { own, better: better.length, worse }
})
</script>

<template>
  <section :aria-label="say(verdict.title, units.family)" class="space-y-3 p-3">
    <div class="rounded-r-lg border-l-4 px-3 py-2" :class="TONES[verdict.outcome]">
      <h2 class="flex items-start gap-2 font-semibold leading-snug">
        <StateMark :state="STATE_OF[verdict.outcome]" :size="15" class="mt-0.5" />
        {{ say(verdict.title, units.family) }}
      </h2>
      <p class="mt-0.5" data-testid="drill-said">{{ say(verdict.said, units.family) }}</p>
      <p v-if="verdict.cause" class="mt-1 text-[0.92rem]" data-testid="drill-cause">
        {{ say(verdict.cause, units.family) }}
      </p>
      <p v-if="verdict.act && verdict.actWithinS !== null" class="mt-1 text-[0.92rem]">
        <strong
          >{{
            verdict.actWithinS < AT_ONCE_S
              ? 'At once'
              : `Within ${units.text('duration', verdict.actWithinS)}`
          }}:</strong
        >
        {{ say(verdict.act, units.family) }}
      </p>
    </div>
    <p v-if="trying && verdict.outcome !== 'dry'" class="caption" role="status">
      What may fix it is being tried…
    </p>
    <div v-else-if="fixes && fixes.length > 0">
      <h3 class="heading">What fixes it</h3>
      <ul class="mt-1 space-y-2.5">
        <li v-for="(fix, i) in fixes" :key="i" class="flex items-center gap-2">
          <span class="grow leading-tight"
            >{{ say(fix.label, units.family) }}
            <span class="caption block">{{ say(fix.brings, units.family) }}</span>
            <SideEffects :fix="fix"
          /></span>
          <button
            class="button"
            :disabled="drills.stale || !!drills.progress"
            :aria-label="`Preview: ${say(fix.label, units.family)}`"
            @click="drills.look(fix, verdict.drillId)"
          >
            Preview
          </button>
        </li>
      </ul>
      <div
        v-if="preview && after"
        class="mt-2 rounded-lg border-2 border-dashed border-needle p-2"
        role="status"
        data-testid="fix-preview"
      >
        <p class="font-semibold">{{ say(preview.fix.label, units.family) }}</p>
        <p v-if="after.own" class="flex items-start gap-2">
          <StateMark :state="STATE_OF[after.own.outcome]" :size="13" class="mt-1" />
          {{ say(after.own.said, units.family) }}
        </p>
        <p v-else>This drill would no longer apply.</p>
        <p class="caption">
          {{ after.better }} {{ after.better === 1 ? 'drill' : 'drills' }} better,
          {{ after.worse.length }} worse<template v-if="after.worse.length > 0"
            >: {{ after.worse.map((worse) => say(worse.title, units.family)).join(', ') }}</template
          >.
        </p>
        <div class="mt-1 flex gap-2">
          <button class="button button-main" @click="drills.apply(preview.fix)">Apply</button>
          <button class="button" @click="drills.leavePreview()">Leave it</button>
        </div>
      </div>
    </div>
    <div>
      <h3 class="heading">How high, how low</h3>
      <table class="w-full text-[0.92rem]">
        <thead class="caption text-left">
          <tr>
            <th scope="col" class="font-normal">Where</th>
            <th scope="col" class="text-right font-normal">Highest</th>
            <th scope="col" class="text-right font-normal">To its rim</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="vessel in verdict.vessels" :key="vessel.vesselId" class="border-t border-rule">
            <th scope="row" class="py-0.5 text-left font-normal">{{ vessel.name }}</th>
            <td class="text-right">{{ units.text('length', vessel.highestM) }}</td>
            <td
              class="text-right"
              :class="{ 'font-semibold text-aril': vessel.marginM !== null && vessel.marginM < 0 }"
            >
              {{ leftIn(vessel) }}
            </td>
          </tr>
        </tbody>
      </table>
      <dl class="facts mt-2">
        <template v-if="verdict.pump">
          <dt>Least water over the pump’s air</dt>
          <dd>{{ units.text('length', verdict.pump.aboveAirM) }}</dd>
        </template>
        <dt>On the floor</dt>
        <dd>{{ units.text('volume', verdict.spilledM3) }}</dd>
        <template v-if="verdict.leakedM3 > 0">
          <dt>Dripped away</dt>
          <dd>{{ units.text('volume', verdict.leakedM3) }}</dd>
        </template>
        <template v-for="place in verdict.spilledFrom" :key="place.name">
          <dt>from the {{ place.name }}</dt>
          <dd>{{ units.text('volume', place.volumeM3) }}</dd>
        </template>
        <template v-if="Math.abs(verdict.salinityPpt - verdict.startSalinityPpt) > 0.005">
          <dt>Salinity in the end</dt>
          <dd>{{ units.text('salinity', verdict.salinityPpt) }}</dd>
        </template>
      </dl>
    </div>
    <div>
      <h3 class="heading">What happens when</h3>
      <ol class="text-[0.92rem]">
        <li v-for="(entry, i) in verdict.log" :key="i">
          <button
            class="flex w-full gap-2 rounded px-1 py-1 text-left hover:bg-sunk"
            @click="$emit('goTo', entry.atS)"
          >
            <span class="w-20 shrink-0 text-right tabular-nums text-ink-soft">{{
              units.text('duration', entry.atS)
            }}</span>
            {{ say(logWords(design, entry), units.family) }}
          </button>
        </li>
        <li class="flex gap-2 px-1 py-1">
          <span class="w-20 shrink-0 text-right tabular-nums text-ink-soft">{{
            units.text('duration', verdict.endS)
          }}</span>
          {{ verdict.atRest ? 'All is at rest' : 'Watched so long' }}
        </li>
      </ol>
    </div>
    <p class="caption">
      By the model: {{ OUTCOME_WORDS[verdict.outcome] }}. Try it with fresh water and a bucket
      before you trust it: pull the plug, and stand by.
    </p>
  </section>
</template>
