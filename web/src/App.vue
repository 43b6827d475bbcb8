<script setup lang="ts">
import { RouterView } from 'vue-router'
import NoticeBar from './shell/NoticeBar.vue'
import { useTheme } from './shell/theme.ts'

useTheme()
</script>

<template>
  <RouterView />
  <NoticeBar />
</template>
