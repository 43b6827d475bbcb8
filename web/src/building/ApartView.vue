<script setup lang="ts">
import { computed } from 'vue'
import FindingList from '../bench/FindingList.vue'
import { useUnits } from '../shell/units.ts'
import BasinPage from '../workspace/BasinPage.vue'
import { useBasin } from '../workspace/use-basin.ts'
import BesideSection from './BesideSection.vue'
import ApartRow from './ApartRow.vue'
import { roomWords } from './apart-words.ts'
import PrintSheet from './printed/PrintSheet.vue'
import { useSheet } from './use-sheet.ts'

const { id } = defineProps<{ id: string }>()
useBasin(() => id, 'Comes apart')
const units = useUnits()
const { sheet, findings } = useSheet()
const OF_THIS: ReadonlySet<string> = new Set([
  'cannot-come-out',
  'glued-between-fixed',
  'joint-out-of-reach',
])
/** What can't come out, and how it could. */
const held = computed(() => findings.value.filter(({ code }) => OF_THIS.has(code)))

const rows = computed(() => sheet.value?.apart ?? [])
const stuck = computed(() => rows.value.filter(({ isFree }) => !isFree).length)
</script>

<template>
  <BasinPage
    :id="id"
    heading="Comes apart"
    about="Everything comes out one day, to be cleaned, changed or sold: what to shut, what to undo, and what runs out meanwhile. Stop the pumps and unplug them first."
  >
    <template #beside-heading><PrintSheet :basin-id="id" /></template>
    <BesideSection>
      <p v-if="!sheet" role="status">It is being worked out…</p>
      <template v-else>
        <p>
          <template v-if="stuck === 0">
            All {{ rows.length }} things come out without a saw.
          </template>
          <template v-else>
            <strong class="text-aril">{{ stuck }} of {{ rows.length }} things</strong> can’t come
            out without a saw.
          </template>
        </p>
        <FindingList v-if="held.length > 0" :own="held" />
        <ul aria-label="Things that come out">
          <ApartRow v-for="row in rows" :key="row.thing.id" :row="row" />
        </ul>
        <p class="caption max-w-3xl">
          What runs out is counted from the lowest joint that is opened up to the valves that are
          shut; what stands in a box is emptied first where its bulkhead is undone.
          {{ roomWords(units) }}.
        </p>
      </template>
    </BesideSection>
  </BasinPage>
</template>
