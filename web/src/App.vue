<script setup lang="ts">
import { RouterView } from 'vue-router'
import { useFocusAfterRemoval } from './shell/focus.ts'
import NoticeBar from './shell/NoticeBar.vue'
import { useTheme } from './shell/theme.ts'
import { tellOfUpdates } from './shell/updated.ts'

useTheme()
useFocusAfterRemoval()
tellOfUpdates()
</script>

<template>
  <RouterView />
  <NoticeBar />
</template>
