<script setup lang="ts">
/** A part of the drawing that leads to its bench, by a press or by Enter. */
defineProps<{ name: string }>()
defineEmits<{ open: [] }>()
</script>

<template>
  <g
    class="part"
    role="link"
    tabindex="0"
    :aria-label="name"
    @click="$emit('open')"
    @keydown.enter="$emit('open')"
  >
    <slot />
  </g>
</template>

<style scoped>
.part {
  cursor: pointer;
}
</style>
