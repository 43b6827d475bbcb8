<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { building } from '@yew-basin/core'
import { computed, ref } from 'vue'
import QuantityField from '../bench/QuantityField.vue'
import { useParts } from '../parts/parts-store.ts'
import { useUnits } from '../shell/units.ts'
import { countWords, PER_WORDS, askedSize } from './list-words.ts'
import { useShopping } from './shopping-store.ts'
import { tickOf, useTicker, whoAndWhen } from './ticker.ts'
import { useLight, useMarked } from './use-light.ts'

/** One line of the list: ticked in the shop, with what is had of it and what it costs. */
const { line, toBuy } = defineProps<{ line: building.ListLine; toBuy: number }>()
const shopping = useShopping()
const ticker = useTicker()
const units = useUnits()
const parts = useParts()
/** The part it was taken from, where a line is not named after it. */
const partName = computed(() => {
  const name = parts.parts.find(({ id }) => id === line.partId)?.name ?? ''
  return name === line.name ? '' : name
})
/** On a phone what is had and paid is asked for when it is wanted. */
const opened = ref(false)
const own = computed(() => shopping.of(line.key))
const { isLit, light } = useLight(() => line.pieceIds)
const isMarked = useMarked(() => line.pieceIds)
const size = computed(() => askedSize(line, units))
const whole = computed(() => `${line.name}${size.value ? `, ${size.value}` : ''}`)
const spare = computed(() => (line.spare > 0 ? `${line.spare} of them spare` : ''))
const measured = computed(() => line.unit === 'metre' || line.pipe !== null)
const tickedWords = computed(() => whoAndWhen(own.value))
const tick = (event: Event) => shopping.set(line.key, tickOf(event, ticker.name))
/** An empty field: not had, or no price. */
const setNumber = (field: 'have' | 'price') => (si: number) =>
  shopping.set(line.key, { [field]: Number.isNaN(si) ? null : si })
</script>

<template>
  <li
    class="grid grid-cols-[auto_minmax(0,1fr)_auto] gap-x-3 border-b border-rule py-1.5 md:grid-cols-[auto_minmax(0,1fr)_6rem_7rem_7rem]"
    :class="{ 'bg-needle-wash': isMarked }"
  >
    <input
      type="checkbox"
      class="mt-0.5 size-6"
      :checked="own.tickedAt !== null"
      :aria-label="`Got ${whole}`"
      @change="tick"
    />
    <div class="min-w-0" :class="{ 'opacity-60': own.tickedAt !== null }">
      <p>
        <strong class="font-semibold">{{ line.name }}</strong>
        <span v-if="size" class="ml-1.5">{{ size }}</span>
        <span v-if="partName" class="ml-1.5">“{{ partName }}”</span>
      </p>
      <button
        v-if="line.pieceIds.length > 0"
        class="caption block min-h-6 text-left underline decoration-dotted"
        :class="{ 'font-semibold text-needle': isLit }"
        :aria-pressed="isLit"
        @click="light"
      >
        for {{ line.uses.join(', ') }}
      </button>
      <p v-else class="caption">for {{ line.uses.join(', ') }}</p>
      <p v-if="line.note" class="caption text-resin">{{ line.note }}</p>
      <p v-if="tickedWords" class="caption">got: {{ tickedWords }}</p>
      <button
        class="caption block min-h-6 underline md:hidden"
        :aria-expanded="opened"
        @click="opened = !opened"
      >
        have, price
      </button>
    </div>
    <div class="col-start-3 row-start-1 text-right md:col-start-5">
      <strong class="whitespace-nowrap">{{ countWords(line, toBuy, units) }}</strong>
      <p v-if="line.pipe" class="caption whitespace-nowrap">
        {{ units.text('head', line.pipe.totalM) }} in all
      </p>
      <p v-if="spare" class="caption whitespace-nowrap">{{ spare }}</p>
    </div>
    <div
      class="max-md:col-span-2 max-md:col-start-2 max-md:flex max-md:gap-3 md:contents"
      :class="{ 'max-md:hidden': !opened }"
    >
      <QuantityField
        v-if="line.unit !== 'glue'"
        class="max-md:w-32 md:col-start-3 md:row-start-1"
        :label="`Had of ${whole}`"
        hide-label
        :limit="measured ? LIMITS.havePipe : LIMITS.have"
        :model-value="own.have ?? NaN"
        @update:model-value="setNumber('have')($event)"
      />
      <QuantityField
        class="max-md:w-36 md:col-start-4 md:row-start-1"
        :label="`Price of ${whole}, ${PER_WORDS[line.unit]}`"
        hide-label
        :limit="LIMITS.linePrice"
        :model-value="own.price ?? NaN"
        @update:model-value="setNumber('price')($event)"
      />
    </div>
  </li>
</template>
