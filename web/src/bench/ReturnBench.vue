<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import PumpPanel from '../pumps/PumpPanel.vue'
import BalancePanel from '../balance/BalancePanel.vue'
import LineList from '../run/LineList.vue'
import RunPanel from '../run/RunPanel.vue'
import { useDesign } from '../workspace/design-store.ts'
import AssumedNote from './AssumedNote.vue'
import DutyFigures from './DutyFigures.vue'
import BenchHead from './BenchHead.vue'
import FindingList from './FindingList.vue'

const DutyChart = defineAsyncComponent(() => import('../pumps/DutyChart.vue'))

const store = useDesign()
const TABS = ['Duty', 'Pump', 'Run', 'Balance'] as const
const tab = ref(0)
const inWords = computed(() => {
  const { lines, pumps } = store.shown!.returnSide
  if (lines.length === 1) return 'One pump, one run of pipe, back over the tank.'
  const many = pumps.length === 1 ? 'One pump' : `${pumps.length} pumps`
  return `${many}, ${lines.length} lines, solved as one.`
})
</script>

<template>
  <div v-if="store.shown && store.solved" class="px-5 py-4">
    <BenchHead station="return">{{ inWords }}</BenchHead>
    <FindingList station="return" :folded="tab > 0" class="mt-3" />
    <AssumedNote station="return" class="mt-3" />
    <LineList class="mt-4" />
    <TabGroup as="div" class="mt-4" :selected-index="tab" @change="tab = $event">
      <TabList class="flex gap-1 border-b border-rule">
        <Tab v-for="name in TABS" :key="name" v-slot="{ selected }" as="template">
          <button
            class="-mb-px border-b-2 px-3 py-1.5 font-semibold"
            :class="
              selected
                ? 'border-needle text-needle'
                : 'border-transparent text-ink-soft hover:text-ink'
            "
          >
            {{ name }}
          </button>
        </Tab>
      </TabList>
      <TabPanels class="pt-3">
        <TabPanel :tabindex="-1">
          <DutyChart />
          <DutyFigures />
        </TabPanel>
        <TabPanel :tabindex="-1"><PumpPanel /></TabPanel>
        <TabPanel :tabindex="-1"><RunPanel :key="store.line?.id" /></TabPanel>
        <TabPanel :tabindex="-1"><BalancePanel /></TabPanel>
      </TabPanels>
    </TabGroup>
    <p class="caption mt-5 border-t border-rule pt-3">
      Mains near salt water: residual-current protection, drip loops, nothing above open water.
      Primer and cement: air, gloves and the whole cure time. Fixed wiring and potable water are for
      licensed people and your local code.
    </p>
  </div>
</template>
