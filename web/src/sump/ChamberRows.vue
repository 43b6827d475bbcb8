<script setup lang="ts">
import { ArrowLeft, ArrowRight, GripVertical, Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS, type Limit } from '@yew-basin/contract/limits'
import {
  type ChamberUse,
  type SumpChamber,
  setTo,
  toMillimetre,
  type EditPath,
  editing,
} from '@yew-basin/core'
import { computed, ref } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import ChoiceField from '../bench/ChoiceField.vue'
import FigureRow from '../bench/FigureRow.vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import TickField from '../bench/TickField.vue'
import StateMark from '../shell/StateMark.vue'
import { useNotices } from '../shell/notices.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { USES } from './sump-words.ts'

/** The chambers, left to right: their order, what is in each, what the water does there. */
const store = useDesign()
const notices = useNotices()
const units = useUnits()
const sump = computed(() => store.shown!.sump)
const chosenId = ref<string | null>(null)

const chambers = computed({
  get: () => [...sump.value.chambers],
  set: (next: SumpChamber[]) => {
    const moved = editing.reordered(
      store.design!.sump,
      next.map(({ id }) => id),
    )
    store.edit([setTo(['sump'], moved)])
  },
})
const solvedOf = (id: string) =>
  store.solved!.sump.chambers.find(({ chamberId }) => chamberId === id)!
const stateOf = (id: string) =>
  store.solved!.findings.find(({ chamberId }) => chamberId === id)?.severity ?? 'fine'

function move(index: number, by: 1 | -1) {
  const next = [...sump.value.chambers]
  const [moved] = next.splice(index, 1)
  next.splice(index + by, 0, moved!)
  chambers.value = next
}

function add(use: ChamberUse) {
  const index = Math.max(
    0,
    sump.value.chambers.findIndex(({ id }) => id === chosenId.value),
  )
  const made = editing.withChamber(store.design!.sump, index, use, () => crypto.randomUUID())
  if (!made) notices.tell('That chamber is too short to part in two.')
  else store.edit([setTo(['sump'], made)])
}

/** The return chamber stays; what ends in another goes to where drains come in. */
function remove(index: number) {
  const design = store.design!
  store.edit(editing.sumpEdits(design, editing.withoutChamber(design.sump, index)))
  chosenId.value = null
}
const at = <const More extends EditPath>(index: number, ...more: More) =>
  ['sump', 'chambers', index, ...more] as const
const isReturn = (id: string) => id === store.solved!.sump.returnChamberId
/** How long it may become; null: it is the only one. */
function lengthLimit(index: number): Limit | null {
  const range = editing.chamberLengthRange(sump.value, index)
  return range && { quantity: 'length', min: range.leastM, max: range.mostM }
}
const lengthen = (index: number, lengthM: number) =>
  store.edit([setTo(['sump'], editing.withChamberLength(store.design!.sump, index, lengthM))])
/** The wall that holds so much water in a chamber; null: none of its own does. */
function wallFor(index: number, wantedM: number) {
  const { chambers: running, returnChamberId } = store.solved!.sump
  const { depthM } = running[index]!
  const returnIndex = running.findIndex(({ chamberId }) => chamberId === returnChamberId)
  if (depthM === null || Number.isNaN(wantedM)) return null
  return editing.wallHolding(sump.value, { index, returnIndex, depthM, wantedM })
}
function deepen(index: number, wantedM: number) {
  const wall = wallFor(index, wantedM)
  if (wall) store.set(['sump', 'walls', wall.at, 'topM'], wall.topM)
}
const full = computed(() => sump.value.chambers.length >= COUNTS.chambers)
</script>

