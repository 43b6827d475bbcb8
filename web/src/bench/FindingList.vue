<script setup lang="ts">
import type { BasinDesign, Finding, Station } from '@yew-basin/core'
import { computed, ref, watch } from 'vue'
import { callback } from '../calc/spawn.ts'
import { useTrial } from '../calc/trial.ts'
import { plain } from '../workspace/plain.ts'
import { useDesign } from '../workspace/design-store.ts'
import FindingCard from './FindingCard.vue'

/** One finding first: the worst is open, the others are a line each until asked. */
const {
  station = null,
  own = null,
  folded = false,
} = defineProps<{
  station?: Station | null
  /** Instead of those of a stop. */
  own?: readonly Finding[] | null
  folded?: boolean
}>()
const store = useDesign()
const findings = computed(
  () => own ?? (store.solved?.findings ?? []).filter((finding) => finding.station === station),
)
/** So many stand open to the eye; the rest is a press away. */
const FIRST = 3
const all = ref(false)
const shownFindings = computed(() =>
  all.value || findings.value.length <= FIRST + 1 ? findings.value : findings.value.slice(0, FIRST),
)
const hidden = computed(() => findings.value.length - shownFindings.value.length)
const opened = ref(folded ? -1 : 0)
const open = computed(() => shownFindings.value[opened.value] ?? null)
interface Asked {
  readonly design: BasinDesign
  readonly finding: Finding
}
/** What is asked about; the drills' word makes findings anew, and asks again only of what it changed. */
const asked = computed<Asked | null>((before) => {
  if (!store.present || !open.value || store.preview) return null
  const now = { design: store.present, finding: open.value }
  const isSame =
    before?.design === now.design && JSON.stringify(before.finding) === JSON.stringify(now.finding)
  return isSame ? before : now
})
/** What fixes the finding that is open; a preview is looked at, not applied. */
const trial = useTrial(
  () => asked.value,
  (calls, { finding }, report) => calls.fixesOfFinding(plain(finding), callback(report)),
)
const offered = trial.fresh
watch(
  () => `${findings.value.map(({ code }) => code).join()} ${folded}`,
  () => (opened.value = folded ? -1 : 0),
)
</script>

<template>
  <ul class="space-y-1.5" aria-label="Findings">
    <FindingCard
      v-for="(finding, i) in shownFindings"
      :key="`${finding.code}${i}`"
      :finding="finding"
      :open="opened === i"
      :offered="opened === i ? offered : null"
      :trying="opened === i ? trial.progress.value : null"
      @toggle="opened = opened === i ? -1 : i"
    />
    <li v-if="hidden > 0 || all">
      <button class="button" @click="all = !all">
        {{ all ? 'Fewer findings' : `${hidden} more findings` }}
      </button>
    </li>
  </ul>
</template>
