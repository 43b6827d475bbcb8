<script setup lang="ts">
import ChangedParts from './ChangedParts.vue'
import ConflictDialog from './ConflictDialog.vue'
import PreviewBar from './PreviewBar.vue'
import NotOpen from './NotOpen.vue'
import { useBuiltFindings } from '../building/built-findings.ts'
import { useDesign } from './design-store.ts'
import { useUndoKeys } from './use-undo-keys.ts'
import WorkspaceHeader from './WorkspaceHeader.vue'

/** A view of an opened basin that takes the whole page; says so when it cannot be opened. */
defineProps<{ id: string; heading: string; about: string }>()
const store = useDesign()
useUndoKeys()
useBuiltFindings()
</script>

<template>
  <div v-if="store.loadState === 'ready' && store.solved" class="min-h-dvh">
    <WorkspaceHeader />
    <main class="mx-auto max-w-6xl px-5 py-5">
      <div class="flex items-start gap-3">
        <h2 class="grow text-2xl font-semibold">{{ heading }}</h2>
        <slot name="beside-heading" />
      </div>
      <p class="mb-4 max-w-3xl text-ink-soft">{{ about }}</p>
      <ChangedParts />
      <slot />
    </main>
    <PreviewBar on-page />
    <ConflictDialog />
  </div>
  <NotOpen v-else :id="id" />
</template>
