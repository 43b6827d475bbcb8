<script setup lang="ts">
import { RouterLink } from 'vue-router'
</script>

<template>
  <RouterLink
    to="/"
    class="flex items-center gap-2 whitespace-nowrap text-lg font-bold text-needle"
  >
    <img src="/mark.svg" alt="" width="22" height="22" />
    Yew Basin
  </RouterLink>
</template>
