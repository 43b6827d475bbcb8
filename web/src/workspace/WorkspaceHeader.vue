<script setup lang="ts">
import { Redo2, Undo2 } from '@lucide/vue'
import BrandLink from '../shell/BrandLink.vue'
import ThemeSwitch from '../shell/ThemeSwitch.vue'
import UnitSwitch from '../shell/UnitSwitch.vue'
import { useDesign } from './design-store.ts'
import SaveMark from './SaveMark.vue'

const store = useDesign()
</script>

<template>
  <header class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-4 py-1.5">
    <BrandLink />
    <div class="flex min-w-0 items-baseline gap-2">
      <h1 class="truncate font-semibold">{{ store.basin?.name }}</h1>
      <span class="caption truncate">{{ store.basin?.current.name }}</span>
    </div>
    <span class="grow" />
    <SaveMark />
    <div class="flex items-center gap-1">
      <button class="icon-button" aria-label="Undo" :disabled="!store.canUndo" @click="store.undo">
        <Undo2 :size="17" />
      </button>
      <button class="icon-button" aria-label="Redo" :disabled="!store.canRedo" @click="store.redo">
        <Redo2 :size="17" />
      </button>
      <ThemeSwitch />
      <UnitSwitch />
    </div>
  </header>
</template>
