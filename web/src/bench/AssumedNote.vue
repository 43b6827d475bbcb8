<script setup lang="ts">
import type { Station } from '@yew-basin/core'
import { computed } from 'vue'
import StateMark from '../shell/StateMark.vue'
import { useDesign } from '../workspace/design-store.ts'

/** How many figures of a stop nobody has given, and all of them confirmed in one tap. */
const { station } = defineProps<{ station: Station }>()
const store = useDesign()
const names = computed(() => store.standings?.[station].assumed.map(({ name }) => name) ?? [])
</script>

<template>
  <div
    v-if="names.length > 0"
    class="flex items-center gap-3 border-y border-dashed border-ink-soft py-2"
    data-testid="assumed-note"
  >
    <StateMark state="assumed" :size="15" />
    <p class="grow leading-tight">
      <strong class="font-semibold">{{ names.length }} assumed.</strong>
      What is pencilled here you have not given yet: type it, or confirm it as it stands.
    </p>
    <button
      class="button flex-none"
      :disabled="!!store.preview"
      aria-label="Confirm all that is assumed here"
      @click="store.confirm(names)"
    >
      Confirm all
    </button>
  </div>
</template>
