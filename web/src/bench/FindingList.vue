<script setup lang="ts">
import type { PathStop } from '@yew-basin/core'
import { computed, ref, watch } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import FindingCard from './FindingCard.vue'

/** One finding first: the worst is open, the others are a line each until asked. */
const { stop, folded = false } = defineProps<{ stop: PathStop; folded?: boolean }>()
const store = useDesign()
const findings = computed(() =>
  (store.solved?.findings ?? []).filter((finding) => finding.stop === stop),
)
const opened = ref(folded ? -1 : 0)
watch(
  () => [findings.value.map((finding) => finding.code).join(), folded],
  () => (opened.value = folded ? -1 : 0),
)
</script>

<template>
  <ul class="space-y-1.5" aria-label="Findings">
    <FindingCard
      v-for="(finding, i) in findings"
      :key="`${finding.code}${i}`"
      :finding="finding"
      :open="opened === i"
      @toggle="opened = opened === i ? -1 : i"
    />
  </ul>
</template>
