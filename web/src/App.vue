<script setup lang="ts">
import { RouterView } from 'vue-router'
import NoticeBar from './shell/NoticeBar.vue'
import { useTheme } from './shell/theme.ts'
import { tellOfUpdates } from './shell/updated.ts'

useTheme()
tellOfUpdates()
</script>

<template>
  <RouterView />
  <NoticeBar />
</template>
