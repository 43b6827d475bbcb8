<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { defineAsyncComponent, ref } from 'vue'
import PumpPanel from '../pumps/PumpPanel.vue'
import RunPanel from '../run/RunPanel.vue'
import { useDesign } from '../workspace/design-store.ts'
import DutyFigures from './DutyFigures.vue'
import FindingList from './FindingList.vue'

const DutyChart = defineAsyncComponent(() => import('../pumps/DutyChart.vue'))

const store = useDesign()
const TABS = ['Duty', 'Pump', 'Run'] as const
const tab = ref(0)
</script>

<template>
  <div v-if="store.shown && store.solved" class="px-5 py-4">
    <h2 class="text-2xl font-semibold">Return</h2>
    <p class="text-ink-soft">One pump, one run of pipe, back over the tank.</p>
    <FindingList stop="return" :folded="tab > 0" class="mt-3" />
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
        <TabPanel :tabindex="-1"><RunPanel /></TabPanel>
      </TabPanels>
    </TabGroup>
    <p class="caption mt-5 border-t border-rule pt-3">
      Mains near salt water: residual-current protection, drip loops, nothing above open water.
      Primer and cement: air, gloves and the whole cure time. Fixed wiring and potable water are for
      licensed people and your local code.
    </p>
  </div>
</template>
