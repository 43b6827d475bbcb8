<script setup lang="ts">
import { say, type OfferedFixes } from '@yew-basin/core'
import { useUnits } from '../shell/units.ts'

type Titles = OfferedFixes['fixes'][number]['gone']

/** What a fix changes beside what it is for. */
const { fix } = defineProps<{
  fix: { readonly gone: Titles; readonly come: Titles }
}>()
const units = useUnits()
/** So many are named; the rest is counted. */
const NAMED = 2

function listed(titles: Titles): string {
  const named = titles.slice(0, NAMED).map((title) => say(title, units.family))
  const more = titles.length - named.length
  return more > 0 ? `${named.join('; ')}; and ${more} more` : named.join('; ')
}
</script>

<template>
  <span v-if="fix.gone.length > 0" class="caption block"
    >Goes with it: {{ listed(fix.gone) }}.</span
  >
  <span v-if="fix.come.length > 0" class="caption block">But then: {{ listed(fix.come) }}.</span>
</template>
