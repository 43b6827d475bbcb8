<script setup lang="ts">
import { Moon, Sun } from '@lucide/vue'
import { useTheme } from './theme.ts'

const { dark, turn } = useTheme()
</script>

<template>
  <button
    class="icon-button"
    :aria-label="dark ? 'Use the light theme' : 'Use the dark theme'"
    @click="turn"
  >
    <Sun v-if="dark" :size="17" />
    <Moon v-else :size="17" />
  </button>
</template>
