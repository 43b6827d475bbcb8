<script setup lang="ts">
import { editable, fromSi, parseQuantity, QUANTITIES, toSi } from '@yew-basin/core'
import { withinLimit, type Limit } from '@yew-basin/contract/limits'
import { computed, ref, useId, watch } from 'vue'
import { rangeText } from './range.ts'
import { useUnits } from '../shell/units.ts'

const {
  label,
  limit,
  hint = '',
} = defineProps<{
  label: string
  limit: Limit
  hint?: string
  hideLabel?: boolean
}>()
/** NaN: not set yet, an empty field. */
const model = defineModel<number>({ required: true })

const units = useUnits()
const id = useId()
const fault = ref('')
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
    given = NaN
  },
)

function read() {
  const parsed = parseQuantity(typed.value, limit.quantity, units.family)
  if (!parsed.ok) {
    fault.value =
      parsed.reason === 'unknown-unit'
        ? `“${parsed.unit}” is no unit for this; try ${unit.value.label || 'a plain number'}.`
        : `Type a number from ${rangeText(limit, units.family)}.`
    return
  }
  if (!withinLimit(limit, parsed.si)) {
    fault.value = `Possible: ${rangeText(limit, units.family)}.`
    return
  }
  fault.value = ''
  if (parsed.si === model.value) return
  given = parsed.si
  model.value = parsed.si
}

/** Leaving a good field writes it in the shown unit; a bad one keeps what was typed. */
function leave() {
  if (!fault.value) typed.value = written()
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
        :class="{ 'border-aril!': fault }"
        inputmode="text"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="!!fault"
        :aria-describedby="`${id}-note`"
        @input="read"
        @blur="leave"
        @keydown.up="step($event, 1)"
        @keydown.down="step($event, -1)"
      />
      <span class="caption pointer-events-none absolute inset-y-0 right-2.5 flex items-center">{{
        unit.label
      }}</span>
    </div>
    <p :id="`${id}-note`" class="text-[0.82rem]" :class="fault ? 'text-aril' : 'text-ink-soft'">
      {{ fault || hint }}
    </p>
  </div>
</template>
