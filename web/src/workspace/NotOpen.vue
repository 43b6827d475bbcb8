<script setup lang="ts">
import { RouterLink } from 'vue-router'
import BrandLink from '../shell/BrandLink.vue'
import { useDesign } from './design-store.ts'

/** In place of a view while its basin is fetched, or when it can't be. */
defineProps<{ id: string }>()
const store = useDesign()
</script>

<template>
  <main class="mx-auto max-w-xl p-8">
    <BrandLink />
    <p v-if="store.loadState === 'loading'" class="mt-10 text-ink-soft" role="status">
      Opening the basin…
    </p>
    <div v-else class="mt-10" role="alert">
      <h1 class="text-2xl font-semibold">
        {{
          store.loadState === 'missing'
            ? 'This basin is not on your shelf'
            : 'The basin could not be opened'
        }}
      </h1>
      <p class="mt-2 text-ink-soft">{{ store.loadFault }}</p>
      <div class="mt-6 flex gap-2">
        <button
          v-if="store.loadState === 'failed'"
          class="button button-main"
          @click="store.open(id)"
        >
          Try again
        </button>
        <RouterLink to="/" class="button">Go to the shelf</RouterLink>
      </div>
    </div>
  </main>
</template>
