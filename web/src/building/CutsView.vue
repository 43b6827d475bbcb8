<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { building } from '@yew-basin/core'
import { Download } from '@lucide/vue'
import { computed } from 'vue'
import FindingList from '../bench/FindingList.vue'
import QuantityField from '../bench/QuantityField.vue'
import { saveFile } from '../shell/save-file.ts'
import { useUnits } from '../shell/units.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import { cutsCsv } from './cuts-csv.ts'
import { betweenWords, CUT_WORDS, cutGroups, PIPE_PARTS } from './cut-words.ts'
import { buildPlanOf, usePlan, usualHint } from './plan-edits.ts'
import IsometricsPart from './IsometricsPart.vue'
import OwnTakeOffs from './OwnTakeOffs.vue'
import StockBars from './StockBars.vue'
import PrintSheet from './printed/PrintSheet.vue'
import { useSheet } from './use-sheet.ts'

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Cuts')
const units = useUnits()
const { sheet, findings } = useSheet()
const { set } = usePlan()
const plan = computed(() => buildPlanOf(store.shown))

const groups = computed(() => (sheet.value ? cutGroups(sheet.value) : []))
const nameOf = (routeId: string) =>
  sheet.value!.routes.find((run) => run.id === routeId)?.name ?? ''
/** Whether so many lengths are the fewest. */
function fewestWords({ isFewest, lowerBound }: NonNullable<building.CutPlan['nesting']>): string {
  return isFewest
    ? ': no fewer can do.'
    : `; by the sum alone ${lowerBound} would do, and fewer may exist.`
}
const save = () => saveFile(`${store.basin!.name}, cuts.csv`, cutsCsv(sheet.value!), 'text/csv')
</script>

<template>
  <BasinPage
    :id="id"
    heading="Cuts"
    about="How long each piece is sawn, and out of which length, so that the fewest are bought. Marks are by run, in the order of the water."
  >
    <template #beside-heading><PrintSheet :basin-id="id" /></template>
    <p v-if="!sheet" role="status">The cuts are being worked out…</p>
    <div v-else class="space-y-6">
      <FindingList v-if="findings.length > 0" :own="findings" />
      <div class="flex flex-wrap items-start gap-3">
        <QuantityField
          class="w-40"
          label="Metric pipe is sold in"
          :limit="LIMITS.stock"
          :hint="usualHint(plan, 'metricStockM')"
          :model-value="plan.metricStockM"
          @update:model-value="set({ metricStockM: $event })"
        />
        <QuantityField
          class="w-40"
          label="Inch pipe is sold in"
          :limit="LIMITS.stock"
          :hint="usualHint(plan, 'inchStockM')"
          :model-value="plan.inchStockM"
          @update:model-value="set({ inchStockM: $event })"
        />
        <QuantityField
          class="w-32"
          label="A saw cut takes"
          :limit="LIMITS.sawCut"
          :hint="usualHint(plan, 'sawCutM')"
          :model-value="plan.sawCutM"
          @update:model-value="set({ sawCutM: $event })"
        />
        <button class="button mt-5" @click="save"><Download :size="15" /> CSV</button>
      </div>
      <section v-for="group in groups" :key="group.key" :aria-label="group.title">
        <h3 class="heading">{{ group.title }}</h3>
        <p v-if="group.cutPlan.nesting">
          {{ group.cutPlan.nesting.stocks.length }} ×
          {{ units.text('head', group.cutPlan.nesting.stockM)
          }}{{ fewestWords(group.cutPlan.nesting) }}
        </p>
        <p v-else>{{ units.text('head', group.cutPlan.totalM) }} of hose, slack and barbs in it.</p>
        <div
          v-if="group.cutPlan.nesting"
          class="my-2 overflow-x-auto"
          tabindex="0"
          role="region"
          :aria-label="`Lengths of ${group.title}`"
        >
          <StockBars class="min-w-[44rem]" :plan="group.cutPlan" />
        </div>
        <div
          class="overflow-x-auto"
          tabindex="0"
          role="region"
          :aria-label="`Cuts of ${group.title}`"
        >
          <table class="w-full text-[0.92rem]">
            <thead class="caption border-b border-rule text-left">
              <tr>
                <th scope="col" class="font-normal">Mark</th>
                <th scope="col" class="text-right font-normal">Cut</th>
                <th scope="col" class="pl-4 font-normal">Between</th>
                <th scope="col" class="text-right font-normal">Middle to middle</th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="cut in group.own"
                :key="cut.mark"
                class="border-b border-rule"
                :class="{ 'bg-needle-wash': cut.pieceIds.some((piece) => store.marked.has(piece)) }"
              >
                <th scope="row" class="py-1 text-left font-semibold">{{ cut.mark }}</th>
                <td class="text-right whitespace-nowrap">
                  {{ cut.cutM > 0 ? units.cut(cut.cutM, PIPE_PARTS) : 'no room' }}
                </td>
                <td class="pl-4">
                  {{ nameOf(cut.routeId) }}: {{ betweenWords(cut, sheet.routes) }}
                  <span v-if="cut.parts > 1" class="caption block"
                    >{{ cut.parts }} pieces with a coupling between</span
                  >
                  <span
                    v-if="CUT_WORDS[cut.verdict]"
                    class="block text-[0.85rem]"
                    :class="cut.verdict === 'too-short-to-glue' ? 'text-aril' : 'text-resin'"
                    >{{ CUT_WORDS[cut.verdict] }}</span
                  >
                </td>
                <td class="text-right whitespace-nowrap">
                  {{ units.cut(cut.centreToCentreM, PIPE_PARTS) }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
      <IsometricsPart :sheet="sheet" />
      <OwnTakeOffs :sheet="sheet" />
      <p class="caption max-w-3xl">
        Lengths are middle to middle, less the arm of each fitting. Arms of elbows and tees in
        metric sizes are ISO 264’s, depths of sockets ISO 727-1’s and ASTM D2466’s; others are
        typical: measure yours before you saw.
      </p>
    </div>
  </BasinPage>
</template>
