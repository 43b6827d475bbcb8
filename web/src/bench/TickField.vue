<script setup lang="ts">
/** Yes or no, with its words beside it. */
defineProps<{ label: string }>()
const model = defineModel<boolean>({ required: true })
</script>

<template>
  <label class="flex items-center gap-2">
    <input v-model="model" type="checkbox" />
    <span>{{ label }}</span>
  </label>
</template>
