<script setup lang="ts">
import { type Piece, building } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import TickField from '../bench/TickField.vue'
import { NOT_SAID, JOINTS } from './joint-words.ts'
import PipeSizePicker from './PipeSizePicker.vue'

/** How a piece is bought and joined: what is not said is as usual. */
const { piece } = defineProps<{ piece: Piece; position: number; size: building.PipeSize }>()
const emit = defineEmits<{ change: [piece: Piece] }>()

const made = computed(() => piece.made ?? building.MADE_AS_USUAL)
const summary = computed(() => {
  const { before, after, isTrueUnion, branch, isClipped } = made.value
  const words = [
    ...new Set([before, after].map((kind) => JOINTS.find(({ value }) => value === kind)?.label)),
    isTrueUnion ? 'true union' : undefined,
    branch ? 'another third size' : undefined,
    isClipped ? 'clipped' : undefined,
  ].filter((word) => word !== undefined)
  return words.length > 0 ? words.join(', ') : 'as usual (assumed)'
})

/** Where nothing is said any more, nothing is kept. */
function say(more: Partial<building.PieceMade>) {
  const next = { ...made.value, ...more }
  const { partId, ...rest } = next
  const isUsual =
    partId === null && Object.values(rest).every((value) => value === null || value === false)
  const bare = Object.entries(piece).filter(([name]) => name !== 'made')
  emit('change', Object.fromEntries(isUsual ? bare : [...bare, ['made', next]]) as Piece)
}
</script>

<template>
  <details class="mt-1">
    <summary class="caption cursor-pointer">Joints: {{ summary }}</summary>
    <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-1">
      <ChoiceField
        :label="`Coming in, piece ${position}`"
        :options="JOINTS"
        :model-value="made.before ?? NOT_SAID"
        @update:model-value="say({ before: $event || null })"
      />
      <ChoiceField
        v-if="piece.kind !== 'nozzle'"
        :label="`Leaving, piece ${position}`"
        :options="JOINTS"
        :model-value="made.after ?? NOT_SAID"
        @update:model-value="say({ after: $event || null })"
      />
      <TickField
        v-if="piece.kind === 'valve' || piece.kind === 'check-valve'"
        class="col-span-2"
        label="a union on both sides (true union)"
        :model-value="made.isTrueUnion"
        @update:model-value="say({ isTrueUnion: $event })"
      />
      <template v-if="piece.kind === 'tee'">
        <TickField
          class="col-span-2"
          label="its third leg has another size"
          :model-value="made.branch !== null"
          @update:model-value="say({ branch: $event ? { ...size } : null })"
        />
        <PipeSizePicker
          v-if="made.branch"
          class="col-span-2"
          name="Third leg in"
          compact
          :model-value="made.branch"
          @update:model-value="say({ branch: $event })"
        />
      </template>
      <TickField
        class="col-span-2"
        label="clipped to stand or wall: it can’t move while building"
        :model-value="made.isClipped"
        @update:model-value="say({ isClipped: $event })"
      />
    </div>
  </details>
</template>
