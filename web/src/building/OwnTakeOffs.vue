<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { building } from '@yew-basin/core'
import { computed, ref } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useDesign } from '../workspace/design-store.ts'
import { buildPlanOf, usePlan } from './plan-edits.ts'
import { TAKE_OFF_WORDS } from './cut-words.ts'

/** What the keeper measured on the fittings in his hand, in place of the standards' and typical sizes. */
const { sheet } = defineProps<{ sheet: building.BuildSheet }>()
const store = useDesign()
const { set } = usePlan()
const own = computed(() => buildPlanOf(store.shown).takeOffs)
/** Elbows and tees first: they differ most from maker to maker. */
const ORDER = Object.keys(TAKE_OFF_WORDS)
const sameFitting = (a: building.OwnTakeOff, b: building.OwnTakeOff) =>
  a.kind === b.kind && a.system === b.system && a.size === b.size
/** Fittings of this sheet that were not measured yet, as they are usual. */
const others = computed(() =>
  building
    .takeOffsOf(sheet)
    .filter((usual) => !own.value.some((each) => sameFitting(each, usual)))
    .sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind)),
)
const chosen = ref(0)
const nameOf = ({ kind, size, system }: building.OwnTakeOff) =>
  `${TAKE_OFF_WORDS[kind]} ${size}${system === 'inch' ? '″' : ''}`

function add() {
  const usual = others.value[chosen.value] ?? others.value[0]
  if (usual) set({ takeOffs: [...own.value, usual] })
  chosen.value = 0
}
const change = (at: number, to: Partial<building.OwnTakeOff>) =>
  set({ takeOffs: own.value.map((each, i) => (i === at ? { ...each, ...to } : each)) })
</script>

<template>
  <section aria-labelledby="own-take-offs">
    <h3 id="own-take-offs" class="heading">Measure yours</h3>
    <p class="caption max-w-3xl">
      From the middle of a fitting to the bottom of its socket, and how deep the socket is. What you
      measure counts in place of the usual size, in every cut.
    </p>
    <ul>
      <li v-for="(each, i) in own" :key="nameOf(each)" class="flex flex-wrap items-end gap-3 py-1">
        <span class="w-40 pb-1.5 font-semibold">{{ nameOf(each) }}</span>
        <QuantityField
          class="w-40"
          label="Middle to bottom"
          :limit="LIMITS.takeOff"
          :model-value="each.zM"
          @update:model-value="change(i, { zM: $event })"
        />
        <QuantityField
          class="w-40"
          label="Socket’s depth"
          :limit="LIMITS.takeOff"
          :model-value="each.depthM"
          @update:model-value="change(i, { depthM: $event })"
        />
        <button
          class="icon-button mb-0.5"
          :aria-label="`Back to the usual size: ${nameOf(each)}`"
          @click="set({ takeOffs: own.filter((_, j) => j !== i) })"
        >
          <Trash2 :size="15" />
        </button>
      </li>
    </ul>
    <div v-if="others.length > 0 && own.length < COUNTS.takeOffs" class="flex items-end gap-3">
      <label class="block">
        <span class="caption">Fitting</span>
        <select v-model="chosen" class="box">
          <option v-for="(each, i) in others" :key="nameOf(each)" :value="i">
            {{ nameOf(each) }}
          </option>
        </select>
      </label>
      <button class="button" @click="add"><Plus :size="15" /> I measured it</button>
    </div>
  </section>
</template>
