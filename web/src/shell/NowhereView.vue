<script setup lang="ts">
import { RouterLink } from 'vue-router'
import BrandLink from './BrandLink.vue'
</script>

<template>
  <main class="mx-auto max-w-xl p-8">
    <BrandLink />
    <h1 class="mt-10 text-2xl font-semibold">There is nothing at this address</h1>
    <p class="mt-2 text-ink-soft">It may have been typed wrong, or the basin was deleted.</p>
    <RouterLink to="/" class="button button-main mt-6">Go to the shelf</RouterLink>
  </main>
</template>
