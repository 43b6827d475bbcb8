<script setup lang="ts">
import type { Station } from '@yew-basin/core'
import WhyNote from '../why/WhyNote.vue'
import { STATION_NAMES } from '../workspace/stations.ts'

/** What a stop is called, what it is about, and why it is as it is. */
defineProps<{ station: Station }>()
</script>

<template>
  <div>
    <h2 class="text-2xl font-semibold">{{ STATION_NAMES[station] }}</h2>
    <p class="text-ink-soft"><slot /></p>
    <WhyNote :station="station" :about="STATION_NAMES[station]" />
  </div>
</template>
