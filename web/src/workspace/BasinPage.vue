<script setup lang="ts">
import { RouterLink } from 'vue-router'
import BrandLink from '../shell/BrandLink.vue'
import ConflictDialog from './ConflictDialog.vue'
import { useDesign } from './design-store.ts'
import WorkspaceHeader from './WorkspaceHeader.vue'

/** A view of an opened basin that takes the whole page; says so when it cannot be opened. */
defineProps<{ id: string; heading: string; about: string }>()
const store = useDesign()
</script>

<template>
  <div v-if="store.loadState === 'ready' && store.solved" class="min-h-dvh">
    <WorkspaceHeader />
    <main class="mx-auto max-w-6xl px-5 py-5">
      <h2 class="text-2xl font-semibold">{{ heading }}</h2>
      <p class="mb-4 max-w-3xl text-ink-soft">{{ about }}</p>
      <slot />
    </main>
    <ConflictDialog />
  </div>
  <main v-else class="mx-auto max-w-xl p-8">
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
