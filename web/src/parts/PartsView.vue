<script setup lang="ts">
import { Copy, Pencil, Plus, Trash2 } from '@lucide/vue'
import type { PartAnswer, PartKind } from '@yew-basin/contract'
import { sizeWords } from '@yew-basin/core'
import { computed, nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { RouterLink } from 'vue-router'
import { useLastPlaces } from '../workspace/last-places.ts'
import { WAY } from '../workspace/phases.ts'
import BrandLink from '../shell/BrandLink.vue'
import { useNotices } from '../shell/notices.ts'
import { usePhone } from '../shell/phone.ts'
import ThemeSwitch from '../shell/ThemeSwitch.vue'
import { useUnits } from '../shell/units.ts'
import UnitSwitch from '../shell/UnitSwitch.vue'
import PartEditor from './PartEditor.vue'
import { KINDS, newSpec, type PartDraft } from './part-words.ts'
import { usePartDrafts } from './part-drafts.ts'
import { useParts } from './parts-store.ts'

/** The sample library and the keeper's own parts. */
defineProps<{ from: string }>()
const store = useParts()
const places = useLastPlaces()
const units = useUnits()
const notices = useNotices()
onMounted(() => void store.load())
document.title = 'Parts · Yew Basin'

const drafts = usePartDrafts()
const isPhone = usePhone()
const editor = useTemplateRef<HTMLElement>('editor')
/** Each beginning is an editor of its own. */
const begun = ref(0)
const kind = ref<PartKind>(drafts.draft?.kind ?? 'pump')
const shown = computed(() => store.parts.filter((part) => part.kind === kind.value))
const oneWord = computed(() => KINDS.find((known) => known.kind === kind.value)!.one)

function make() {
  const spec = newSpec(kind.value, units.family) as PartAnswer['spec']
  begin({ id: null, revision: 0, kind: kind.value, name: `My ${oneWord.value}`, spec })
}
function edit({ id, revision, kind: its, name, spec }: PartAnswer) {
  begin({ id, revision, kind: its, name, spec })
}
function copy({ id: of, kind: its, name, spec }: PartAnswer) {
  begin({ id: null, of, revision: 0, kind: its, name: `${name}, mine`, spec })
}
function begin(draft: PartDraft) {
  begun.value++
  if (drafts.begin(draft)) notices.tell('What you had begun to change is here again.')
  // On a phone the form stands under a long list.
  void nextTick(() => {
    if (isPhone.value) editor.value?.scrollIntoView?.({ block: 'start' })
    editor.value?.querySelector('input')?.focus({ preventScroll: true })
  })
}
async function remove(part: PartAnswer) {
  try {
    await store.remove(part)
    notices.tell(`${part.name} is in the bin. Designs that use it keep it as it was.`, {
      action: { label: 'Undo', run: () => store.restore(part.id) },
    })
  } catch (error) {
    notices.tell((error as Error).message, { tone: 'bad' })
  }
}

/** The one or two figures a part is known by. */
function figures(part: PartAnswer): string {
  switch (part.kind) {
    case 'pump': {
      const { curve, maxFlowM3PerS, shutOffHeadM, ratedPowerW, control } = part.spec
      const flow = curve.at(-1)?.flowM3PerS ?? maxFlowM3PerS ?? 0
      const head = shutOffHeadM ?? curve[0]?.headM ?? 0
      const how = control === 'controllable' ? ', controllable' : ''
      return `${units.text('flow', flow)}, ${units.text('head', head)}, ${units.text('power', ratedPowerW)}${how}`
    }
    case 'pipe':
    case 'hose': {
      const { boreM } = part.spec
      return boreM === null
        ? sizeWords(part.spec)
        : `${sizeWords(part.spec)}, bore ${units.text('length', boreM)}`
    }
    case 'fitting':
      return `K ${part.spec.k}`
    case 'valve':
      return `${part.spec.form}, ${units.text('valve-coefficient', part.spec.kvM3PerH)} open`
    case 'nozzle':
      return `mouth ${units.text('length', part.spec.boreM)}`
    case 'bulkhead':
      return `bore ${units.text('length', part.spec.boreM)}, drill ${units.text('length', part.spec.holeM)}, flange ${units.text('length', part.spec.flangeM)}`
    case 'skimmer':
      return `${units.text('flow', part.spec.skimmer!.flowM3PerS)}, for ${units.text('volume', part.spec.skimmer!.ratedM3.medium)} at a medium load, ${units.text('power', part.spec.powerW)}`
    case 'sterilizer': {
      const { by, ratedDoseJPerM2, ratedFlowM3PerS, uvcPowerW } = part.spec.sterilizer!
      return by === 'maker'
        ? `${units.text('dose', ratedDoseJPerM2)} at ${units.text('flow', ratedFlowM3PerS)}, ${units.text('power', part.spec.powerW)}`
        : `${units.text('power', uvcPowerW)} of ultraviolet C, ${units.text('power', part.spec.powerW)}`
    }
    case 'circulation': {
      const { form, flowM3PerS, powerW } = part.spec
      return `${form}, ${units.text('flow', flowM3PerS)}, ${units.text('power', powerW)}`
    }
    default: {
      const { window, powerW } = part.spec
      const flows = window
        ? `, ${units.text('flow', window.leastM3PerS)} to ${units.text('flow', window.mostM3PerS)}`
        : ''
      return `${units.text('power', powerW)}${flows}`
    }
  }
}
</script>

<template>
  <div class="min-h-dvh">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-4 py-1.5">
      <BrandLink />
      <RouterLink v-if="from" :to="places.toView(from, WAY)" class="text-needle hover:underline"
        >Back to the design</RouterLink
      >
      <span class="grow" />
      <ThemeSwitch />
      <UnitSwitch />
    </header>
    <main class="mx-auto max-w-6xl px-5 py-5">
      <h1 class="text-2xl font-semibold">Parts</h1>
      <p class="mb-4 max-w-3xl text-ink-soft">
        The sample library, and what you keep of your own: figures off a box, a bore you measured, a
        curve traced from a picture.
      </p>
      <p v-if="store.fault" class="text-aril" role="alert">
        {{ store.fault }} <button class="underline" @click="store.load()">Try again</button>
      </p>
      <div
        class="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)]"
      >
        <section aria-label="List of parts">
          <div class="mb-2 flex flex-wrap gap-1" role="group" aria-label="Kind of part">
            <button
              v-for="offer in KINDS"
              :key="offer.kind"
              class="rounded-md px-2.5 py-1"
              :class="
                kind === offer.kind ? 'bg-needle-wash font-semibold text-needle' : 'hover:bg-sunk'
              "
              :aria-pressed="kind === offer.kind"
              @click="kind = offer.kind"
            >
              {{ offer.label }}
            </button>
            <span class="grow" />
            <button class="button" @click="make"><Plus :size="15" /> New {{ oneWord }}</button>
          </div>
          <p v-if="!store.ready && !store.fault" class="caption" role="status">
            Fetching the parts…
          </p>
          <ul class="divide-y divide-rule border-y border-rule" aria-label="Parts">
            <li v-for="part in shown" :key="part.id" class="flex items-center gap-2 py-1">
              <span class="grow leading-tight">
                {{ part.name }} <span v-if="part.own" class="caption">(your own)</span>
                <span class="caption block">{{ figures(part) }}</span>
              </span>
              <template v-if="part.own">
                <button
                  class="icon-button size-8!"
                  :aria-label="`Change ${part.name}`"
                  @click="edit(part)"
                >
                  <Pencil :size="15" />
                </button>
                <button
                  class="icon-button size-8!"
                  :aria-label="`Delete ${part.name}`"
                  @click="remove(part)"
                >
                  <Trash2 :size="15" />
                </button>
              </template>
              <button
                v-else
                class="icon-button size-8!"
                :aria-label="`Copy ${part.name} into your own`"
                @click="copy(part)"
              >
                <Copy :size="15" />
              </button>
            </li>
          </ul>
        </section>
        <div v-if="drafts.draft" ref="editor">
          <PartEditor
            :key="`${drafts.draft.id}${drafts.draft.kind}${begun}`"
            :draft="drafts.draft"
            @done="drafts.end()"
          />
        </div>
        <p v-else class="text-ink-soft">
          Copy a part of the library, or make one of your own, to change its figures here.
        </p>
      </div>
    </main>
  </div>
</template>
