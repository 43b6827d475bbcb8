<script setup lang="ts">
import { building } from '@yew-basin/core'
import { computed, onMounted } from 'vue'
import FindingList from '../bench/FindingList.vue'
import TextField from '../bench/TextField.vue'
import { useParts } from '../parts/parts-store.ts'
import { useUnits } from '../shell/units.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import BesideSection from './BesideSection.vue'
import BuyLine from './BuyLine.vue'
import BuyFiles from './BuyFiles.vue'
import HaveField from './HaveField.vue'
import { GROUP_WORDS } from './list-words.ts'
import { useTicker } from './ticker.ts'
import { useTicks } from './use-ticks.ts'
import PrintSheet from './printed/PrintSheet.vue'
import { useList } from './use-list.ts'
import { useSheet } from './use-sheet.ts'

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'To buy')
const { shopping, stateWords } = useTicks(() => id)
const ticker = useTicker()
const units = useUnits()
const { sheet, findings } = useSheet()

const parts = useParts()
onMounted(() => void parts.want())

const lines = useList(() => sheet.value)
const groups = computed(() =>
  building.SHOP_GROUPS.map((group) => ({
    group,
    own: lines.value.filter(({ line }) => line.group === group),
  })).filter(({ own }) => own.length > 0),
)
const cost = computed(() => building.addedUp(lines.value.map((line) => line.cost)))
const ticked = computed(
  () => lines.value.filter(({ line }) => shopping.of(line.key).tickedAt).length,
)
const torn = computed(() => (sheet.value?.joints ?? []).filter(({ isWhole }) => !isWhole).length)
const currency = computed(() => store.shown?.tariff?.currency ?? '')
</script>

<template>
  <BasinPage
    :id="id"
    heading="To buy"
    about="Everything between the drawing and glued pipe, in one trip. Change a pipe in the drawing, and this follows."
  >
    <template #beside-heading><PrintSheet :basin-id="id" /></template>
    <BesideSection>
      <p v-if="!sheet" role="status">The list is being made…</p>
      <template v-else>
        <p>
          <template v-if="torn === 0"
            >Every joint of this sheet has its two halves:
            {{ sheet.joints.length }} joints.</template
          >
          <template v-else
            ><strong class="text-aril">{{ torn }} of {{ sheet.joints.length }} joints</strong> have
            no two halves that one part joins.</template
          >
          {{ ticked }} of {{ lines.length }} lines ticked.
          <template v-if="cost.known > 0">
            About {{ units.text('money', cost.known) }} {{ currency
            }}<template v-if="cost.gaps > 0">, and {{ cost.gaps }} without a price</template>.
          </template>
        </p>
        <p v-if="stateWords" class="caption" role="status">{{ stateWords }}</p>
        <FindingList v-if="findings.length > 0" :own="findings" folded />
        <HaveField :list="sheet.list" />
        <div class="flex flex-wrap items-end gap-3">
          <TextField
            class="w-44"
            label="Who ticks here"
            :most="40"
            :model-value="ticker.name"
            @update:model-value="ticker.name = $event"
          />
          <BuyFiles :lines="lines" :name="store.basin!.name" />
        </div>
        <section v-for="{ group, own } in groups" :key="group" :aria-labelledby="`buy-${group}`">
          <div
            class="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 md:grid-cols-[minmax(0,1fr)_6rem_7rem_7rem]"
          >
            <h3 :id="`buy-${group}`" class="heading">{{ GROUP_WORDS[group] }}</h3>
            <span class="caption hidden md:inline" aria-hidden="true">had</span>
            <span class="caption hidden md:inline" aria-hidden="true">price</span>
            <span class="caption text-right" aria-hidden="true">to buy</span>
          </div>
          <ul>
            <BuyLine v-for="{ line, toBuy } in own" :key="line.key" :line="line" :to-buy="toBuy" />
          </ul>
        </section>
      </template>
    </BesideSection>
  </BasinPage>
</template>
