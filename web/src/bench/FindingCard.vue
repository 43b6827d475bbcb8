<script setup lang="ts">
import { ChevronDown } from '@lucide/vue'
import { say, type Finding, type OfferedFixes, type Severity } from '@yew-basin/core'
import { useId } from 'vue'
import type { Progress } from '../calc/long-work.ts'
import StateMark from '../shell/StateMark.vue'
import { useUnits } from '../shell/units.ts'
import WhyNote from '../why/WhyNote.vue'
import SideEffects from './SideEffects.vue'
import { useDesign } from '../workspace/design-store.ts'

/** What fixes it comes when it was tried; null: not yet. */
defineProps<{
  finding: Finding
  open: boolean
  offered: OfferedFixes | null
  /** How far it is looked for; null: it is not. */
  trying: Progress | null
}>()
defineEmits<{ toggle: [] }>()
const store = useDesign()
const units = useUnits()
const id = useId()

const TONES: Record<Severity, string> = {
  stop: 'border-aril bg-aril-wash',
  watch: 'border-resin bg-resin-wash',
  fine: 'border-lichen bg-lichen-wash',
}
</script>

<template>
  <li
    class="rounded-r-lg border-l-4 px-3 py-1.5"
    :class="TONES[finding.severity]"
    :data-finding="finding.code"
    :data-severity="finding.severity"
  >
    <button
      class="flex w-full items-start gap-2 text-left font-semibold leading-snug"
      :aria-expanded="open"
      :aria-controls="id"
      @click="$emit('toggle')"
    >
      <StateMark :state="finding.severity" :size="14" class="mt-0.5" />
      <span class="grow">{{ say(finding.title, units.family) }}</span>
      <ChevronDown
        :size="14"
        class="mt-1 shrink-0 text-ink-soft transition-transform"
        :class="{ '-rotate-90': !open }"
      />
    </button>
    <div v-show="open" :id="id">
      <p class="mt-0.5 text-[0.92rem]">
        {{ say(finding.reason, units.family) }}
        <template v-if="offered?.otherwise">{{ say(offered.otherwise, units.family) }}</template>
      </p>
      <WhyNote
        v-if="finding.severity === 'stop'"
        :station="finding.station"
        :finding="finding"
        :about="say(finding.title, units.family)"
      />
      <p v-if="trying" class="caption">
        Changes are being tried…<template v-if="trying.of > 1">
          {{ trying.done }} of {{ trying.of }}</template
        >
      </p>
      <ul v-if="offered && offered.fixes.length > 0 && !store.preview" class="mb-1 mt-2 space-y-1">
        <li v-for="(fix, k) in offered.fixes" :key="k" class="flex items-center gap-2">
          <span class="grow leading-tight">
            {{ say(fix.label, units.family) }}
            <span class="caption block">{{ say(fix.brings, units.family) }}</span>
            <SideEffects :fix="fix" />
          </span>
          <button
            class="button"
            :aria-label="`Preview: ${say(fix.label, units.family)}`"
            @click="store.look(fix)"
          >
            Preview
          </button>
        </li>
      </ul>
    </div>
  </li>
</template>
