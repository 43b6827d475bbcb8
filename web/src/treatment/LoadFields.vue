<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { type Feed, type FeedForm, setTo, type TreatmentPlan } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import FigureRow from '../bench/FigureRow.vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { FEED_FORM_CHOICES, LOAD_NAMES, LOADS } from './treatment-words.ts'

/** What is fed in a day, what lives there, and what else takes its share. */
const store = useDesign()
const units = useUnits()
const plan = computed(() => store.shown!.treatment)
const load = computed(() => store.solved!.treatment.load)
const isRange = computed(() => load.value.least !== load.value.most)
const set = <Name extends keyof TreatmentPlan>(name: Name, to: TreatmentPlan[Name]) => {
  const key: keyof TreatmentPlan = name
  store.set(['treatment', key], to)
}
const ofFeed =
  <Name extends keyof Feed>(i: number, name: Name) =>
  (to: Feed[Name]) => {
    const key: keyof Feed = name
    store.set(['treatment', 'feeds', i, key], to)
  }

/** A range has two ends that differ; one end pushes the other along, in one edit. */
function setRange(i: number, perDay: number, most: number) {
  store.edit([
    setTo(['treatment', 'feeds', i, 'perDay'], perDay),
    setTo(['treatment', 'feeds', i, 'mostPerDay'], most > perDay ? most : null),
  ])
}

/** What one of them weighs until the keeper has weighed it. */
const USUAL_KG: Readonly<Record<FeedForm, number>> = { cube: 0.004, dry: 0.001, sheet: 0.002 }
const USUAL_NAME: Readonly<Record<FeedForm, string>> = {
  cube: 'Frozen cubes',
  dry: 'Dry food',
  sheet: 'Seaweed',
}
function add(form: FeedForm) {
  const feed = {
    id: crypto.randomUUID(),
    name: USUAL_NAME[form],
    form,
    perDay: 1,
    mostPerDay: null,
    massKg: USUAL_KG[form],
  }
  set('feeds', [...plan.value.feeds, feed])
}
</script>

<template>
  <section aria-labelledby="load-head">
    <h3 id="load-head" class="heading mb-1">What is fed in a day</h3>
    <ul class="space-y-2" aria-label="Foods">
      <li
        v-for="(feed, i) in plan.feeds"
        :key="feed.id"
        class="grid grid-cols-3 items-end gap-x-2 gap-y-1"
      >
        <TextField
          class="col-span-2"
          :label="`Food ${i + 1}`"
          :most="COUNTS.nameLength"
          :model-value="feed.name"
          @update:model-value="ofFeed(i, 'name')($event)"
        />
        <QuantityField
          label="a day"
          :limit="LIMITS.perDay"
          :model-value="feed.perDay"
          @update:model-value="setRange(i, $event, plan.feeds[i]!.mostPerDay ?? $event)"
        />
        <QuantityField
          label="at most"
          :limit="LIMITS.perDay"
          :model-value="feed.mostPerDay ?? feed.perDay"
          @update:model-value="setRange(i, Math.min(plan.feeds[i]!.perDay, $event), $event)"
        />
        <QuantityField
          :label="feed.form === 'cube' ? 'of one cube' : feed.form === 'dry' ? 'pinch' : 'sheet'"
          :limit="LIMITS.feedMass"
          :model-value="feed.massKg"
          @update:model-value="ofFeed(i, 'massKg')($event)"
        />
        <button
          class="icon-button col-start-3 row-start-1 justify-self-end"
          :aria-label="`Take out ${feed.name}`"
          @click="
            set(
              'feeds',
              plan.feeds.filter((other) => other.id !== feed.id),
            )
          "
        >
          <Trash2 :size="16" />
        </button>
      </li>
    </ul>
    <div class="mt-2 flex flex-wrap gap-2">
      <button
        v-for="form in FEED_FORM_CHOICES"
        :key="form.value"
        class="button"
        :disabled="plan.feeds.length >= COUNTS.feeds"
        @click="add(form.value)"
      >
        <Plus :size="14" /> {{ USUAL_NAME[form.value] }}
      </button>
    </div>
    <div class="mt-2 grid grid-cols-2 gap-x-3">
      <ChoiceField
        label="What lives there"
        :options="LOADS"
        :model-value="plan.stock"
        @update:model-value="set('stock', $event)"
      />
      <QuantityField
        label="Other filtration takes"
        :limit="LIMITS.otherShare"
        :model-value="plan.otherShare"
        @update:model-value="set('otherShare', $event)"
      />
    </div>
    <div class="mt-1">
      <FigureRow
        figure="systemVolume"
        label="Water in the system"
        :value="{ quantity: 'volume', si: load.systemVolumeM3 }"
      />
      <FigureRow
        v-if="load.most.loadKgPerM3 !== null"
        figure="feedLoad"
        :label="
          isRange ? 'Dry food left to the skimmer, at most' : 'Dry food left to the skimmer, a day'
        "
        :value="{ quantity: 'food-load', si: load.most.loadKgPerM3 }"
      />
      <p class="caption mt-1">
        <template v-if="isRange"
          >{{ units.shown({ quantity: 'food', si: load.least.dryFeedKgPerDay }).number }} to
        </template>
        {{ units.text('food', load.most.dryFeedKgPerDay) }} of dry food a day: counted as a
        <strong class="font-semibold">{{ LOAD_NAMES[load.least.loadClass] }}</strong>
        <template v-if="load.least.loadClass !== load.most.loadClass">
          to <strong class="font-semibold">{{ LOAD_NAMES[load.most.loadClass] }}</strong></template
        >
        load.
      </p>
    </div>
  </section>
</template>
