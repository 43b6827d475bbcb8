<script setup lang="ts">
import { RouterLink } from 'vue-router'

/** short: the mark alone, where the room is for something else. */
const { short = false } = defineProps<{ short?: boolean }>()
</script>

<template>
  <RouterLink
    to="/"
    class="flex items-center gap-2 whitespace-nowrap text-lg font-bold text-needle"
  >
    <img src="/mark.svg" alt="" width="22" height="22" />
    <span :class="{ 'sr-only': short }">Yew Basin</span>
  </RouterLink>
</template>
