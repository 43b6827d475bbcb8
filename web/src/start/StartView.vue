<script setup lang="ts">
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { editing, starting } from '@yew-basin/core'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { onBeforeRouteLeave, RouterLink, useRouter } from 'vue-router'
import QuantityField from '../bench/QuantityField.vue'
import SheetPane from '../section/SheetPane.vue'
import UnitSwitch from '../shell/UnitSwitch.vue'
import { useUnits } from '../shell/units.ts'
import ChoiceField from '../bench/ChoiceField.vue'
import ConflictDialog from '../workspace/ConflictDialog.vue'
import NotOpen from '../workspace/NotOpen.vue'
import { useBasin } from '../workspace/use-basin.ts'
import { useUndoKeys } from '../workspace/use-undo-keys.ts'
import WorkspaceHeader from '../workspace/WorkspaceHeader.vue'
import ChoiceList from './ChoiceList.vue'
import DonePage from './DonePage.vue'
import LivesPage from './LivesPage.vue'
import PumpPage from './PumpPage.vue'
import SumpPage from './SumpPage.vue'
import TankPage from './TankPage.vue'
import { useStart } from './use-start.ts'

/** From what a keeper knows to a whole loop, a question at a time; the drawing fills in. */
const { id } = defineProps<{ id: string }>()
// Asked before the basin is saved and left: what was answered last is still laid.
onBeforeRouteLeave(() => start.settled())
const store = useBasin(() => id, 'New basin')
useUndoKeys()
const router = useRouter()
const units = useUnits()
const start = useStart(store, id)
const { answers, pages, page, at, isLaying, fault } = start

const KINDS = starting.START_KINDS.map(({ kind, name, about }) => ({
  value: kind,
  label: name,
  about,
}))
const SCHOOLS = editing.DRAIN_SCHOOLS.map(({ school, name, trade }) => ({
  value: school,
  label: name,
  about: trade,
}))
/** Two, and as many as a sump may have. */
const HOW_MANY = Array.from({ length: COUNTS.tanks - 1 }, (_, i) => String(i + 2)).map((value) => ({
  value,
  label: value,
}))

function begin(kind: starting.StartKind) {
  start.choose(kind)
  start.next()
}
function setCount(count: string) {
  const now = answers.value.tanks
  const tanks = Array.from(
    { length: Number(count) },
    (_, i) => now[i] ?? { name: `Tank ${i + 1}`, sizes: null, sizesGiven: false },
  )
  start.answer({ tanks })
}
const laidM = computed(() => store.solvedLine?.pipeLengthM ?? 0)
const tooShort = computed(() => {
  const { runM } = answers.value
  return runM !== null && !isLaying.value && laidM.value > runM + 0.005
})

/** A change of question moves the focus to its heading, and its beginning into view. */
const heading = useTemplateRef<HTMLElement>('heading')
watch(at, async () => {
  await nextTick()
  heading.value?.focus()
  heading.value?.scrollIntoView?.({ block: 'nearest' })
})
const open = () => router.push(`/basins/${id}/return`)
</script>

