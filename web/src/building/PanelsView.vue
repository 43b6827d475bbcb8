<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import CutList from '../sump/CutList.vue'
import { useUnits } from '../shell/units.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import BoxPanels from './BoxPanels.vue'
import PrintSheet from './printed/PrintSheet.vue'
import { useSheet } from './use-sheet.ts'

const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Panels')
const units = useUnits()
const { sheet } = useSheet()
const silicone = computed(() => sheet.value?.list.find(({ key }) => key === 'silicone') ?? null)
const isBuilt = computed(() => store.shown?.sump.box?.make === 'self-built')
</script>

<template>
  <BasinPage
    :id="id"
    heading="Panels"
    about="What you build yourself of panels, the sump’s walls and overflow boxes: what is cut, how it is sealed, and in which order, so that a hand gets to each seam."
  >
    <template #beside-heading><PrintSheet :basin-id="id" /></template>
    <p v-if="!store.shown!.sump.box">
      The sump has no sizes yet.
      <RouterLink class="underline" :to="`/basins/${id}/sump`">Give them at the sump</RouterLink>.
    </p>
    <p v-else-if="!isBuilt">
      This sump is bought: it has its walls already. If you build its walls yourself,
      <RouterLink class="underline" :to="`/basins/${id}/sump`">say so at the sump</RouterLink>.
    </p>
    <div v-else class="max-w-3xl space-y-5">
      <CutList />
      <p v-if="silicone">
        Silicone: about {{ units.text('glue', silicone.count) }}, a fillet of 6 mm on both faces of
        each seam and the gap filled. Spacers of the gap’s thickness keep it open while it cures;
        tape each side, and draw it off while it is wet.
      </p>
      <p class="caption">
        Silicone cures about 24 h for 3 mm; water after 72 h. The tube’s own label rules. Use one
        for aquariums, without fungicide.
      </p>
    </div>
    <div v-if="sheet && sheet.boxes.length > 0" class="mt-6 max-w-3xl space-y-5">
      <p>
        If you build an overflow box too: a floor under all its sides, front and back over the edges
        of the ends. A box in the tank has no panel where the tank’s own is; its toothed edges stand
        at the height the section shows.
      </p>
      <BoxPanels v-for="box in sheet.boxes" :key="box.tankId" :box="box" />
    </div>
  </BasinPage>
</template>