<template>
  <section aria-labelledby="chambers-heading">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <h3 id="chambers-heading" class="heading grow">Chambers, left to right</h3>
      <button class="button" :disabled="full || !!store.preview" @click="add('other')">
        <Plus :size="15" /> Part {{ chosenId ? 'it' : 'the first' }} in two
      </button>
    </div>
    <p class="caption">
      Drag to reorder, here or by its handle in the section; drag a wall there to move it, or use
      the arrow keys.
    </p>
    <VueDraggable
      v-model="chambers"
      tag="ol"
      handle=".handle"
      :disabled="!!store.preview"
      :animation="120"
      class="mt-1 border-t border-rule"
      aria-label="Chambers"
    >
      <li v-for="(chamber, i) in chambers" :key="chamber.id" class="border-b border-rule py-1">
        <div class="flex items-center gap-1.5">
          <span class="handle cursor-grab text-ink-soft" aria-hidden="true"
            ><GripVertical :size="16"
          /></span>
          <button
            class="flex min-h-7 min-w-0 grow items-center gap-2 text-left"
            :aria-expanded="chosenId === chamber.id"
            @click="chosenId = chosenId === chamber.id ? null : chamber.id"
          >
            <StateMark :state="stateOf(chamber.id)" :size="13" />
            <span class="min-w-0 grow">
              <span class="block font-semibold leading-tight">{{ chamber.name }}</span>
              <span class="caption block">
                {{ units.text('length', solvedOf(chamber.id).lengthM ?? NaN) }} long,
                {{
                  units.text(
                    'length',
                    solvedOf(chamber.id).depthM ?? NaN,
                    solvedOf(chamber.id).levelBandM,
                  )
                }}
                deep
              </span>
            </span>
          </button>
          <button
            class="icon-button size-7!"
            :aria-label="`Move ${chamber.name} left`"
            :disabled="i === 0 || !!store.preview"
            @click="move(i, -1)"
          >
            <ArrowLeft :size="14" />
          </button>
          <button
            class="icon-button size-7!"
            :aria-label="`Move ${chamber.name} right`"
            :disabled="i === chambers.length - 1 || !!store.preview"
            @click="move(i, 1)"
          >
            <ArrowRight :size="14" />
          </button>
          <button
            class="icon-button size-7!"
            :aria-label="`Take out ${chamber.name}`"
            :disabled="isReturn(chamber.id) || !!store.preview"
            @click="remove(i)"
          >
            <Trash2 :size="14" />
          </button>
        </div>
        <fieldset
          v-if="chosenId === chamber.id"
          :disabled="!!store.preview"
          class="ml-6 mt-1 min-w-0"
        >
          <FigureRow
            figure="chamberTime"
            label="Water stays for"
            :chamber-id="chamber.id"
            :value="{ quantity: 'duration', si: solvedOf(chamber.id).throughflowS ?? NaN }"
          />
          <dl class="facts">
            <dt>Water in it</dt>
            <dd>{{ units.text('volume', solvedOf(chamber.id).volumeM3 ?? NaN) }}</dd>
            <dt>Through it</dt>
            <dd>
              {{
                units.text(
                  'flow',
                  solvedOf(chamber.id).throughM3PerS,
                  solvedOf(chamber.id).throughBandM3PerS,
                )
              }}
            </dd>
            <dt>To the sump’s rim</dt>
            <dd>{{ units.text('length', solvedOf(chamber.id).freeboardM ?? NaN) }}</dd>
            <template v-if="solvedOf(chamber.id).speedMPerS !== null">
              <dt>Along the sump</dt>
              <dd>{{ units.text('slow-speed', solvedOf(chamber.id).speedMPerS ?? NaN) }}</dd>
            </template>
            <template v-if="solvedOf(chamber.id).trap">
              <dt>Down the gap</dt>
              <dd>{{ units.text('speed', solvedOf(chamber.id).trap!.downMPerS) }}</dd>
              <dt>Largest bubble it carries</dt>
              <dd>
                {{
                  solvedOf(chamber.id).trap!.largestBubbleM === null
                    ? 'all bubbles'
                    : units.text('length', solvedOf(chamber.id).trap!.largestBubbleM ?? NaN)
                }}
              </dd>
            </template>
          </dl>
          <div class="grid grid-cols-2 gap-x-3 gap-y-2">
            <TextField
              label="Name of the chamber"
              :most="COUNTS.nameLength"
              :model-value="chamber.name"
              @update:model-value="store.set(at(i, 'name'), $event)"
            />
            <ChoiceField
              label="It is for"
              :options="USES"
              :model-value="chamber.use"
              @update:model-value="store.set(at(i, 'use'), $event)"
            />
            <QuantityField
              v-if="lengthLimit(i)"
              label="Its length"
              hint="The longest other chamber gives it"
              :limit="lengthLimit(i)!"
              :model-value="solvedOf(chamber.id).lengthM ?? NaN"
              @update:model-value="lengthen(i, $event)"
            />
            <QuantityField
              v-if="wallFor(i, solvedOf(chamber.id).depthM ?? NaN)"
              label="Its depth of water"
              hint="Its wall follows"
              :limit="{ ...LIMITS.wallTop, max: sump.box!.heightM }"
              :model-value="toMillimetre(solvedOf(chamber.id).depthM ?? NaN)"
              @update:model-value="deepen(i, $event)"
            />
            <QuantityField
              v-if="isReturn(chamber.id) || solvedOf(chamber.id).apart"
              label="Filled to, over the room’s floor"
              :limit="LIMITS.sourceLevel"
              :at="at(i, 'levelM')"
              :model-value="chamber.levelM"
              @update:model-value="store.set(at(i, 'levelM'), $event)"
            />
            <QuantityField
              label="Footprint of what stands in it"
              :limit="LIMITS.footprint"
              :model-value="chamber.footprintM2"
              @update:model-value="store.set(at(i, 'footprintM2'), $event)"
            />
            <QuantityField
              label="Rock and gear under water"
              :limit="LIMITS.submerged"
              :model-value="chamber.submergedM3"
              @update:model-value="store.set(at(i, 'submergedM3'), $event)"
            />
          </div>
          <TickField
            class="mt-2"
            label="A skimmer here wants a depth"
            :model-value="chamber.wantsDepth !== null"
            @update:model-value="
              store.set(at(i, 'wantsDepth'), $event ? { leastM: 0.2, mostM: 0.25 } : null)
            "
          />
          <div v-if="chamber.wantsDepth" class="grid grid-cols-2 gap-x-3">
            <QuantityField
              label="At least"
              :limit="{ ...LIMITS.sumpHeight, max: chamber.wantsDepth.mostM }"
              :model-value="chamber.wantsDepth.leastM"
              @update:model-value="store.set(at(i, 'wantsDepth', 'leastM'), $event)"
            />
            <QuantityField
              label="At most"
              :limit="{ ...LIMITS.sumpHeight, min: chamber.wantsDepth.leastM }"
              :model-value="chamber.wantsDepth.mostM"
              @update:model-value="store.set(at(i, 'wantsDepth', 'mostM'), $event)"
            />
          </div>
        </fieldset>
      </li>
    </VueDraggable>
  </section>
</template>