<template>
  <div v-if="store.loadState === 'ready' && store.solved" class="start">
    <WorkspaceHeader class="area-head" />
    <main class="area-questions px-5 py-5 lg:overflow-y-auto">
      <p class="caption" aria-live="polite">
        {{ page.id === 'done' ? 'All asked' : `Question ${at + 1} of ${pages.length - 1}`
        }}<template v-if="isLaying">. It is being laid out…</template>
      </p>
      <h2 ref="heading" tabindex="-1" class="text-2xl font-semibold outline-none">
        {{ page.heading }}
      </h2>
      <p class="mb-4 text-ink-soft">{{ page.why }}</p>
      <form class="space-y-4" novalidate @submit.prevent="start.next()">
        <template v-if="page.id === 'kind'">
          <div class="flex items-center gap-3">
            <span>You measure in</span>
            <UnitSwitch />
          </div>
          <ChoiceList
            label="Kinds"
            :options="KINDS"
            :chosen="at > 0 ? answers.kind : null"
            @take="begin"
          />
          <p class="caption">
            Or
            <RouterLink to="/" class="text-needle underline"
              >start from a copy of a sample</RouterLink
            >
            on your shelf.
          </p>
        </template>
        <template v-else-if="page.id === 'tank'">
          <ChoiceField
            v-if="answers.kind === 'several' && page.tank === 0"
            class="w-1/2"
            label="How many tanks"
            :options="HOW_MANY"
            :model-value="String(answers.tanks.length)"
            @update:model-value="setCount"
          />
          <TankPage :key="page.tank" :answers="answers" :index="page.tank" @answer="start.answer" />
        </template>
        <LivesPage
          v-else-if="page.id === 'lives'"
          :answers="answers"
          :net-volume-m3="store.solved.totals.netVolumeM3"
          @answer="start.answer"
          @next="start.next()"
        />
        <ChoiceList
          v-else-if="page.id === 'drains'"
          label="Ways down"
          :options="SCHOOLS"
          :chosen="answers.school"
          @take="(start.answer({ school: $event }), start.next())"
        />
        <SumpPage v-else-if="page.id === 'sump'" :answers="answers" @answer="start.answer" />
        <QuantityField
          v-else-if="page.id === 'behind'"
          class="w-1/2"
          label="Front to back, inside"
          :limit="LIMITS.sumpLength"
          :model-value="answers.behindM ?? NaN"
          @update:model-value="start.answer({ behindM: $event })"
        />
        <QuantityField
          v-else-if="page.id === 'lift'"
          class="w-1/2"
          label="From the water up to the pipe’s end"
          :limit="LIMITS.lift"
          :model-value="answers.liftM ?? NaN"
          @update:model-value="start.answer({ liftM: $event })"
        />
        <template v-else-if="page.id === 'run'">
          <QuantityField
            class="w-1/2"
            label="All of the pipe"
            :limit="LIMITS.wholePipe"
            :model-value="answers.runM ?? NaN"
            @update:model-value="start.answer({ runM: $event })"
          />
          <p v-if="tooShort" class="text-resin" role="status">
            To reach that height it takes {{ units.text('head', laidM) }} at least; so much is laid.
          </p>
        </template>
        <PumpPage
          v-else-if="page.id === 'pump'"
          :answers="answers"
          :shelf="start.shelf.value"
          @answer="start.answer"
        />
        <DonePage v-else :wants-flow="answers.kind !== 'pump-only'" />
        <p v-if="fault" class="text-aril" role="alert">It could not be laid out: {{ fault }}</p>

        <div class="flex flex-wrap items-center gap-2 border-t border-rule pt-4">
          <button v-if="at > 0" type="button" class="button" @click="start.back()">Back</button>
          <span class="grow" />
          <RouterLink
            v-if="page.id !== 'done'"
            :to="`/basins/${id}/return`"
            class="px-2 py-1 text-needle underline"
            >Skip the rest</RouterLink
          >
          <button v-if="page.id === 'done'" type="button" class="button button-main" @click="open">
            Open the water’s way
          </button>
          <button
            v-else
            type="submit"
            class="button"
            :class="{ 'button-main': page.id !== 'kind' }"
          >
            {{ page.id === 'kind' ? 'I don’t know yet' : 'Next' }}
          </button>
        </div>
      </form>
    </main>
    <section class="area-section relative bg-sheet" aria-label="What it comes to">
      <SheetPane />
    </section>
    <ConflictDialog />
  </div>
  <NotOpen v-else :id="id" />
</template>

<style scoped>
.start {
  display: grid;
  min-height: 100dvh;
  grid-template:
    'head' auto
    'questions' auto
    'section' minmax(min(82vw, 24rem), 1fr) / minmax(0, 1fr);
  /* Nothing lies under the bar of the phases. */
  padding-bottom: 3.25rem;
}
.area-head {
  grid-area: head;
}
.area-questions {
  grid-area: questions;
  min-width: 0;
}
.area-section {
  grid-area: section;
  min-width: 0;
  min-height: 0;
  border-block: 1px solid var(--rule);
}
@media (min-width: 64rem) {
  .start {
    height: 100dvh;
    padding-bottom: 0;
    grid-template:
      'head head' auto
      'questions section' minmax(0, 1fr) / minmax(26rem, 2fr) 3fr;
  }
  .area-section {
    border-block: 0;
    border-left: 1px solid var(--rule);
  }
}
</style>
