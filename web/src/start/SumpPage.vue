<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { editing, type starting } from '@yew-basin/core'
import { ref } from 'vue'
import SizeFields from './SizeFields.vue'

/** The sump by its sizes, or a common one. */
const { answers } = defineProps<{ answers: starting.StartAnswers }>()
const emit = defineEmits<{ answer: [change: Partial<starting.StartAnswers>] }>()
const shown = ref(answers.sump)
const LIMITS_OF = {
  lengthM: LIMITS.sumpLength,
  widthM: LIMITS.sumpLength,
  heightM: LIMITS.sumpHeight,
} as const
/** Taking a common one fills the fields anew. */
const taken = ref(0)

function take(event: Event) {
  const chosen = editing.COMMON_SIZES[(event.target as HTMLSelectElement).selectedIndex - 1]
  if (!chosen) return
  const { lengthM, widthM, heightM } = chosen
  shown.value = { lengthM, widthM, heightM }
  taken.value += 1
  emit('answer', { sump: shown.value })
}
</script>

<template>
  <div class="space-y-4">
    <SizeFields
      :key="taken"
      :of="shown"
      :limits="LIMITS_OF"
      @given="$emit('answer', { sump: $event })"
    />
    <label class="block">
      <span class="caption">Or a common tank, outside sizes</span>
      <select class="box" @change="take">
        <option>choose one</option>
        <option v-for="{ words } in editing.COMMON_SIZES" :key="words">{{ words }}</option>
      </select>
    </label>
  </div>
</template>
