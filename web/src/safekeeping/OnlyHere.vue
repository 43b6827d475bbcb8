<script setup lang="ts">
import { KeyRound } from '@lucide/vue'
import { onMounted } from 'vue'
import { RouterLink } from 'vue-router'
import { useSafekeeping } from './safekeeping-store.ts'

/** Said once: without a key this shelf lives in this browser alone. */
const store = useSafekeeping()
onMounted(() => void store.load())
</script>

<template>
  <aside
    v-if="store.asksForKey"
    class="mt-6 flex flex-wrap items-center gap-3 rounded-lg border border-rule bg-sunk px-4 py-3"
  >
    <KeyRound :size="18" class="shrink-0 text-needle" />
    <p class="min-w-60 grow basis-0">
      This shelf lives in this browser alone. With a recovery key you can open it in another one, or
      here again when this browser has forgotten you.
    </p>
    <RouterLink to="/safekeeping" class="button">Make a key</RouterLink>
    <button class="button" @click="store.told = true">Not now</button>
  </aside>
</template>
