<script setup lang="ts">
import {
  type EditPath,
  editable,
  fromSi,
  parseQuantity,
  QUANTITIES,
  showText,
  toSi,
} from '@yew-basin/core'
import { withinLimit, type Limit } from '@yew-basin/contract/limits'
import { computed, ref, useId, watch } from 'vue'
import { rangeText } from './range.ts'
import { useUnits } from '../shell/units.ts'
import { useAssumed } from './use-assumed.ts'

const {
  label,
  limit,
  hint = '',
  at = null,
} = defineProps<{
  label: string
  limit: Limit
  hint?: string
  hideLabel?: boolean
  /** Where the opened design holds it, if it is a figure that can be assumed. */
  at?: EditPath | null
}>()
/** NaN: not set yet, an empty field. */
const model = defineModel<number>({ required: true })

const units = useUnits()
const { isAssumed, confirm } = useAssumed(() => at)
const id = useId()
const fault = ref('')
/** What was typed can be read as each of these; none: in one way. */
const asked = ref<readonly number[]>([])
/** What stood in the field when it was entered. */
let before = NaN
const unit = computed(() => QUANTITIES[limit.quantity].shown[units.family])
const written = () =>
  Number.isNaN(model.value)
    ? ''
    : editable({ quantity: limit.quantity, si: model.value }, units.family)
const typed = ref(written())
/** What this field last gave, so that its own change does not rewrite what is being typed. */
let given = NaN

watch(
  () => [model.value, units.family] as const,
  ([si], [, familyBefore]) => {
    if (si === given && familyBefore === units.family) return
    typed.value = written()
    fault.value = ''
    asked.value = []
    given = NaN
  },
)

function read() {
  asked.value = []
  const parsed = parseQuantity(typed.value, limit.quantity, units.family)
  if (!parsed.ok) {
    fault.value =
      parsed.reason === 'unknown-unit'
        ? `“${parsed.unit}” is no unit for this; try ${unit.value.label || 'a plain number'}.`
        : `Type a number: ${rangeText(limit, units.family)}.`
    return
  }
  const possible = [parsed.si, ...parsed.others].filter((si) => withinLimit(limit, si))
  const [si] = possible
  if (si === undefined) {
    fault.value = `Possible: ${rangeText(limit, units.family)}.`
    return
  }
  fault.value = ''
  if (possible.length > 1) asked.value = possible
  else give(si)
}

function give(si: number) {
  // Typed as it was assumed, it is the keeper's own.
  if (si === model.value) return confirm()
  given = si
  model.value = si
}

/** It was asked which of two was meant, and this is it. */
function mean(si: number) {
  asked.value = []
  give(si)
  typed.value = editable({ quantity: limit.quantity, si }, units.family)
}

/** Gives back what stood there when the field was entered. */
function restore() {
  fault.value = ''
  asked.value = []
  if (!Number.isNaN(before)) give(before)
  typed.value = written()
}

/** Leaving a good field writes it in the shown unit; a bad one keeps what was typed. */
function leave() {
  if (!fault.value && asked.value.length === 0) typed.value = written()
  given = NaN
}

/** One step is one of the last digit that counts; with Shift, ten. */
function step(event: KeyboardEvent, sign: 1 | -1) {
  event.preventDefault()
  const shown = fromSi(unit.value, Number.isNaN(model.value) ? limit.min : model.value)
  const size = 10 ** -unit.value.decimals(shown) * (event.shiftKey ? 10 : 1)
  const stepped = Math.round((shown + sign * size) / size) * size
  const si = Math.min(limit.max, Math.max(limit.min, toSi(unit.value, stepped)))
  fault.value = ''
  asked.value = []
  model.value = si
}
</script>

<template>
  <div>
    <label :for="id" class="caption" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <div class="relative">
      <input
        :id="id"
        v-model="typed"
        class="box pr-12"
        :class="{ 'border-aril!': fault, 'box-assumed': isAssumed }"
        inputmode="text"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="!!fault"
        :aria-describedby="`${id}-note`"
        @input="read"
        @focus="before = model"
        @blur="leave"
        @keydown.esc="restore"
        @keydown.up="step($event, 1)"
        @keydown.down="step($event, -1)"
      />
      <span class="caption pointer-events-none absolute inset-y-0 right-2.5 flex items-center">{{
        unit.label
      }}</span>
    </div>
    <p
      :id="`${id}-note`"
      class="text-[0.82rem]"
      :class="fault ? 'text-aril' : 'text-ink-soft'"
      :role="fault ? 'alert' : undefined"
    >
      {{ fault || hint }}
      <template v-if="isAssumed && !fault">
        assumed
        <button type="button" class="confirm" :aria-label="`Confirm ${label}`" @click="confirm">
          confirm
        </button>
      </template>
    </p>
    <p v-if="asked.length > 0" role="alert" class="mt-1 flex flex-wrap gap-2 text-[0.82rem]">
      <span class="w-full">This can be read in two ways. Which do you mean?</span>
      <button v-for="si in asked" :key="si" type="button" class="button" @click="mean(si)">
        {{ showText({ quantity: limit.quantity, si }, units.family) }}
      </button>
    </p>
  </div>
</template>
