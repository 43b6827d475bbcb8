<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { type OverflowForm, type OverflowPlace, type EditPath, editing } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import FigureRow from '../bench/FigureRow.vue'
import AssumedNote from '../bench/AssumedNote.vue'
import BenchHead from '../bench/BenchHead.vue'
import CopyOverflow from './CopyOverflow.vue'
import FindingList from '../bench/FindingList.vue'
import TankSwitch from '../bench/TankSwitch.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import BoxFields from './BoxFields.vue'
import HoleList from './HoleList.vue'
import NewOverflow from './NewOverflow.vue'
import { FORMS, PLACES } from './overflow-words.ts'
import RimFields from './RimFields.vue'

const store = useDesign()
const units = useUnits()
const overflow = computed(() => store.tank?.overflow ?? null)
const solved = computed(
  () => store.solved?.overflows.find(({ tankId }) => tankId === store.tank?.id) ?? null,
)
const at = <const More extends EditPath>(...more: More) =>
  ['tanks', store.tankIndex, 'overflow', ...more] as const
const drains = computed(
  () => store.shown?.drains.filter(({ tankId }) => tankId === store.tank?.id) ?? [],
)
const PRIMES = {
  'stays-primed': 'stays primed',
  between: 'may gather air',
  doubtful: 'gathers air',
} as const

const change = (form: OverflowForm, place: OverflowPlace) =>
  store.lay(editing.otherOverflow(store.design!, store.tankIndex, { form, place }))
const remove = () => store.edit(editing.withoutOverflow(store.design!, store.tankIndex))
</script>

<template>
  <div v-if="store.shown && store.solved && store.tank" class="space-y-5 px-5 py-4">
    <BenchHead station="overflow"
      >How water leaves the tank, and how high it stands while it does.</BenchHead
    >
    <TankSwitch />
    <CopyOverflow />
    <NewOverflow v-if="!overflow" />
    <template v-else-if="solved">
      <FindingList station="overflow" />
      <AssumedNote station="overflow" />
      <section aria-label="Figures">
        <FigureRow
          figure="weirHead"
          label="Water over the rim"
          :tank-id="store.tank.id"
          :mark="solved.belowMeasured ? '± 15 %' : ''"
          :value="{ quantity: 'length', si: solved.headM }"
          :band="solved.headBandM"
        />
        <FigureRow
          figure="runningLevel"
          label="Running level"
          :tank-id="store.tank.id"
          :value="{ quantity: 'length', si: store.running!.tanks[store.tankIndex]!.waterLevelM }"
        />
        <dl class="facts">
          <dt>Left to the tank’s rim</dt>
          <dd>{{ units.text('length', store.solvedTank!.freeboardM) }}</dd>
          <template v-if="solved.overTeethM !== null">
            <dt>Water over the tops of the teeth</dt>
            <dd>{{ solved.overTeethM > 0 ? units.text('length', solved.overTeethM) : 'none' }}</dd>
            <dt>The teeth drown at</dt>
            <dd>{{ units.text('flow', solved.teethDrownM3PerS ?? NaN) }}</dd>
          </template>
          <dt>The tank spills at, its drains willing</dt>
          <dd>{{ units.text('flow', solved.tankSpillsM3PerS) }}</dd>
          <template v-if="solved.passageHeadM !== null">
            <dt>Head through the {{ overflow.passage?.kind === 'siphon' ? 'tubes' : 'holes' }}</dt>
            <dd>{{ units.text('length', solved.passageHeadM) }}</dd>
          </template>
          <template v-if="solved.prime">
            <dt>The siphon, at V/√(gD) {{ units.text('number', solved.froude ?? NaN) }}</dt>
            <dd>{{ PRIMES[solved.prime] }}</dd>
          </template>
          <template v-if="solved.boxM !== null && overflow.box">
            <dt>Water in the box, over the room’s floor</dt>
            <dd>{{ units.text('length', solved.boxM, solved.boxBandM) }}</dd>
          </template>
          <dt>Smallest opening on the way out</dt>
          <dd>{{ units.text('length', solved.leastOpeningM) }}</dd>
        </dl>
      </section>
      <fieldset :key="store.tank.id" :disabled="!!store.preview" class="min-w-0 space-y-5">
        <div class="grid grid-cols-2 gap-3">
          <ChoiceField
            class="col-span-2"
            label="What catches the water"
            :options="FORMS"
            :model-value="overflow.form"
            @update:model-value="change($event, overflow.place)"
          />
          <ChoiceField
            label="Where"
            :options="PLACES"
            :model-value="overflow.place"
            @update:model-value="change(overflow.form, $event)"
          />
          <ChoiceField
            v-if="overflow.chamberId !== null"
            label="It falls into"
            :options="store.shown.sump.chambers.map(({ id, name }) => ({ value: id, label: name }))"
            :model-value="overflow.chamberId"
            @update:model-value="store.set(at('chamberId'), $event)"
          />
        </div>
        <RimFields />
        <BoxFields />
        <HoleList />
        <button class="button text-aril" @click="remove">
          <Trash2 :size="15" />
          {{ drains.length > 0 ? 'Take the overflow and its drains out' : 'Take the overflow out' }}
        </button>
      </fieldset>
    </template>
  </div>
</template>
