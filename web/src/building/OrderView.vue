<script setup lang="ts">
import { say } from '@yew-basin/core'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import TextField from '../bench/TextField.vue'
import { useUnits } from '../shell/units.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import { roomWords } from './apart-words.ts'
import BesideSection from './BesideSection.vue'
import { daysOf } from './days.ts'
import OrderPlayer from './OrderPlayer.vue'
import OrderStep from './OrderStep.vue'
import { buildPlanOf, usePlan } from './plan-edits.ts'
import { useTicker } from './ticker.ts'
import PrintSheet from './printed/PrintSheet.vue'
import { useSheet } from './use-sheet.ts'
import { useTicks } from './use-ticks.ts'

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Order')
const units = useUnits()
const ticker = useTicker()
const { shopping, stateWords } = useTicks(() => id)
const { sheet } = useSheet()
const { set } = usePlan()
const plan = computed(() => buildPlanOf(store.shown))

const order = computed(() => sheet.value?.order ?? null)
const days = computed(() => daysOf(order.value?.steps ?? [], plan.value.startsOn))
const tickedNumbers = computed(
  () =>
    new Set(
      (order.value?.steps ?? [])
        .filter((step) => shopping.of(`step ${step.id}`).tickedAt !== null)
        .map(({ number }) => number),
    ),
)
/** Tanks that have a bulkhead to set. */
const drilled = computed(() => {
  const holes = new Set((sheet.value?.holes ?? []).map(({ tankId }) => tankId))
  return store.shown!.tanks.filter((tank) => holes.has(tank.id))
})
/** The step that is played; without a choice the first that is not done. */
const chosenStep = ref<number | null>(null)
const playedStep = computed({
  get: () => {
    const open = order.value?.steps.find(({ number }) => !tickedNumbers.value.has(number))
    return chosenStep.value ?? open?.number ?? 1
  },
  set: (number) => (chosenStep.value = number),
})
/** Where there is room beside the list. */
const isWide = useMediaQuery('(min-width: 80rem)')
const SCHOOLS = [
  { value: 'before', label: 'before it is lifted' },
  { value: 'after', label: 'once it stands' },
] as const
function choose(tankId: string, school: 'before' | 'after') {
  const others = plan.value.bulkheadsAfter.filter((other) => other !== tankId)
  set({ bulkheadsAfter: school === 'after' ? [...others, tankId] : others })
}
</script>

<template>
  <BasinPage
    :id="id"
    heading="Order"
    about="What is done after what, and why: the bench first, then what is set and lifted, then what is joined where it stands. Gloves and an open window for primer and cement."
  >
    <template #beside-heading><PrintSheet :basin-id="id" /></template>
    <BesideSection>
      <template v-if="order && isWide" #beside>
        <OrderPlayer v-model="playedStep" :order="order" />
      </template>
      <p v-if="!order" role="status">The order is being worked out…</p>
      <template v-else>
        <p v-if="order.stuck.length > 0" class="text-aril" role="alert">
          These wait for each other, and can’t be put in an order:
          {{ order.stuck.map(({ title }) => say(title, units.family)).join('; ') }}. They wait
          because: {{ order.stuckBy.map((why) => say(why, units.family)).join(' ') }}
        </p>
        <div class="flex flex-wrap items-end gap-3">
          <label class="block w-44">
            <span class="caption">Building begins on</span>
            <input
              type="date"
              class="box"
              :value="plan.startsOn ?? ''"
              @change="set({ startsOn: ($event.target as HTMLInputElement).value || null })"
            />
          </label>
          <ChoiceField
            v-for="tank in drilled"
            :key="tank.id"
            class="w-56"
            :label="`Bulkheads of ${tank.name} go in`"
            :options="SCHOOLS"
            :model-value="plan.bulkheadsAfter.includes(tank.id) ? 'after' : 'before'"
            @update:model-value="choose(tank.id, $event)"
          />
          <TextField
            class="w-44"
            label="Who ticks here"
            :most="40"
            :model-value="ticker.name"
            @update:model-value="ticker.name = $event"
          />
        </div>
        <p v-if="drilled.length > 0" class="caption max-w-3xl">
          Before, a hand gets under the floor, and the tank is set down with care for what hangs
          there. Once it stands, nothing can crack the floor, and there must be room below for a
          wrench.
        </p>
        <p>{{ tickedNumbers.size }} of {{ order.steps.length }} steps done.</p>
        <p v-if="stateWords" class="caption" role="status">{{ stateWords }}</p>
        <details v-if="!isWide" class="rounded-lg border border-rule bg-sheet">
          <summary class="cursor-pointer px-3 py-2">Step by step in the isometric</summary>
          <div class="relative h-96 border-t border-rule">
            <OrderPlayer v-model="playedStep" :order="order" />
          </div>
        </details>
        <section v-for="day in days" :key="day.number" :aria-label="day.title">
          <h3 class="heading">{{ day.title }}</h3>
          <ol>
            <OrderStep
              v-for="step in day.steps"
              :key="step.id"
              :step="step"
              :ticked-numbers="tickedNumbers"
              :is-played="step.number === playedStep"
              @play="playedStep = step.number"
            />
          </ol>
        </section>
        <p class="caption max-w-3xl">
          Hours of cement and silicone are typical, at 20 °C; the tin’s and the tube’s own label
          rules. {{ roomWords(units) }}: fit all of it dry once.
        </p>
      </template>
    </BesideSection>
  </BasinPage>
</template>
