<script setup lang="ts">
import { editing } from '@yew-basin/core'
import { computed, onMounted, ref } from 'vue'
import { useParts } from '../parts/parts-store.ts'
import { useDesign } from './design-store.ts'

/** Parts that were changed since this design took them: taken over by one press, that can be undone. */
const store = useDesign()
const parts = useParts()
onMounted(() => void parts.want())

const left = ref<ReadonlySet<string>>(new Set())
const keyOf = ({ partId, changes }: editing.ChangedPart) => JSON.stringify([partId, changes])
const changed = computed(() =>
  store.design && !store.preview
    ? editing.changedParts(store.design, parts.kept).filter((part) => !left.value.has(keyOf(part)))
    : [],
)
const said = computed(() =>
  changed.value
    .map(
      ({ name, changes }) =>
        `${name} (${changes.length === 1 ? 'one figure' : `${changes.length} figures`})`,
    )
    .join(', '),
)
const takeOver = () => store.edit(changed.value.flatMap(({ edits }) => edits))
const leave = () => (left.value = new Set([...left.value, ...changed.value.map(keyOf)]))
</script>

<template>
  <div
    v-if="changed.length > 0"
    class="flex flex-wrap items-center gap-x-3 gap-y-2 border-t border-rule bg-sheet px-4 py-1.5"
    data-testid="changed-parts"
  >
    <span class="min-w-0 grow basis-40">
      {{ changed.length === 1 ? 'A part has' : 'Parts have' }} changed since this design took
      {{ changed.length === 1 ? 'it' : 'them' }}: {{ said }}.
    </span>
    <button class="button shrink-0" @click="takeOver">
      Take {{ changed.length === 1 ? 'it' : 'them' }} over
    </button>
    <button class="button shrink-0" @click="leave">Leave the design as it is</button>
  </div>
</template>
