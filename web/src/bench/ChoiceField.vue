<script setup lang="ts" generic="T extends string">
import { useId } from 'vue'

/** One of a few words. */
const { options } = defineProps<{
  label: string
  options: readonly { readonly value: T; readonly label: string }[]
  modelValue: T
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
const id = useId()
/** The options give the values, so what is chosen is one of them. */
const give = (event: Event) =>
  emit('update:modelValue', options[(event.target as HTMLSelectElement).selectedIndex]!.value)
</script>

<template>
  <div>
    <label :for="id" class="caption">{{ label }}</label>
    <select :id="id" class="box" :value="modelValue" @change="give">
      <option v-for="option in options" :key="option.value" :value="option.value">
        {{ option.label }}
      </option>
    </select>
  </div>
</template>
