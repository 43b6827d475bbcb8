<script setup lang="ts">
import { ref, useId, watch } from 'vue'

/** Plain text of a name; an empty or too long one is kept and said. */
const { label, most } = defineProps<{ label: string; most: number }>()
const model = defineModel<string>({ required: true })
const id = useId()
const typed = ref(model.value)
const fault = ref('')
watch(model, (now) => {
  if (now !== typed.value) typed.value = now
  fault.value = ''
})

function read() {
  const text = typed.value
  if (text.trim() === '' || text.length > most) {
    fault.value = `1 to ${most} characters.`
    return
  }
  fault.value = ''
  if (text !== model.value) model.value = text
}
</script>

<template>
  <div>
    <label :for="id" class="caption">{{ label }}</label>
    <input
      :id="id"
      v-model="typed"
      class="box"
      :class="{ 'border-aril!': fault }"
      autocomplete="off"
      :aria-invalid="!!fault"
      :aria-describedby="`${id}-note`"
      @input="read"
    />
    <p v-if="fault" :id="`${id}-note`" class="text-[0.82rem] text-aril">{{ fault }}</p>
  </div>
</template>
